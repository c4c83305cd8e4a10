import { describe, expect, it } from 'vitest';
import { DistanceScale } from './distance-scale';

const PLACES = [0, 1, 2, 3, 4];
/** The first text was said; the others are as unlike as texts are. */
const DISTANCES = [0.4, 1, 1.02, 0.98, 1.04];

describe('the scale of distances to the texts of a class', () => {
  it('counts from the middle', () => {
    for (const by of ['all texts', 'other texts'] as const) {
      const scale = new DistanceScale(PLACES, DISTANCES, by);
      expect(scale.inUnits(0, 0.4)).toBeLessThan(-1);
      expect(Math.abs(scale.inUnits(1, 1))).toBeLessThan(0.6);
      expect(scale.inUnits(9, 1.3)).toBeGreaterThan(0.5);
    }
  });

  it('is not widened by the text that was said where the others alone count', () => {
    const [all, others] = (['all texts', 'other texts'] as const).map((by) =>
      new DistanceScale(PLACES, DISTANCES, by).inUnits(0, 0.4),
    );
    expect(others).toBeLessThan(3 * (all ?? 0));
  });

  it('is the same for a text that was not among those compared', () => {
    const [all, others] = (['all texts', 'other texts'] as const).map((by) =>
      new DistanceScale(PLACES, DISTANCES, by).inUnits(7, 0.7),
    );
    expect(others).toBe(all);
  });

  it('has a unit also with one text or none', () => {
    expect(new DistanceScale([], [], 'other texts').inUnits(0, 1)).toBe(0);
    expect(new DistanceScale([0], [0.5], 'other texts').inUnits(0, 0.5)).toBe(0);
  });
});
