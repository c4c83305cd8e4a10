import FFT from 'fft.js';

/** The spectrum of real frames of one length, which is a power of two; its arrays are used again by the next call. */
export class Fourier {
  private readonly fft: FFT;
  private readonly spectrum: number[];
  private readonly wave: number[];

  constructor(readonly size: number) {
    this.fft = new FFT(size);
    this.spectrum = new Array<number>(2 * size).fill(0);
    this.wave = new Array<number>(2 * size).fill(0);
  }

  /** Real and imaginary parts by turns, `size / 2 + 1` pairs of them valid. */
  forward(frame: ArrayLike<number>): number[] {
    this.fft.realTransform(this.spectrum, frame);
    return this.spectrum;
  }

  /** The real wave of what `forward` gave, after it was changed. */
  back(spectrum: number[]): number[] {
    this.fft.completeSpectrum(spectrum);
    this.fft.inverseTransform(this.wave, spectrum);
    return this.wave;
  }
}

/** A window that adds up to one with itself half a window later when it is used on the way in and on the way out. */
export function sineWindow(size: number): Float32Array {
  return Float32Array.from({ length: size }, (_, at) => Math.sin((Math.PI * (at + 0.5)) / size));
}
