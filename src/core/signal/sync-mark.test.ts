import { describe, expect, it } from 'vitest';
import { itemAt, Random } from '@/core/units';
import { SYNC_TONE_SECONDS, SYNC_TONES, SyncMarkFinder } from '.';

const RATE = 16_000;

/** Noise with marks in it. */
function sound(seconds: number, marks: readonly number[], noise: number, level = 0.2): Float32Array {
  const chance = new Random(7);
  const samples = Float32Array.from({ length: seconds * RATE }, () => noise * (2 * chance.next() - 1));
  for (const mark of marks) {
    for (const { atSeconds, hertz } of SYNC_TONES) {
      const from = Math.round((mark + atSeconds) * RATE);
      for (let at = 0; at < SYNC_TONE_SECONDS * RATE; at++)
        samples[from + at] = (samples[from + at] ?? 0) + level * Math.sin((2 * Math.PI * hertz * at) / RATE);
    }
  }
  return samples;
}

function found(samples: Float32Array, piece = 777): number[] {
  const finder = new SyncMarkFinder();
  for (let at = 0; at < samples.length; at += piece) finder.push(samples.subarray(at, at + piece));
  return finder.read();
}

describe('the sync mark', () => {
  it.each([0, 0.01, 0.1])('is found to 20 ms under noise of %f, however the sound is cut', (noise) => {
    const marks = [1.003, 7.51, 12.9];
    for (const piece of [160, 777, 48_000]) {
      const times = found(sound(16, marks, noise), piece);
      expect(times.length).toBe(3);
      times.forEach((time, at) => expect(Math.abs(time - itemAt(marks, at))).toBeLessThanOrEqual(0.021));
    }
  });

  it('is not found in silence, in noise, in one tone that holds, or in tones in another order', () => {
    expect(found(new Float32Array(8 * RATE))).toEqual([]);
    expect(found(sound(20, [], 0.3))).toEqual([]);
    for (const hertz of [800, 1000, 1250]) {
      expect(
        found(Float32Array.from({ length: 4 * RATE }, (_, at) => Math.sin((2 * Math.PI * hertz * at) / RATE))),
      ).toEqual([]);
    }
    expect(found(sound(6, [2], 0.01).reverse())).toEqual([]);
  });
});
