import { COEFFICIENTS, joinSamples } from '@/core/signal';
import { shapeOf, type Scale, type SpeechShapes } from '../acoustic/cepstral-distances';
import { ORDERS } from '../acoustic/time-warping';
import type { SpeechStretch } from '../model';

/** A stretch of speech as it is heard, with its cepstra and those of what lies before it. */
export interface OnlineStretch extends SpeechStretch {
  readonly cepstra: Float32Array;
  /** Of the silence since the stretch before, or the last of it. */
  readonly before: Float32Array;
}

/** Stretches whose sound is kept, for what may still be compared and for the voice to be learned from. */
const KEPT = 240;

/** Speech that comes stretch by stretch, as shapes; room and microphone are told from what was said so far. */
export class OnlineSpeech implements SpeechShapes {
  readonly stretches: SpeechStretch[] = [];
  private readonly sounds = new Map<number, Pick<OnlineStretch, 'cepstra' | 'before'>>();
  private readonly sums = new Float64Array(ORDERS);
  private readonly squares = new Float64Array(ORDERS);
  private frames = 0;

  add({ startSeconds, endSeconds, likely, cepstra, before }: OnlineStretch): void {
    const at = this.stretches.length;
    this.stretches.push({ startSeconds, endSeconds, likely });
    this.sounds.set(at, { cepstra, before });
    this.sounds.delete(at - KEPT);
    for (let from = 0; from < cepstra.length; from += COEFFICIENTS, this.frames++) {
      for (let order = 0; order < ORDERS; order++) {
        const value = cepstra[from + order + 1] ?? 0;
        this.sums[order] = (this.sums[order] ?? 0) + value;
        this.squares[order] = (this.squares[order] ?? 0) + value * value;
      }
    }
  }

  /** Whether the sound of stretches is still kept. */
  has(from: number): boolean {
    return this.sounds.has(from);
  }

  shape(from: number, to: number): Float32Array {
    const parts: Float32Array[] = [];
    for (let at = from; at < to; at++) {
      const sound = this.sounds.get(at);
      if (!sound) continue;
      if (at > from) parts.push(sound.before);
      parts.push(sound.cepstra);
    }
    return shapeOf(joinSamples(parts), this.scale());
  }

  private scale(): Scale {
    const count = Math.max(1, this.frames);
    const mean = Float32Array.from(this.sums, (sum) => sum / count);
    const deviation = Float32Array.from(this.squares, (sum, order) =>
      Math.sqrt(Math.max(1e-6, sum / count - (mean[order] ?? 0) ** 2)),
    );
    return { mean, deviation };
  }
}
