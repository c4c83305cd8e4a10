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
    let count = 0;
    while (count < out.length && Math.floor(this.place) + this.half < whole.length) {
      const at = Math.floor(this.place);
      const taps = this.kernel[Math.round((this.place - at) * PHASES)];
      out[count++] = product(taps, whole, at - this.half + 1);
      this.place += this.step;
    }
    const keep = Math.max(0, Math.floor(this.place) - this.half);
    this.held = whole.slice(keep);
    this.place -= keep;
    return out.subarray(0, count);
  }

  /** What is still held, after the last sample. */
  finish(): Float32Array {
    return this.from === this.to ? new Float32Array(0) : this.push(new Float32Array(this.half));
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

/** The sum of products, by two threads of sums that do not wait for each other; `taps` are even in number. */
function product(taps: Float32Array, samples: Float32Array, from: number): number {
  let even = 0;
  let odd = 0;
  for (let tap = 0; tap < taps.length; tap += 2) {
    even += taps[tap] * samples[from + tap];
    odd += taps[tap + 1] * samples[from + tap + 1];
  }
  return even + odd;
}
