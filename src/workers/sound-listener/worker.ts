import { Resampler } from '@/core/signal';
import { listen } from '@/files/listen';
import { failed } from '@/core/units';
import type { ListenReply, ListenRequest } from './protocol';

/** Pieces that wait to be taken. */
const AHEAD = 5;

let waiting = 0;
let goOn: (() => void) | null = null;

const reply = (message: ListenReply, taken: Transferable[] = []): void => postMessage(message, { transfer: taken });

async function hear({ file, rate }: Extract<ListenRequest, { kind: 'listen' }>): Promise<void> {
  let resampler: Resampler | null = null;
  let share = 0;
  const heard = await listen(
    file,
    (passed) => {
      share = passed;
      return Promise.resolve(true);
    },
    async (sound, soundRate) => {
      const samples = (resampler ??= new Resampler(soundRate, rate)).push(sound).slice();
      reply({ kind: 'piece', samples, share }, [samples.buffer]);
      if (++waiting >= AHEAD) await new Promise<void>((done) => (goOn = done));
    },
  );
  if (heard) reply({ kind: 'end', heard });
}

addEventListener('message', ({ data }: MessageEvent<ListenRequest>) => {
  if (data.kind === 'taken') {
    waiting--;
    goOn?.();
    goOn = null;
  } else {
    hear(data).catch(() => reply({ kind: 'end', heard: failed({ code: 'not-media', at: '', facts: {} }) }));
  }
});
