import { describe, expect, it } from 'vitest';
import { makeMovement, turnsOf } from '.';

let count = 0;
const newId = (): string => `t${++count}`;
const told = (part: Parameters<typeof makeMovement>[2], rounds: number) =>
  turnsOf(makeMovement(newId, 'Oar', part), rounds).map(
    ({ side, round, last, changes }) => `${side ?? '-'}${round}${last ? ' last' : ''}${changes ? ' changes' : ''}`,
  );

describe('the turns of a movement', () => {
  it('together: each round once, the last one last', () => {
    expect(told({ sides: 'together' }, 3)).toEqual(['-1', '-2', '-3 last']);
  });

  it('on one side and then on the other: the change comes with the first round of the second', () => {
    expect(told({ sides: 'one-then-other', startSide: 'left' }, 2)).toEqual([
      'left1',
      'left2 last',
      'right1 changes',
      'right2 last',
    ]);
    expect(told({ sides: 'one-then-other', startSide: 'right' }, 1)).toEqual(['right1 last', 'left1 last changes']);
  });

  it('by turns: both sides of a round before the next, the last one told on its first', () => {
    expect(told({ sides: 'alternating', startSide: 'right' }, 2)).toEqual(['right1', 'left1', 'right2 last', 'left2']);
  });
});
