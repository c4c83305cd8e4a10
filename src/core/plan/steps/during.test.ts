import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { makeDuring } from '@/core/movement';
import { itemAt } from '@/core/units';
import { countingIds } from '../../../../tests/support/chance';
import { duringOn, spread } from './during';

const newId = countingIds('l');
const line = (length: number, at: number | null) => ({ line: makeDuring(newId, 'Soft.'), length, at });

describe('lines over something that runs by itself', () => {
  it('have as much room before as after', () => {
    expect(spread([line(1000, null), line(1000, null)], 0, 11_000).map(({ start }) => start)).toEqual([3000, 7000]);
  });

  it('stand at their time, the others between in the order of the list', () => {
    const found = spread([line(1000, null), line(1000, 10_000), line(1000, null)], 0, 20_000);
    expect(found.map(({ start }) => start)).toEqual([4500, 10_000, 15_000]);
  });

  it('never overlap nor leave their time while there is enough of it', () => {
    const lines = fc.array(fc.tuple(fc.integer({ min: 1, max: 4000 }), fc.option(fc.integer({ min: -5000, max: 90_000 }))), { maxLength: 8 }); // prettier-ignore
    fc.assert(
      fc.property(lines, fc.integer({ min: 0, max: 50_000 }), (wanted, more) => {
        const to = 1000 + wanted.reduce((sum, [length]) => sum + length, 0) + more;
        const found = spread(
          wanted.map(([length, at]) => line(length, at)),
          1000,
          to,
        );
        expect(found.length).toBe(wanted.length);
        found.forEach(({ start, length }, at) => {
          expect(start).toBeGreaterThanOrEqual(
            at === 0 ? 1000 : itemAt(found, at - 1).start + itemAt(found, at - 1).length,
          );
          expect(start + length).toBeLessThanOrEqual(to);
        });
      }),
    );
  });

  it('are said on the sides they are for', () => {
    const on = (['each', 'first', 'second'] as const).map((side) => makeDuring(newId, side, { side }));
    const said = (stretch: number, of: number) => duringOn(on, stretch, of).map(({ text }) => text);
    expect([said(0, 1), said(0, 2), said(1, 2)]).toEqual([['each', 'first', 'second'], ['each', 'first'], ['each', 'second']]); // prettier-ignore
    expect([0, 1, 2, 3].map((at) => said(at, 4))).toEqual([['each', 'first'], ['each'], ['each', 'second'], ['each']]);
  });
});
