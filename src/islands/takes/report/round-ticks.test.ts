import { itemAt } from '@/core/units';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { roundTicks } from './round-ticks';

describe('labels of an axis', () => {
  it('are round times on a clock', () => {
    expect(roundTicks(0, 628, 6, true).ticks).toEqual([0, 120, 240, 360, 480, 600, 720]);
    expect(roundTicks(-3, 28, 5, true).ticks).toEqual([-10, 0, 10, 20, 30]);
    expect(roundTicks(0, 3600, 6, true).ticks).toEqual([0, 600, 1200, 1800, 2400, 3000, 3600]);
  });

  it('are round numbers', () => {
    expect(roundTicks(0, 9.3, 5, false).ticks).toEqual([0, 2, 4, 6, 8, 10]);
    expect(roundTicks(0, 87, 5, false).ticks).toEqual([0, 20, 40, 60, 80, 100]);
  });

  it('hold what is drawn, evenly, and are few', () => {
    const bound = fc.double({ min: -5_000, max: 5_000, noNaN: true });
    fc.assert(
      fc.property(bound, bound, fc.boolean(), (a, b, clock) => {
        const [min, max] = a < b ? [a, b] : [b, a];
        fc.pre(max - min > 0.001);
        const { domain, ticks } = roundTicks(min, max, 5, clock);
        expect(domain[0]).toBeLessThanOrEqual(min + 1e-3);
        expect(domain[1]).toBeGreaterThanOrEqual(max - 1e-3);
        expect(ticks.length).toBeLessThanOrEqual(8);
        const step = itemAt(ticks, 1) - itemAt(ticks, 0);
        for (let at = 1; at < ticks.length; at++)
          expect(itemAt(ticks, at) - itemAt(ticks, at - 1)).toBeCloseTo(step, 4);
      }),
    );
  });
});
