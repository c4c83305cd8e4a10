import { itemAt, type Seconds } from '@/core/units';

/*
 * Loudness and true peak by ITU-R BS.1770-4. The two filters of the K weighting are worked out for any rate from the
 * analogue values behind the coefficients that the recommendation lists for 48 kHz (De Man 2014, from memory; the
 * coefficients themselves are compared in `tests/signal`).
 */

const SHELF = { hertz: 1681.974450955533, decibels: 3.999843853973347, quality: 0.7071752369554196 };
const HIGH_PASS = { hertz: 38.13547087602444, quality: 0.5003270373238773 };
/** Blocks of 400 ms, one every 100 ms. */
const HOP: Seconds = 0.1;
const HOPS_A_BLOCK = 4;
const OFFSET = -0.691;
const ABSOLUTE_GATE = -70;
const RELATIVE_GATE = -10;
/** Surround channels of five count so much more; the fourth, for low effects, does not count. */
const SURROUND = 1.41;
/** The true peak is looked for between samples, this many times as fine. */
const FINER = 4;
const TAPS = 12;

/** A section of second order: `b0 b1 b2 a1 a2`. */
export type Section = readonly [number, number, number, number, number];

/** The two sections of the K weighting at a rate in hertz. */
export function kWeighting(rate: number): readonly [Section, Section] {
  const warp = Math.tan((Math.PI * SHELF.hertz) / rate);
  const high = 10 ** (SHELF.decibels / 20);
  const band = high ** 0.4996667741545416;
  const base = 1 + warp / SHELF.quality + warp * warp;
  const slow = Math.tan((Math.PI * HIGH_PASS.hertz) / rate);
  const under = 1 + slow / HIGH_PASS.quality + slow * slow;
  return [
    [
      (high + (band * warp) / SHELF.quality + warp * warp) / base,
      (2 * (warp * warp - high)) / base,
      (high - (band * warp) / SHELF.quality + warp * warp) / base,
      (2 * (warp * warp - 1)) / base,
      (1 - warp / SHELF.quality + warp * warp) / base,
    ],
    [1, -2, 1, (2 * (slow * slow - 1)) / under, (1 - slow / HIGH_PASS.quality + slow * slow) / under],
  ];
}

/** Runs two sections over sound and adds up the squares. */
class Weighted {
  private readonly sections: readonly [Section, Section];
  private readonly state = new Float64Array(4);

  constructor(rate: number) {
    this.sections = kWeighting(rate);
  }

  energy(samples: Float32Array, from: number, to: number): number {
    const [[b0, b1, b2, a1, a2], [c0, c1, c2, d1, d2]] = this.sections;
    const { state } = this;
    let s0 = state[0] ?? 0;
    let s1 = state[1] ?? 0;
    let s2 = state[2] ?? 0;
    let s3 = state[3] ?? 0;
    let sum = 0;
    for (let at = from; at < to; at++) {
      const sample = samples[at] ?? 0;
      const shelved = b0 * sample + s0;
      s0 = b1 * sample - a1 * shelved + s1;
      s1 = b2 * sample - a2 * shelved;
      const passed = c0 * shelved + s2;
      s2 = c1 * shelved - d1 * passed + s3;
      s3 = c2 * shelved - d2 * passed;
      sum += passed * passed;
    }
    state[0] = s0;
    state[1] = s1;
    state[2] = s2;
    state[3] = s3;
    return sum;
  }
}

/** Kernels between one sample and the next: a windowed sinc. */
const BETWEEN = Array.from({ length: FINER - 1 }, (_, phase) => {
  const share = (phase + 1) / FINER;
  const taps = Float64Array.from({ length: TAPS }, (__, tap) => {
    const off = tap - TAPS / 2 + 1 - share;
    return (Math.sin(Math.PI * off) / (Math.PI * off)) * (0.5 + 0.5 * Math.cos((Math.PI * off) / (TAPS / 2)));
  });
  const sum = taps.reduce((total, tap) => total + tap, 0);
  return taps.map((tap) => tap / sum);
});
/** No point between samples can be higher than this times the highest of the samples about it. */
const HIGHEST_GAIN = Math.max(...BETWEEN.map((taps) => taps.reduce((total, tap) => total + Math.abs(tap), 0)));

class TruePeak {
  peak = 0;
  private held = new Float32Array(TAPS - 1);

  push(samples: Float32Array): void {
    const whole = new Float32Array(this.held.length + samples.length);
    whole.set(this.held);
    whole.set(samples, this.held.length);
    // Where no sample about a place is high enough, nothing between them can be.
    if (highest(whole) * HIGHEST_GAIN > this.peak) this.search(whole);
    this.held = whole.slice(Math.max(0, whole.length - TAPS + 1));
  }

  private search(whole: Float32Array): void {
    let high = -1;
    for (let at = 0; at < whole.length; at++) {
      const size = Math.abs(whole[at] ?? 0);
      if (size > this.peak) this.peak = size;
      if (size * HIGHEST_GAIN > this.peak) high = at;
      const first = at - TAPS + 1;
      if (first >= 0 && high >= first) this.between(whole, first);
    }
  }

  private between(whole: Float32Array, first: number): void {
    for (const taps of BETWEEN) {
      let sum = 0;
      for (let tap = 0; tap < TAPS; tap++) sum += (taps[tap] ?? 0) * (whole[first + tap] ?? 0);
      const size = Math.abs(sum);
      if (size > this.peak) this.peak = size;
    }
  }
}

function highest(samples: Float32Array): number {
  let max = 0;
  for (let at = 0; at < samples.length; at++) {
    const size = (samples[at] ?? 0) < 0 ? -(samples[at] ?? 0) : (samples[at] ?? 0);
    if (size > max) max = size;
  }
  return max;
}

export interface LoudnessFigures {
  /** LUFS over the whole, gated; `null` when all of it is silent. */
  readonly integrated: number | null;
  /** The loudest 400 ms and the loudest three seconds, LUFS. */
  readonly momentaryMost: number | null;
  readonly shortTermMost: number | null;
  /** dBTP; `null` in digital silence. */
  readonly truePeak: number | null;
}

/** Measures loudness as sound streams by; keeps eight bytes for every 100 ms. */
export class Loudness {
  private readonly hop: number;
  private readonly filters: readonly Weighted[];
  private readonly weights: readonly number[];
  private readonly peaks: readonly TruePeak[];
  private hops = new Float64Array(1024);
  private count = 0;
  private energy = 0;
  private inHop = 0;

  /** @throws RangeError unless there are 1 to 32 channels at 4000 to 384 000 Hz. */
  constructor(
    readonly rate: number,
    readonly channels: number,
  ) {
    if (!(rate >= 4000 && rate <= 384_000 && channels >= 1 && channels <= 32)) {
      throw new RangeError(`Loudness: ${channels} channels at ${rate} Hz`);
    }
    this.hop = Math.round(rate * HOP);
    this.filters = Array.from({ length: channels }, () => new Weighted(rate));
    this.peaks = Array.from({ length: channels }, () => new TruePeak());
    this.weights = Array.from({ length: channels }, (_, at) => weightOf(at, channels));
  }

  /** The next samples of every channel, all of one length. */
  push(planes: readonly Float32Array[]): void {
    const length = itemAt(planes, 0).length;
    for (let from = 0; from < length;) {
      const to = Math.min(length, from + this.hop - this.inHop);
      planes.forEach((plane, channel) => {
        if ((this.weights[channel] ?? 0) > 0)
          this.energy += (this.weights[channel] ?? 0) * itemAt(this.filters, channel).energy(plane, from, to);
      });
      this.inHop += to - from;
      from = to;
      if (this.inHop === this.hop) this.endHop();
    }
    planes.forEach((plane, channel) => itemAt(this.peaks, channel).push(plane));
  }

  read(): LoudnessFigures {
    const blocks = this.runs(HOPS_A_BLOCK);
    const peak = Math.max(...this.peaks.map((one) => one.peak));
    return {
      integrated: gated(blocks),
      momentaryMost: loudest(blocks),
      shortTermMost: loudest(this.runs(30)),
      truePeak: peak > 0 ? 20 * Math.log10(peak) : null,
    };
  }

  /** Mean power of every run of so many hops. */
  private runs(hops: number): Float64Array {
    const found = new Float64Array(Math.max(0, this.count - hops + 1));
    for (let at = 0; at < found.length; at++) {
      let sum = 0;
      for (let hop = 0; hop < hops; hop++) sum += this.hops[at + hop] ?? 0;
      found[at] = sum / hops;
    }
    return found;
  }

  private endHop(): void {
    if (this.count === this.hops.length) {
      const longer = new Float64Array(2 * this.hops.length);
      longer.set(this.hops);
      this.hops = longer;
    }
    this.hops[this.count++] = this.energy / this.hop;
    this.energy = 0;
    this.inHop = 0;
  }
}

function weightOf(channel: number, channels: number): number {
  if (channels < 5) return 1;
  if (channels > 5 && channel === 3) return 0;
  const surroundFrom = channels > 5 ? 4 : 3;
  return channel >= surroundFrom && channel < surroundFrom + 2 ? SURROUND : 1;
}

const lufs = (power: number): number => OFFSET + 10 * Math.log10(power);

function loudest(powers: Float64Array): number | null {
  let max = 0;
  for (const power of powers) if (power > max) max = power;
  return max > 0 ? lufs(max) : null;
}

function gated(blocks: Float64Array): number | null {
  const above = (gate: number): number => {
    let sum = 0;
    let count = 0;
    for (const power of blocks) {
      if (power <= 0 || lufs(power) <= gate) continue;
      sum += power;
      count++;
    }
    return count > 0 ? sum / count : 0;
  };
  const first = above(ABSOLUTE_GATE);
  if (first === 0) return null;
  const second = above(Math.max(ABSOLUTE_GATE, lufs(first) + RELATIVE_GATE));
  return second > 0 ? lufs(second) : null;
}
