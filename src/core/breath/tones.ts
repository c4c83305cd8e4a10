import { itemAt, type Interval, type Seconds } from '@/core/units';
import { lungsWithin } from './lungs';
import type { PhaseKind } from './pattern';

type TonePhase = Interval & { readonly kind: PhaseKind | 'spoken' };

/** Pitch with empty and with full lungs, in hertz: a fifth apart and low, so that it stays under a voice. */
const EMPTY = 147;
const FIFTH = 1.5;
/** A quarter of full scale, softened at either end so that nothing clicks. */
const LEVEL = 0.25;
const SOFT: Seconds = 0.25;

/**
 * A sound that breathes: one tone that rises as the lungs fill and sinks as they empty, silent in rests, in free time
 * and where words lead. Seamless over blocks: phases in order of start, one call after the other.
 */
export class BreathTones {
  private at = 0;
  private turn = 0;
  private phase = 0;
  private lungs = 0;

  /** Begins at a time, in seconds. */
  constructor(
    private readonly phases: readonly TonePhase[],
    private readonly sampleRate: number,
    from: Seconds = 0,
  ) {
    this.at = Math.round(from * sampleRate);
  }

  /** Adds the next samples to what is in the block. */
  addTo(block: Float32Array): void {
    for (let index = 0; index < block.length; index++, this.at++) {
      const seconds = this.at / this.sampleRate;
      while (this.phase < this.phases.length && itemAt(this.phases, this.phase).endSeconds <= seconds) {
        this.lungs = lungsWithin(itemAt(this.phases, this.phase).kind, 1, this.lungs);
        this.phase++;
      }
      const now = this.phases.at(this.phase);
      if (!now || seconds < now.startSeconds || (now.kind !== 'inhale' && now.kind !== 'exhale')) continue;
      const length = now.endSeconds - now.startSeconds;
      const passed = seconds - now.startSeconds;
      const full = lungsWithin(now.kind, passed / length, this.lungs);
      this.turn = (this.turn + (EMPTY * FIFTH ** full) / this.sampleRate) % 1;
      const soft = Math.min(1, passed / SOFT, (length - passed) / SOFT);
      block[index] = (block[index] ?? 0) + LEVEL * soft * Math.sin(2 * Math.PI * this.turn);
    }
  }
}
