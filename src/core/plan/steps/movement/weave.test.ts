import { describe, expect, it } from 'vitest';
import { roundsNamed } from './weave';

describe('the rounds that a line names', () => {
  it.each([
    ['round', 3, 5, [3]],
    ['round', 9, 5, [5]],
    ['last', 1, 5, [5]],
    ['last', 2, 5, [4]],
    ['last', 9, 5, [1]],
    ['every', 2, 5, [2, 4]],
    ['every', 3, 9, [3, 6, 9]],
    ['every', 6, 5, []],
    ['every', 0, 2, [1, 2]],
    ['anywhere', 1, 5, []],
  ] as const)('%s %d of %d rounds: %j', (on, number, rounds, named) => {
    expect(roundsNamed({ on, number }, rounds)).toEqual(named);
  });
});
