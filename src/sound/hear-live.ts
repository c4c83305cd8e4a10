import type { OnlineStretch } from '@/core/align';
import { Cepstra, Denoiser, joinSamples, OnlineStretches, Resampler } from '@/core/signal';
import { HEARING_RATE, RAW_SHARE } from './hear-voice';
import { JUDGED_RATE, STEP_SAMPLES } from './voice-activity';

const STEP_SECONDS = STEP_SAMPLES / JUDGED_RATE;
const STEP_AT_HEARING = (STEP_SAMPLES * HEARING_RATE) / JUDGED_RATE;

/** Judges one step of sound after the other; see `VoiceActivityStream`. */
export interface StepJudge {
  step(samples: Float32Array): Promise<number>;
}

/**
 * Hears a microphone while somebody speaks: denoised without looking ahead, judged step by step, and cut into stretches
 * that are told a tenth of a second after they end. Memory does not grow with length.
 */
export class LiveHearing {
  private readonly denoiser = new Denoiser(0);
  private readonly cepstra = new Cepstra();
  private readonly stretches = new OnlineStretches(STEP_SECONDS);
  private readonly toJudged = new Resampler(HEARING_RATE, JUDGED_RATE);
  private inside: Float32Array = new Float32Array(0);
  private waiting: Float32Array = new Float32Array(0);
  private readonly decibels: number[] = [];
  private lastEnd = 0;
  private level = { sum: 0, count: 0 };

  constructor(private readonly judge: StepJudge) {}

  /** Seconds of sound that were judged. */
  get seconds(): number {
    return this.stretches.seconds;
  }

  /** Whether somebody speaks just now. */
  get isSpeaking(): boolean {
    return this.stretches.openSince !== null;
  }

  /** Mono sound at `HEARING_RATE`; gives the stretches that ended with it, in order, with their cepstra. */
  async push(samples: Float32Array): Promise<OnlineStretch[]> {
    this.inside = joinSamples([this.inside, samples]);
    const clean = this.denoiser.push(samples);
    this.cepstra.push(clean);
    const mixed = new Float32Array(clean.length);
    for (let at = 0; at < clean.length; at++) {
      const raw = this.inside[at] ?? 0;
      mixed[at] = (clean[at] ?? 0) + RAW_SHARE * raw;
      this.addLevel(raw);
    }
    this.inside = this.inside.slice(clean.length);
    this.waiting = joinSamples([this.waiting, this.toJudged.push(mixed)]);
    const ended: OnlineStretch[] = [];
    let at = 0;
    for (; at + STEP_SAMPLES <= this.waiting.length; at += STEP_SAMPLES) {
      const likely = await this.judge.step(this.waiting.subarray(at, at + STEP_SAMPLES));
      const one = this.stretches.add(likely, this.decibels.shift() ?? -120);
      if (!one) continue;
      const { startSeconds, endSeconds } = one;
      const before = this.cepstra.between(Math.max(this.lastEnd, startSeconds - KEPT_SECONDS), startSeconds);
      ended.push({ ...one, before, cepstra: this.cepstra.between(startSeconds, endSeconds) });
      this.lastEnd = endSeconds;
    }
    this.waiting = this.waiting.slice(at);
    this.cepstra.forgetBefore((this.stretches.openSince ?? this.stretches.seconds) - 2 * KEPT_SECONDS);
    return ended;
  }

  private addLevel(raw: number): void {
    const { level } = this;
    level.sum += raw * raw;
    if (++level.count < STEP_AT_HEARING) return;
    this.decibels.push(10 * Math.log10(1e-12 + level.sum / level.count));
    this.level = { sum: 0, count: 0 };
  }
}

/** What lies before a stretch is kept for so long: parts of one line lie no further apart. */
const KEPT_SECONDS = 1;
