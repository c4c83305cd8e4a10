import { joinSamples, Resampler, type MonoSound } from '@/core/signal';
import { lineWeight } from '@/core/speech';
import { type PlainVoice, trimmed } from './plain-voice';

/** Slower or quicker than this the synthesiser is not understood. */
const STRETCH = { min: 0.6, max: 2.2 };

/** A plain voice that says lines at a rate; how quick it is by itself is found on the first line. */
export class PlainLines {
  private own: number | null = null;

  constructor(
    private readonly voice: PlainVoice,
    private readonly syllablesPerMinute: number,
  ) {}

  /** A line without the silence at its ends. @throws Error when the voice gives no sound. */
  async say(text: string): Promise<MonoSound> {
    if (this.own === null) {
      const { samples, sampleRate } = trimmed(await this.voice.say(text));
      this.own = (60 * lineWeight(text) * sampleRate) / Math.max(1, samples.length);
    }
    const stretch = Math.min(STRETCH.max, Math.max(STRETCH.min, this.own / this.syllablesPerMinute));
    return trimmed(await this.voice.say(text, stretch));
  }
}

/** Sound at another rate. */
export function atRate({ samples, sampleRate }: MonoSound, rate: number): Float32Array {
  if (sampleRate === rate) return samples;
  const resampler = new Resampler(sampleRate, rate);
  return joinSamples([resampler.push(samples), resampler.finish()]);
}
