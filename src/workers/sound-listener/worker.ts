import { expose, transfer } from 'comlink';
import { Resampler } from '@/core/signal';
import { listen } from '@/sound/listen';
import type { SoundListener } from './protocol';

/** Pieces that wait to be heard. */
const AHEAD = 5;

const listener: SoundListener = {
  async listen(file, rate, hear) {
    let resampler: Resampler | null = null;
    let share = 0;
    const waiting: Promise<boolean>[] = [];
    const heard = await listen(
      file,
      (passed) => {
        share = passed;
        return Promise.resolve(true);
      },
      async (sound, soundRate) => {
        const samples = (resampler ??= new Resampler(soundRate, rate)).push(sound).slice();
        waiting.push(hear(transfer(samples, [samples.buffer]), share));
        if (waiting.length >= AHEAD) await waiting.shift();
      },
    );
    await Promise.all(waiting);
    return heard;
  },
};

expose(listener);
