import { firstItems, itemAt, type Seconds } from '@/core/units';
import { Fourier } from './fourier';

/** Frames of 25 ms every 10 ms, at 16 kHz. */
export const CEPSTRA_HOP = 160;
export const CEPSTRA_SECONDS = CEPSTRA_HOP / 16_000;
const FRAME = 400;
const SIZE = 512;
/** Bands of the spectrum that cepstra are of. */
export const BANDS = 26;
const FORGOTTEN_AT_ONCE = 500;
/** Coefficients of a frame: the level first, then the shape of the spectrum. */
export const COEFFICIENTS = 13;

const melOf = (hertz: number): number => 2595 * Math.log10(1 + hertz / 700);
const hertzOf = (mel: number): number => 700 * (10 ** (mel / 2595) - 1);

/** Triangles between 100 and 7 600 Hz, evenly apart in mel (O'Shaughnessy 1987, from memory). */
const FILTERS = bandFilters();
const COSINES = Array.from({ length: COEFFICIENTS }, (_, order) =>
  Float32Array.from({ length: BANDS }, (_, band) => Math.cos((Math.PI * order * (band + 0.5)) / BANDS)),
);

function bandFilters(): { from: number; weights: Float32Array }[] {
  const [low, high] = [melOf(100), melOf(7600)];
  const edges = Array.from(
    { length: BANDS + 2 },
    (_, at) => (hertzOf(low + ((high - low) * at) / (BANDS + 1)) * SIZE) / 16_000,
  );
  return Array.from({ length: BANDS }, (_, band) => {
    const [left, middle, right] = firstItems(edges.slice(band, band + 3), 3);
    const from = Math.ceil(left);
    const weights = Float32Array.from({ length: Math.max(0, Math.floor(right) - from + 1) }, (_, at) => {
      const bin = from + at;
      return bin < middle ? (bin - left) / (middle - left) : (right - bin) / (right - middle);
    });
    return { from, weights };
  });
}

/**
 * Mel-frequency cepstra of sound at 16 kHz as it streams by, `COEFFICIENTS` for each frame of 10 ms (Davis and
 * Mermelstein 1980, from memory). The first of a frame is the mean of its log bands: its level.
 */
export class Cepstra {
  private readonly fourier = new Fourier(SIZE);
  private readonly window = Float32Array.from(
    { length: FRAME },
    (_, at) => 0.54 - 0.46 * Math.cos((2 * Math.PI * at) / (FRAME - 1)),
  );
  private readonly held = new Float32Array(FRAME);
  private heldCount = 0;
  private readonly framed = new Float32Array(SIZE);
  private readonly bands = new Float32Array(BANDS);
  private found = new Float32Array(COEFFICIENTS * 1024);
  private count = 0;
  private forgotten = 0;

  push(samples: Float32Array): void {
    for (let at = 0; at < samples.length;) {
      const taken = Math.min(FRAME - this.heldCount, samples.length - at);
      this.held.set(samples.subarray(at, at + taken), this.heldCount);
      this.heldCount += taken;
      at += taken;
      if (this.heldCount < FRAME) return;
      this.frame();
      this.held.copyWithin(0, CEPSTRA_HOP);
      this.heldCount = FRAME - CEPSTRA_HOP;
    }
  }

  /** All frames so far, one after the other. */
  read(): Float32Array {
    return this.found.slice(0, this.count * COEFFICIENTS);
  }

  /** The frames of a part of the sound, as far as they are known and not forgotten. */
  between(from: Seconds, to: Seconds): Float32Array {
    const at = (seconds: Seconds): number =>
      Math.max(0, Math.min(this.count, Math.round(seconds / CEPSTRA_SECONDS) - this.forgotten));
    return this.found.slice(at(from) * COEFFICIENTS, at(to) * COEFFICIENTS);
  }

  /** Lets go of what lies before a time; `read` begins there from then on. */
  forgetBefore(seconds: Seconds): void {
    const frames = Math.min(this.count, Math.floor(seconds / CEPSTRA_SECONDS) - this.forgotten);
    // Moved now and then, and not with every frame.
    if (frames < FORGOTTEN_AT_ONCE) return;
    this.found.copyWithin(0, frames * COEFFICIENTS, this.count * COEFFICIENTS);
    this.count -= frames;
    this.forgotten += frames;
  }

  private frame(): void {
    if ((this.count + 1) * COEFFICIENTS > this.found.length) {
      const longer = new Float32Array(this.found.length * 2);
      longer.set(this.found);
      this.found = longer;
    }
    this.framed[0] = (this.held[0] ?? 0) * (this.window[0] ?? 0);
    for (let at = 1; at < FRAME; at++) {
      this.framed[at] = ((this.held[at] ?? 0) - 0.97 * (this.held[at - 1] ?? 0)) * (this.window[at] ?? 0);
    }
    const spectrum = this.fourier.forward(this.framed);
    for (let band = 0; band < BANDS; band++) {
      const { from, weights } = itemAt(FILTERS, band);
      let sum = 0;
      for (let at = 0; at < weights.length; at++) {
        const bin = 2 * (from + at);
        sum +=
          (weights[at] ?? 0) *
          ((spectrum[bin] ?? 0) * (spectrum[bin] ?? 0) + (spectrum[bin + 1] ?? 0) * (spectrum[bin + 1] ?? 0));
      }
      this.bands[band] = Math.log(sum + 1e-6);
    }
    cepstraOf(this.bands, this.found, this.count * COEFFICIENTS);
    this.count++;
  }
}

/** The cepstra of one frame's bands, written from a place on. */
export function cepstraOf(bands: Float32Array, into: Float32Array, at: number): void {
  for (let order = 0; order < COEFFICIENTS; order++) {
    const cosines = itemAt(COSINES, order);
    let sum = 0;
    for (let band = 0; band < BANDS; band++) sum += (bands[band] ?? 0) * (cosines[band] ?? 0);
    into[at + order] = sum / BANDS;
  }
}

/** The bands of the frame that begins at a place, as smooth as its cepstra tell them. */
export function bandsOf(cepstra: Float32Array, at: number, into: Float32Array): void {
  for (let band = 0; band < BANDS; band++) {
    let sum = cepstra[at] ?? 0;
    for (let order = 1; order < COEFFICIENTS; order++)
      sum += 2 * (cepstra[at + order] ?? 0) * (itemAt(COSINES, order)[band] ?? 0);
    into[band] = sum;
  }
}
