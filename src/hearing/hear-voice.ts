import { Cepstra, Denoiser, joinSamples, Resampler, voiceStretches, type VoiceStretch } from '@/core/signal';
import { STEP_SAMPLES, type VoiceActivity } from './voice-activity';

const RATE = 16_000;
/** Sound is judged in blocks of about half a minute, each warmed up on the end of the one before. */
const BLOCK_STEPS = 960;
const BEFORE_STEPS = 21;

/** What was heard of a take, without its sound. */
export interface HeardVoice {
  readonly stretches: readonly VoiceStretch[];
  /** Of the denoised sound; see `Cepstra`. */
  readonly cepstra: Float32Array;
}

/** Sound at 16 kHz that waits to be judged, after a little that has been. */
class Waiting {
  private readonly samples = new Float32Array((BEFORE_STEPS + 2 * BLOCK_STEPS) * STEP_SAMPLES);
  private judgedTo = 0;
  private filled = 0;

  add(samples: Float32Array): void {
    this.samples.set(samples, this.filled);
    this.filled += samples.length;
  }

  get room(): number {
    return this.samples.length - this.filled;
  }

  get waiting(): number {
    return this.filled - this.judgedTo;
  }

  async judge(model: VoiceActivity): Promise<Float32Array> {
    const likely = await model.judge(this.samples.subarray(0, this.filled), this.judgedTo);
    const to = this.judgedTo + likely.length * STEP_SAMPLES;
    const from = Math.max(0, to - BEFORE_STEPS * STEP_SAMPLES);
    this.samples.copyWithin(0, from, this.filled);
    this.filled -= from;
    this.judgedTo = to - from;
    return likely;
  }
}

/**
 * Finds where somebody speaks in sound that streams by: resampled, denoised, and judged by the model as it is and
 * denoised, the likelier of the two. Holds about a minute of sound; what is kept grows by 5 KB a second.
 */
export class VoiceHearing {
  private resampler: Resampler | null = null;
  private readonly denoiser = new Denoiser();
  private readonly cepstra = new Cepstra();
  private readonly raw = new Waiting();
  private readonly clean = new Waiting();
  private readonly ofRaw: Float32Array[] = [];
  private readonly ofClean: Float32Array[] = [];

  constructor(private readonly model: VoiceActivity) {}

  /** Mono sound at a rate that stays the same. */
  async push(samples: Float32Array, rate: number): Promise<void> {
    this.resampler ??= new Resampler(rate, RATE);
    await this.take(this.resampler.push(samples));
  }

  async finish(): Promise<HeardVoice> {
    if (this.resampler) await this.take(this.resampler.finish());
    await this.takeClean(this.denoiser.finish());
    // The last steps, filled up with silence.
    await this.fill(this.raw, this.ofRaw, new Float32Array(STEP_SAMPLES));
    await this.judge(this.raw, this.ofRaw);
    await this.judge(this.clean, this.ofClean);
    const raw = joinSamples(this.ofRaw);
    const clean = joinSamples(this.ofClean);
    const likely = raw.map((one, step) => Math.max(one, clean[step] ?? 0));
    return { stretches: voiceStretches(likely, STEP_SAMPLES / RATE), cepstra: this.cepstra.read() };
  }

  private async take(samples: Float32Array): Promise<void> {
    await this.fill(this.raw, this.ofRaw, samples);
    await this.takeClean(this.denoiser.push(samples));
  }

  private async takeClean(samples: Float32Array): Promise<void> {
    this.cepstra.push(samples);
    await this.fill(this.clean, this.ofClean, samples);
  }

  private async fill(sound: Waiting, found: Float32Array[], samples: Float32Array): Promise<void> {
    for (let at = 0; at < samples.length;) {
      const count = Math.min(sound.room, samples.length - at);
      sound.add(samples.subarray(at, at + count));
      at += count;
      if (sound.waiting >= BLOCK_STEPS * STEP_SAMPLES) await this.judge(sound, found);
    }
  }

  private async judge(sound: Waiting, found: Float32Array[]): Promise<void> {
    found.push(await sound.judge(this.model));
  }
}
