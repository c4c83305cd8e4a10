import { quantile, wholeMilliseconds, type Seconds } from '@/core/units';
import { AS_LOUD, BRIDGED, LIKELY, SHORTEST, SURELY, type VoiceStretch } from './voice-stretches';

/** How loud voices and what lies between are is told from so many of the last steps of each. */
const REMEMBERED = 600;
const TOLD_BY = 60;
/** Of what is surely no voice, the share that is told by: all but what seldom happens. */
const MOSTLY = 0.95;
/**
 * A voice is so many times likelier than what is surely none mostly is, within the bounds of `LIKELY`: what sounds along
 * with it is taken for half a voice in surf, and hardly in music. Found on the takes of `docs/perform.md`.
 */
const LIKELIER = 40;
/** What is as loud as a voice is so many decibels louder than what is surely none mostly is. */
const LOUD_ABOVE = 3;

/**
 * Stretches of voice while the sound streams by, from the likelihood of each step; in quiet as `voiceStretches` finds
 * them afterwards, in noise by how loud a voice is where that finds what is faint. Told once one is sure to have ended.
 */
export class OnlineStretches {
  private steps = 0;
  private open: { from: number; to: number; sum: number } | null = null;
  private readonly voice = new Levels();
  private readonly none = new Levels();
  /** How likely a voice what is surely none is. */
  private readonly noneLikely = new Levels();
  private min: number = LIKELY.inNoise;
  private asLoud = Infinity;
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
    if (likely > SURELY.voice) this.voice.add(decibels);
    if (likely < SURELY.none) {
      this.none.add(decibels);
      this.noneLikely.add(likely);
    }
    if (this.steps % TOLD_BY === 0) this.learn();
    if (likely >= this.min || (likely > AS_LOUD.likely && decibels >= this.asLoud)) {
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

  private learn(): void {
    if (Math.min(this.voice.count, this.none.count) < TOLD_BY) return;
    this.min = Math.min(LIKELY.inNoise, Math.max(LIKELY.inQuiet, LIKELIER * this.noneLikely.at(MOSTLY)));
    this.asLoud = Math.max(this.voice.at(0.5) - AS_LOUD.below, this.none.at(MOSTLY) + LOUD_ABOVE);
  }
}

/** The last of some values. */
class Levels {
  private readonly values: number[] = [];

  get count(): number {
    return this.values.length;
  }

  add(value: number): void {
    this.values.push(value);
    if (this.values.length > REMEMBERED) this.values.shift();
  }

  /** The value that a share of them lies below. */
  at(share: number): number {
    return quantile(this.values, share);
  }
}
