import { describe, expect, it } from 'vitest';
import { BANDS, bandsOf, cepstraOf, COEFFICIENTS } from '@/core/signal';
import { Random } from '@/core/units';
import { rootCompressed, SpeechLevel, textsCompressed } from './root-compression';

/** Frames whose bands are smooth enough for their cepstra to tell them. */
function sound(count: number, shift = 0, seed = 3): Float32Array {
  const random = new Random(seed);
  return Float32Array.from({ length: count * COEFFICIENTS }, (_, at) => {
    const order = at % COEFFICIENTS;
    return order === 0 ? shift + random.next() : (random.next() - 0.5) / order;
  });
}

describe('cepstra under a root', () => {
  it('are those of bands that come back from cepstra', () => {
    const frame = sound(1);
    const bands = new Float32Array(BANDS);
    bandsOf(frame, 0, bands);
    const again = new Float32Array(COEFFICIENTS);
    cepstraOf(bands, again, 0);
    frame.forEach((value, order) => expect(again[order]).toBeCloseTo(value, 4));
  });

  it('do not depend on how loud all of it is', () => {
    const compressed = (shift: number): Float32Array => {
      const level = new SpeechLevel();
      level.add(sound(20, shift));
      return rootCompressed(sound(20, shift), level.value);
    };
    const near = compressed(4);
    compressed(-3).forEach((value, at) => expect(value).toBeCloseTo(near[at] ?? NaN, 3));
  });

  it('tell less of quiet frames than of loud ones', () => {
    const [loud, quiet] = [sound(1, 0), sound(1, -8)];
    const shapeOf = (frame: Float32Array): number =>
      rootCompressed(frame, 0)
        .slice(1)
        .reduce((sum, one) => sum + Math.abs(one), 0);
    expect(shapeOf(quiet)).toBeLessThan(0.75 * shapeOf(loud));
    expect(shapeOf(quiet)).toBeGreaterThan(0);
  });

  it('takes the texts of a class by one level', () => {
    const [soft, loud] = [sound(10, -4, 5), sound(10, 0, 5)];
    const texts = textsCompressed(new Map([['Softly.', soft], ['Loud.', loud]])); // prettier-ignore
    expect([...texts.keys()]).toEqual(['Softly.', 'Loud.']);
    const [a = 0, b = 0] = [texts.get('Softly.')?.[0], texts.get('Loud.')?.[0]];
    expect(a).toBeLessThan(b);
  });
});
