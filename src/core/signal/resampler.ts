import { itemAt } from '@/core/units';
/** Taps to either side of a sample, in samples of the slower rate. */
const REACH = 10;
/** Places between two samples for which the kernel is worked out; between them the nearest is taken. */
const PHASES = 256;
/** Of half the slower rate, what is let through whole. */
const PASS = 0.92;

/**
 * Brings mono sound to another rate as it streams by: a windowed sinc (Hann; Smith, Digital Audio Resampling, from
 * memory). Memory does not grow with length.
 */
export class Resampler {
  private readonly kernel: readonly Float32Array[];
  private readonly half: number;
  /** Of a step in whole samples: the taps from the middle outwards; they are the same to either side. */
  private readonly outwards: Float64Array | null;
  private readonly step: number;
  private held: Float32Array;
  /** Place of the next sample given, in samples held. */
  private place: number;

  /** Both in hertz. @throws RangeError when one is not a positive number. */
  constructor(
    readonly from: number,
    readonly to: number,
  ) {
    if (!(from > 0 && to > 0 && Number.isFinite(from / to))) throw new RangeError(`Resampler: ${from} to ${to} Hz`);
    this.step = from / to;
    const cut = PASS * Math.min(1, to / from);
    this.half = Math.ceil(REACH * Math.max(1, this.step));
    this.kernel = Array.from({ length: PHASES + 1 }, (_, phase) => this.taps(phase / PHASES, cut));
    this.outwards = Number.isInteger(this.step)
      ? Float64Array.from(itemAt(this.kernel, 0).subarray(this.half - 1))
      : null;
    this.held = new Float32Array(this.half);
    this.place = this.half;
  }

  /** Gives back as many samples as are ready. */
  push(samples: Float32Array): Float32Array {
    if (this.from === this.to) return samples;
    const whole = new Float32Array(this.held.length + samples.length);
    whole.set(this.held);
    whole.set(samples, this.held.length);
    const out = new Float32Array(Math.max(0, Math.ceil((whole.length - this.half - this.place) / this.step)));
    const count = this.outwards ? this.byWholeSteps(whole, out, this.outwards) : this.between(whole, out);
    const keep = Math.max(0, Math.floor(this.place) - this.half);
    this.held = whole.slice(keep);
    this.place -= keep;
    return out.subarray(0, count);
  }

  /** What is still held, after the last sample. */
  finish(): Float32Array {
    return this.from === this.to ? new Float32Array(0) : this.push(new Float32Array(this.half));
  }

  private byWholeSteps(whole: Float32Array, out: Float32Array, outwards: Float64Array): number {
    // Whole numbers that the engine knows to be such: places among samples are found several times as fast.
    const step = this.step | 0;
    const half = this.half | 0;
    let place = this.place | 0;
    let count = 0;
    for (; count < out.length && place + half < whole.length; place += step)
      out[count++] = symmetric(outwards, whole, place);
    this.place = place;
    return count;
  }

  private between(whole: Float32Array, out: Float32Array): number {
    const { step, half, kernel } = this;
    let place = this.place;
    let count = 0;
    for (; count < out.length; place += step) {
      const at = place | 0;
      if (at + half >= whole.length) break;
      out[count++] = product(itemAt(kernel, Math.round((place - at) * PHASES)), whole, (at - half + 1) | 0);
    }
    this.place = place;
    return count;
  }

  private taps(share: number, cut: number): Float32Array {
    const taps = Float32Array.from({ length: 2 * this.half }, (_, tap) => {
      const off = tap - this.half + 1 - share;
      const window = Math.abs(off) >= this.half ? 0 : 0.5 + 0.5 * Math.cos((Math.PI * off) / this.half);
      return off === 0 ? cut : (Math.sin(Math.PI * cut * off) / (Math.PI * off)) * window;
    });
    const sum = taps.reduce((total, tap) => total + tap, 0);
    return taps.map((tap) => tap / sum);
  }
}

/** The sum of products about a sample, by two sums that do not wait for each other; `outwards` begins with its own. */
function symmetric(outwards: Float64Array, samples: Float32Array, at: number): number {
  let odd = 0;
  let even = (outwards[0] ?? 0) * (samples[at] ?? 0);
  const last = outwards.length - 1;
  for (let off = 1, left = at - 1, right = at + 1; off < last; off += 2, left -= 2, right += 2) {
    odd += (outwards[off] ?? 0) * ((samples[left] ?? 0) + (samples[right] ?? 0));
    even += (outwards[off + 1] ?? 0) * ((samples[left - 1] ?? 0) + (samples[right + 1] ?? 0));
  }
  return even + odd;
}

/** The sum of products, by two sums that do not wait for each other; `taps` are even in number. */
function product(taps: Float32Array, samples: Float32Array, from: number): number {
  let even = 0;
  let odd = 0;
  for (let tap = 0; tap < taps.length; tap += 2) {
    even += (taps[tap] ?? 0) * (samples[from + tap] ?? 0);
    odd += (taps[tap + 1] ?? 0) * (samples[from + tap + 1] ?? 0);
  }
  return even + odd;
}
