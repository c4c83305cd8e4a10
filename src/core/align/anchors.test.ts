import { describe, expect, it } from 'vitest';
import { longestRising } from './anchors';

const at = (plannedStart: number, actualStart: number) => ({ plannedStart, actualStart });

describe('anchors', () => {
  it('are the longest chain that rises in the take as it does in the plan', () => {
    const pairs = [at(0, 5), at(1, 50), at(2, 9), at(3, 8), at(4, 12), at(5, 40), at(6, 13), at(7, 20)];
    expect(longestRising(pairs).map(({ actualStart }) => actualStart)).toEqual([5, 8, 12, 13, 20]);
  });

  it('never stand still: the same time twice is one', () => {
    expect(longestRising([at(0, 3), at(1, 3), at(2, 3)])).toHaveLength(1);
    expect(longestRising([])).toEqual([]);
  });
});
