import { BANDS, bandsOf, cepstraOf, COEFFICIENTS } from '@/core/signal';

/*
 * Cepstra of spectra under a root in place of the logarithm (Lim 1979, "Spectral root homomorphic deconvolution", from
 * memory): the quiet bands, where music is left over, weigh less, and the loud ones, which are the voice, more.
 */

/** The root of power that is taken; found on practice takes of the tuned half's classes and voices. */
const ROOT = 0.05;

/** How loud speech is: the mean of the loudest band of each frame, in natural logarithms of power. */
export class SpeechLevel {
  private sum = 0;
  private count = 0;
  private readonly bands = new Float32Array(BANDS);

  add(cepstra: Float32Array): void {
    for (let from = 0; from < cepstra.length; from += COEFFICIENTS, this.count++) {
      bandsOf(cepstra, from, this.bands);
      this.sum += this.bands.reduce((loudest, band) => Math.max(loudest, band));
    }
  }

  get value(): number {
    return this.count === 0 ? 0 : this.sum / this.count;
  }
}

/** The same frames with their bands, over the level of speech, under the root. */
export function rootCompressed(cepstra: Float32Array, level: number): Float32Array {
  const bands = new Float32Array(BANDS);
  const out = new Float32Array(cepstra.length);
  for (let from = 0; from < cepstra.length; from += COEFFICIENTS) {
    bandsOf(cepstra, from, bands);
    for (let band = 0; band < BANDS; band++) bands[band] = Math.exp(ROOT * ((bands[band] ?? 0) - level)) / ROOT;
    cepstraOf(bands, out, from);
  }
  return out;
}

/** Texts as the plain voice says them, compressed in the same way. */
export function textsCompressed(texts: ReadonlyMap<string, Float32Array>): Map<string, Float32Array> {
  const level = new SpeechLevel();
  for (const said of texts.values()) level.add(said);
  return new Map([...texts].map(([text, said]) => [text, rootCompressed(said, level.value)]));
}
