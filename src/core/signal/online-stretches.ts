import { median, wholeMilliseconds, type Seconds } from '@/core/units';
import { BRIDGED, LIKELY, QUIET_DECIBELS, SHORTEST, SURELY, type VoiceStretch } from './voice-stretches';

/** How loud voices and what lies between are is told from so many of the last steps of each. */
const REMEMBERED = 600;
const TOLD_BY = 60;

/**
 * Stretches of voice while the sound streams by, from the likelihood of each step; as `voiceStretches` finds them
 * afterwards, but for short words half taken for noise. A stretch is told once it is sure to have ended.
 */
export class OnlineStretches {
  private steps = 0;
  private open: { from: number; to: number; sum: number } | null = null;
  private readonly voice: number[] = [];
  private readonly none: number[] = [];
  private min: number = LIKELY.inNoise;
  private readonly bridged: number;

  constructor(private readonly stepSeconds: Seconds) {
    this.bridged = Math.round(BRIDGED / stepSeconds);
  }

  /** Of all steps so far. */
  get seconds(): Seconds {
    return this.steps * this.stepSeconds;
  }

  /** When somebody began to speak who still does; `null` while nobody does. */
  get openSince(): Seconds | null {
    return this.open && this.open.from * this.stepSeconds;
  }

  /** The next step, how likely it is a voice and how loud; gives a stretch that ended with it. */
  add(likely: number, decibels: number): VoiceStretch | null {
    const step = this.steps++;
    if (likely > SURELY.voice) this.learn(this.voice, decibels);
    if (likely < SURELY.none) this.learn(this.none, decibels);
    if (likely >= this.min) {
      this.open ??= { from: step, to: step, sum: 0 };
      this.open.to = step + 1;
    }
    if (!this.open) return null;
    this.open.sum += likely;
    if (step - this.open.to <= this.bridged - 1) return null;
    const { from, to, sum } = this.open;
    this.open = null;
    if ((to - from) * this.stepSeconds < SHORTEST) return null;
    return {
      startSeconds: wholeMilliseconds(from * this.stepSeconds),
      endSeconds: wholeMilliseconds(to * this.stepSeconds),
      likely: Math.min(1, Math.round((1000 * sum) / (to - from)) / 1000),
    };
  }

  private learn(levels: number[], decibels: number): void {
    levels.push(decibels);
    if (levels.length > REMEMBERED) levels.shift();
    if (this.steps % TOLD_BY !== 0 || Math.min(this.voice.length, this.none.length) < TOLD_BY) return;
    const apart = median(this.voice) - median(this.none);
    this.min = apart > QUIET_DECIBELS ? LIKELY.inQuiet : LIKELY.inNoise;
  }
}
