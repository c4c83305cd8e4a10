import { Cepstra, Denoiser, joinSamples, Resampler, voiceStretches, type VoiceStretch } from '@/core/signal';
import { JUDGED_RATE, STEP_SAMPLES } from './voice-activity';

/** The rate at which sound is denoised and compared with texts. */
export const HEARING_RATE = 16_000;
/** Sound is judged in blocks of about two minutes, each warmed up on the end of the one before. */
const BLOCK_STEPS = 3840;
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

/** Steps of a take as they were judged. */
export interface JudgedSteps {
  /** How likely each step of `STEP_SAMPLES` holds a voice. */
  readonly likely: Float32Array;
  /** How loud it is, before it is denoised. */
  readonly decibels: Float32Array;
  readonly cepstra: Float32Array;
}

export function heardVoice({ likely, decibels, cepstra }: JudgedSteps): HeardVoice {
  return { stretches: voiceStretches({ likely, decibels, stepSeconds: STEP_SAMPLES / JUDGED_RATE }), cepstra };
}

/**
 * Sound that is judged block by block, one block at a time while the next is gathered. Steps that hold no voice by far,
 * and lie by none that may, are not judged: they are as likely as nothing.
 */
class Judged {
  private samples = new Float32Array((BEFORE_STEPS + BLOCK_STEPS) * STEP_SAMPLES);
  private filled = 0;
  private from = 0;
  private running: Promise<unknown> = Promise.resolve();
  private readonly found: { readonly steps: readonly number[]; readonly likely: Promise<Float32Array> }[] = [];
  /** Sound that is not yet known to be judged or passed over, from a whole step on. */
  private waiting: Float32Array<ArrayBufferLike> = new Float32Array(0);
  /** How many steps are decided, and which of them are in the block that is gathered. */
  private decided = 0;
  private gathered: number[] = [];
  private lastMay = -Infinity;
  private nextMay = 0;

  constructor(private readonly judge: VoiceJudge) {}

  /** The next sound; `may` tells for each step so far whether it may hold a voice. */
  async add(samples: Float32Array, may: readonly boolean[]): Promise<void> {
    this.waiting = joinSamples([this.waiting, samples]);
    const whole = Math.floor(this.waiting.length / STEP_SAMPLES);
    const until = Math.min(this.decided + whole, may.length - LEAD_STEPS);
    await this.decide(until, may);
  }

  /** The likelihood of every step; the last is filled up with silence. */
  async finish(may: readonly boolean[]): Promise<Float32Array> {
    const rest = (STEP_SAMPLES - (this.waiting.length % STEP_SAMPLES)) % STEP_SAMPLES;
    this.waiting = joinSamples([this.waiting, new Float32Array(rest)]);
    await this.decide(this.decided + this.waiting.length / STEP_SAMPLES, may);
    if (this.filled > this.from) await this.judgeBlock();
    const all = new Float32Array(this.decided);
    for (const { steps, likely } of this.found) (await likely).forEach((one, at) => (all[steps[at] ?? 0] = one));
    return all;
  }

  private async decide(until: number, may: readonly boolean[]): Promise<void> {
    const first = this.decided;
    for (; this.decided < until; this.decided++) {
      if (may[this.decided]) this.lastMay = this.decided;
      this.nextMay = Math.max(this.nextMay, this.decided);
      while (this.nextMay < Math.min(may.length, this.decided + LEAD_STEPS) && !may[this.nextMay]) this.nextMay++;
      const near = may[this.nextMay] && this.nextMay - this.decided <= LEAD_STEPS;
      if (!near && this.decided - this.lastMay > TRAIL_STEPS) continue;
      const at = (this.decided - first) * STEP_SAMPLES;
      this.samples.set(this.waiting.subarray(at, at + STEP_SAMPLES), this.filled);
      this.filled += STEP_SAMPLES;
      this.gathered.push(this.decided);
      if (this.filled === this.samples.length) await this.judgeBlock();
    }
    this.waiting = this.waiting.slice((this.decided - first) * STEP_SAMPLES);
  }

  private async judgeBlock(): Promise<void> {
    const block = this.samples.slice(0, this.filled);
    const kept = Math.min(BEFORE_STEPS * STEP_SAMPLES, this.filled);
    this.samples.copyWithin(0, this.filled - kept, this.filled);
    // One block is judged while the next is gathered, and no more: memory does not grow.
    await this.running;
    const likely = this.judge.judge(block, this.from);
    // Whoever waits for the result is told of a failure.
    this.running = likely.catch(() => undefined);
    this.found.push({ steps: this.gathered, likely });
    this.gathered = [];
    this.filled = kept;
    this.from = kept;
  }
}

/**
 * Steps judged before one that may hold a voice, which warm the model up and hold soft beginnings, and after the last.
 */
const LEAD_STEPS = 12;
const TRAIL_STEPS = 6;
/** Of a step's energy, what denoising leaves where somebody may speak; and what is too quiet to be anybody. */
const MAY_LEAVE = 10 ** (-5 / 10);
const MAY_MEAN = 10 ** (-80 / 10);

/** Of the sound as it is, what is judged with the denoised: a voice that was half taken for noise is heard by it. */
export const RAW_SHARE = 0.2;

/**
 * Finds where somebody speaks in sound that streams by: denoised with a little of what it was, and judged.
 * Holds a few minutes of sound; what is kept grows by 5 KB a second.
 */
export class VoiceHearing {
  private readonly denoiser = new Denoiser();
  private readonly cepstra = new Cepstra();
  private readonly judged: Judged;
  private readonly toJudged = new Resampler(HEARING_RATE, JUDGED_RATE);
  private readonly may = new MayBeVoice();
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
    return heardVoice(await this.finishSteps());
  }

  /** What `finish` gives, before it is known from which likelihood on a step is a voice. */
  async finishSteps(): Promise<JudgedSteps> {
    await this.takeClean(this.denoiser.finish());
    await this.judged.add(this.toJudged.finish(), this.may.steps);
    const likely = await this.judged.finish(this.may.steps);
    return { likely, decibels: Float32Array.from(this.may.decibels), cepstra: this.cepstra.read() };
  }

  private async takeClean(samples: Float32Array): Promise<void> {
    this.cepstra.push(samples);
    const mixed = new Float32Array(samples.length);
    for (let at = 0; at < samples.length; at++) {
      const raw = at < this.inside.length ? (this.inside[at] ?? 0) : 0;
      mixed[at] = (samples[at] ?? 0) + RAW_SHARE * raw;
      this.may.add(samples[at] ?? 0, raw);
    }
    this.inside = this.inside.slice(samples.length);
    await this.judged.add(this.toJudged.push(mixed), this.may.steps);
  }
}

/** Whether each step of sound at `HEARING_RATE` may hold a voice, by what denoising left of it. */
class MayBeVoice {
  readonly steps: boolean[] = [];
  readonly decibels: number[] = [];
  private clean = 0;
  private raw = 0;
  private count = 0;

  add(clean: number, raw: number): void {
    this.clean += clean * clean;
    this.raw += raw * raw;
    if (++this.count < MayBeVoice.SAMPLES) return;
    this.steps.push(this.clean > MAY_LEAVE * this.raw && this.clean > MAY_MEAN * this.count);
    this.decibels.push(10 * Math.log10(1e-12 + this.raw / this.count));
    this.clean = this.raw = this.count = 0;
  }

  private static readonly SAMPLES = (STEP_SAMPLES * HEARING_RATE) / JUDGED_RATE;
}
