import { COEFFICIENTS, joinSamples } from '@/core/signal';
import { shapeOf, type Scale, type SpeechShapes } from '../acoustic/cepstral-distances';
import { ORDERS } from '../acoustic/time-warping';
import type { SpeechStretch } from '../model';
import { LOUD_ROOM, QUIET_ROOM, RoomLevel, type HeardSound, type Room } from './room';
import { rootCompressed, SpeechLevel } from './root-compression';

/** A stretch of speech as it is heard, with its sound. */
export type OnlineStretch = SpeechStretch & HeardSound;

/** Stretches whose sound is kept, for what may still be compared and for the voice to be learned from. */
const KEPT = 240;

/** Speech that comes stretch by stretch, as it is measured in a quiet room and in a loud one. */
export class OnlineSpeech {
  readonly stretches: SpeechStretch[] = [];
  private readonly sounds = { plain: new OnlineShapes(), compressed: new OnlineShapes() };
  private readonly level = new SpeechLevel();
  private readonly roomLevel = new RoomLevel();

  add({ startSeconds, endSeconds, likely, cepstra, before }: OnlineStretch): void {
    this.stretches.push({ startSeconds, endSeconds, likely });
    this.roomLevel.add({ cepstra, before });
    this.level.add(cepstra);
    const under = (sound: Float32Array): Float32Array => rootCompressed(sound, this.level.value);
    this.sounds.plain.add({ cepstra, before });
    this.sounds.compressed.add({ cepstra: under(cepstra), before: under(before) });
  }

  /** Whether the sound of stretches is still kept. */
  has(from: number): boolean {
    return this.sounds.plain.has(from);
  }

  /** The room as it was heard of late. */
  get room(): Room {
    return this.roomLevel.isLoud ? LOUD_ROOM : QUIET_ROOM;
  }

  /** The shapes of the stretches as they are measured in a room. */
  shapesIn({ compressed }: Room): SpeechShapes {
    return compressed ? this.sounds.compressed : this.sounds.plain;
  }
}

/** Sounds one after the other as shapes; room and microphone are told from what was said so far. */
class OnlineShapes implements SpeechShapes {
  private readonly sounds = new Map<number, HeardSound>();
  private readonly sums = new Float64Array(ORDERS);
  private readonly squares = new Float64Array(ORDERS);
  private frames = 0;
  private count = 0;

  add({ cepstra, before }: HeardSound): void {
    this.sounds.set(this.count, { cepstra, before });
    this.sounds.delete(this.count - KEPT);
    this.count++;
    for (let from = 0; from < cepstra.length; from += COEFFICIENTS, this.frames++) {
      for (let order = 0; order < ORDERS; order++) {
        const value = cepstra[from + order + 1] ?? 0;
        this.sums[order] = (this.sums[order] ?? 0) + value;
        this.squares[order] = (this.squares[order] ?? 0) + value * value;
      }
    }
  }

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
