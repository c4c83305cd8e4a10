import { Fourier } from './fourier';

/** Frames of half a second at 16 kHz: bins of about 2 Hz. */
const SIZE = 8192;
const RATE = 16_000;
const BIN = RATE / SIZE;
/** Mains at 50 and 60 Hz; two of the first three partials have to stand out. */
const MAINS = [50, 60] as const;
const PARTIALS = 3;
/** Of a partial over what lies about it: a tone that does not move. Common practice, no published source. */
const STANDS_OUT_DECIBELS = 9;
const ABOUT_BINS = 8;
const BESIDE_BINS = 2;
const FRAMES_AT_LEAST = 4;
const TOP = Math.ceil((MAINS[1] * PARTIALS) / BIN) + ABOUT_BINS + 1;

/** A hum of the mains: its tone, and how far it stands over the sound about it. */
export interface Hum {
  readonly hertz: 50 | 60;
  readonly overDecibels: number;
}

/** Finds a hum of the mains in mono sound at 16 kHz as it streams by; a voice that passes the tone is not taken for one. */
export class HumFinder {
  private readonly fourier = new Fourier(SIZE);
  private readonly held = new Float32Array(SIZE);
  private filled = 0;
  private readonly decibels = new Float64Array(TOP);
  private frames = 0;

  push(samples: Float32Array): void {
    for (let at = 0; at < samples.length;) {
      const count = Math.min(SIZE - this.filled, samples.length - at);
      this.held.set(samples.subarray(at, at + count), this.filled);
      this.filled += count;
      at += count;
      if (this.filled === SIZE) this.frame();
    }
  }

  /** `null` where there is none, or too little sound to tell. */
  read(): Hum | null {
    if (this.frames < FRAMES_AT_LEAST) return null;
    const found = MAINS.map((hertz) => {
      const over = Array.from({ length: PARTIALS }, (_, at) => this.over(hertz * (at + 1))).sort((a, b) => b - a);
      return { hertz, overDecibels: over[1] ?? 0 };
    }).reduce((best, one) => (one.overDecibels > best.overDecibels ? one : best));
    return found.overDecibels >= STANDS_OUT_DECIBELS
      ? { hertz: found.hertz, overDecibels: Math.round(found.overDecibels) }
      : null;
  }

  private frame(): void {
    for (let at = 0; at < SIZE; at++)
      this.held[at] = (this.held[at] ?? 0) * Math.sin((Math.PI * (at + 0.5)) / SIZE) ** 2;
    const spectrum = this.fourier.forward(this.held);
    for (let bin = 0; bin < TOP; bin++) {
      this.decibels[bin] =
        (this.decibels[bin] ?? 0) +
        10 * Math.log10((spectrum[2 * bin] ?? 0) ** 2 + (spectrum[2 * bin + 1] ?? 0) ** 2 + 1e-12);
    }
    this.frames++;
    this.filled = 0;
  }

  /** How far the mean level at a tone stands over the middle of the levels about it. */
  private over(hertz: number): number {
    const centre = Math.round(hertz / BIN);
    const about: number[] = [];
    for (let bin = centre - ABOUT_BINS; bin <= centre + ABOUT_BINS; bin++) {
      if (Math.abs(bin - centre) > BESIDE_BINS) about.push(this.decibels[bin] ?? 0);
    }
    const peak = Math.max(this.decibels[centre - 1] ?? 0, this.decibels[centre] ?? 0, this.decibels[centre + 1] ?? 0);
    about.sort((a, b) => a - b);
    return (peak - (about[about.length >> 1] ?? 0)) / this.frames;
  }
}
