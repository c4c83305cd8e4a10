import { Fourier, sineWindow } from './fourier';
import { joinSamples } from './join-samples';

/** Frames of 32 ms every 16 ms, at 16 kHz. */
const SIZE = 512;
const HOP = 256;
const BINS = SIZE / 2 + 1;
/** The floor looks this many frames back and ahead, two seconds; where less can be waited for, so much further back. */
const REACH = 125;
/** Of the power in that time, the share below which is taken for noise. */
const FLOOR_SHARE = 0.5;
/** The floor is worked out anew every so many frames, from every fourth one. */
const FLOOR_EVERY = 32;
const FLOOR_STEP = 4;
/** What is taken away, over the floor, and what is left at least. */
const OVER = 1.6;
const LEAST_GAIN = 0.06;

/**
 * Takes steady noise out of sound at 16 kHz, as it streams by: a Wiener gain for each bin against a floor, the running
 * median of its power over two seconds either way (the method measured in `docs/alignment.md`). Memory does not grow
 * with length; what comes out lies behind what went in by a little over two seconds until `finish`, or by less where
 * it may look less far ahead.
 */
export class Denoiser {
  private readonly fourier = new Fourier(SIZE);
  private readonly window = sineWindow(SIZE);
  private readonly held = new Float32Array(SIZE);
  private heldCount = 0;
  /** Spectra and powers of the last frames, in rings of `REACH` frames either way and the one between. */
  private readonly ring = 2 * REACH + 1;
  private readonly back: number;
  private readonly spectra: Float32Array;
  private readonly powers = new Float32Array(this.ring * BINS);
  private frames = 0;
  private written = 0;
  private readonly floor = new Float32Array(BINS);
  private floorFrom = -1;
  private readonly gains = new Float32Array(BINS);
  private readonly shaped = new Array<number>(2 * SIZE).fill(0);
  private readonly overlap = new Float32Array(SIZE);
  private readonly gathered = new Float32Array(this.ring);
  private readonly framed = new Float32Array(SIZE);

  /** @param ahead Frames of 16 ms that may be waited for, 0 to `REACH`. */
  constructor(private readonly ahead = REACH) {
    this.back = 2 * REACH - ahead;
    this.spectra = new Float32Array((ahead + 1) * 2 * BINS);
  }

  /** Gives back as many denoised samples as are ready. */
  push(samples: Float32Array): Float32Array {
    const out: Float32Array[] = [];
    for (let at = 0; at < samples.length;) {
      const count = Math.min(SIZE - this.heldCount, samples.length - at);
      this.held.set(samples.subarray(at, at + count), this.heldCount);
      this.heldCount += count;
      at += count;
      if (this.heldCount < SIZE) break;
      this.takeFrame();
      this.held.copyWithin(0, HOP);
      this.heldCount = SIZE - HOP;
      if (this.frames > this.ahead) out.push(this.giveFrame());
    }
    return joinSamples(out);
  }

  /** The rest, after the last sample; nothing can be pushed afterwards. */
  finish(): Float32Array {
    const out: Float32Array[] = [];
    if (this.heldCount > 0) {
      this.held.fill(0, this.heldCount);
      this.takeFrame();
    }
    while (this.written < this.frames) out.push(this.giveFrame());
    out.push(this.overlap.slice(0, HOP));
    return joinSamples(out);
  }

  private takeFrame(): void {
    for (let at = 0; at < SIZE; at++) this.framed[at] = (this.held[at] ?? 0) * (this.window[at] ?? 0);
    const spectrum = this.fourier.forward(this.framed);
    const place = (this.frames % (this.ahead + 1)) * 2 * BINS;
    const power = (this.frames % this.ring) * BINS;
    for (let bin = 0; bin < BINS; bin++) {
      const re = spectrum[2 * bin] ?? 0;
      const im = spectrum[2 * bin + 1] ?? 0;
      this.spectra[place + 2 * bin] = re;
      this.spectra[place + 2 * bin + 1] = im;
      this.powers[power + bin] = re * re + im * im;
    }
    this.frames++;
  }

  private giveFrame(): Float32Array {
    const frame = this.written;
    if (this.floorFrom < 0 || frame - this.floorFrom >= FLOOR_EVERY) this.findFloor(frame);
    const place = (frame % (this.ahead + 1)) * 2 * BINS;
    const power = (frame % this.ring) * BINS;
    for (let bin = 0; bin < BINS; bin++) {
      const now = this.powers[power + bin] ?? 0;
      const gain = now > 0 ? Math.max(LEAST_GAIN, 1 - (OVER * (this.floor[bin] ?? 0)) / now) : LEAST_GAIN;
      // Gains fall slowly and rise at once, so that single bins do not chirp.
      this.gains[bin] = Math.max(gain, 0.6 * (this.gains[bin] ?? 0));
    }
    const spectrum = this.shaped;
    for (let bin = 0; bin < BINS; bin++) {
      spectrum[2 * bin] = (this.spectra[place + 2 * bin] ?? 0) * (this.gains[bin] ?? 0);
      spectrum[2 * bin + 1] = (this.spectra[place + 2 * bin + 1] ?? 0) * (this.gains[bin] ?? 0);
    }
    const wave = this.fourier.back(spectrum);
    for (let at = 0; at < SIZE; at++)
      this.overlap[at] = (this.overlap[at] ?? 0) + (wave[2 * at] ?? 0) * (this.window[at] ?? 0);
    const out = this.overlap.slice(0, HOP);
    this.overlap.copyWithin(0, HOP);
    this.overlap.fill(0, SIZE - HOP);
    this.written++;
    return out;
  }

  private findFloor(frame: number): void {
    this.floorFrom = frame;
    const from = Math.max(0, frame - this.back);
    const to = Math.min(this.frames, frame + this.ahead + 1);
    for (let bin = 0; bin < BINS; bin++) {
      let count = 0;
      for (let at = from; at < to; at += FLOOR_STEP)
        this.gathered[count++] = this.powers[(at % this.ring) * BINS + bin] ?? 0;
      this.floor[bin] = ordered(this.gathered, count, Math.min(count - 1, Math.floor(count * FLOOR_SHARE)));
    }
  }
}

/** The `rank`-th smallest of the first `count` values, from 0; their order is changed (Hoare's selection). */
function ordered(values: Float32Array, count: number, rank: number): number {
  let low = 0;
  let high = count - 1;
  while (low < high) {
    const pivot = values[(low + high) >> 1] ?? 0;
    let i = low;
    let j = high;
    while (i <= j) {
      while ((values[i] ?? 0) < pivot) i++;
      while ((values[j] ?? 0) > pivot) j--;
      if (i <= j) {
        const swap = values[i] ?? 0;
        values[i++] = values[j] ?? 0;
        values[j--] = swap;
      }
    }
    if (rank <= j) high = j;
    else if (rank >= i) low = i;
    else break;
  }
  return values[rank] ?? 0;
}
