import { Cepstra, Denoiser, joinSamples, Resampler, voiceStretches, type VoiceStretch } from '@/core/signal';
import { JUDGED_RATE, STEP_SAMPLES } from './voice-activity';

/** The rate at which sound is denoised and compared with texts. */
export const HEARING_RATE = 16_000;
/** Sound is judged in blocks of about a minute, each warmed up on the end of the one before. */
const BLOCK_STEPS = 1920;
const BEFORE_STEPS = 21;

/** How likely each step of sound at `JUDGED_RATE` holds a voice; see `VoiceActivity`. May work elsewhere. */
export interface VoiceJudge {
  /** The steps that begin at sample `from`; those before only warm it up. Takes the samples away where it can. */
  judge(samples: Float32Array<ArrayBuffer>, from: number): Promise<Float32Array>;
}

/** What was heard of a take, without its sound. */
export interface HeardVoice {
  readonly stretches: readonly VoiceStretch[];
  /** Of the denoised sound; see `Cepstra`. */
  readonly cepstra: Float32Array;
}

/** Sound that is judged block by block, one block at a time while the next is gathered. */
class Judged {
  private samples = new Float32Array((BEFORE_STEPS + BLOCK_STEPS) * STEP_SAMPLES);
  private filled = 0;
  private from = 0;
  private running: Promise<unknown> = Promise.resolve();
  private readonly found: Promise<Float32Array>[] = [];

  constructor(private readonly judge: VoiceJudge) {}

  async add(samples: Float32Array): Promise<void> {
    for (let at = 0; at < samples.length;) {
      const count = Math.min(this.samples.length - this.filled, samples.length - at);
      this.samples.set(samples.subarray(at, at + count), this.filled);
      this.filled += count;
      at += count;
      if (this.filled === this.samples.length) await this.judgeBlock();
    }
  }

  /** The likelihood of every step; the last is filled up with silence. */
  async finish(): Promise<Float32Array> {
    await this.add(new Float32Array((STEP_SAMPLES - (this.filled % STEP_SAMPLES)) % STEP_SAMPLES));
    if (this.filled > this.from) await this.judgeBlock();
    return joinSamples(await Promise.all(this.found));
  }

  private async judgeBlock(): Promise<void> {
    const block = this.samples.slice(0, this.filled);
    const kept = Math.min(BEFORE_STEPS * STEP_SAMPLES, this.filled);
    this.samples.copyWithin(0, this.filled - kept, this.filled);
    // One block is judged while the next is gathered, and no more: memory does not grow.
    await this.running;
    const judged = this.judge.judge(block, this.from);
    // Whoever waits for the result is told of a failure.
    this.running = judged.catch(() => undefined);
    this.found.push(judged);
    this.filled = kept;
    this.from = kept;
  }
}

/** Of the sound as it is, what is judged with the denoised: a voice that was half taken for noise is heard by it. */
const RAW_SHARE = 0.2;

/**
 * Finds where somebody speaks in sound that streams by: denoised with a little of what it was, and judged.
 * Holds a few minutes of sound; what is kept grows by 5 KB a second.
 */
export class VoiceHearing {
  private readonly denoiser = new Denoiser();
  private readonly cepstra = new Cepstra();
  private readonly judged: Judged;
  private readonly toJudged = new Resampler(HEARING_RATE, JUDGED_RATE);
  /** Sound that went into the denoiser and has not come out. */
  private inside: Float32Array = new Float32Array(0);

  constructor(judge: VoiceJudge) {
    this.judged = new Judged(judge);
  }

  /** Mono sound at `HEARING_RATE`. */
  async push(samples: Float32Array): Promise<void> {
    this.inside = joinSamples([this.inside, samples]);
    await this.takeClean(this.denoiser.push(samples));
  }

  async finish(): Promise<HeardVoice> {
    await this.takeClean(this.denoiser.finish());
    await this.judged.add(this.toJudged.finish());
    const likely = await this.judged.finish();
    return { stretches: voiceStretches(likely, STEP_SAMPLES / JUDGED_RATE), cepstra: this.cepstra.read() };
  }

  private async takeClean(samples: Float32Array): Promise<void> {
    this.cepstra.push(samples);
    const mixed = new Float32Array(samples.length);
    for (let at = 0; at < samples.length; at++) mixed[at] = samples[at] + RAW_SHARE * (this.inside[at] ?? 0);
    this.inside = this.inside.slice(samples.length);
    await this.judged.add(this.toJudged.push(mixed));
  }
}
