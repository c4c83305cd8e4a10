import { describe, expect, it } from 'vitest';
import { makeMovement } from '@/core/plan';
import { USUAL_STYLE, type SideSchool } from '@/core/words';
import { countingIds } from '../../../tests/support/chance';
import { sideTold } from '.';

const newId = countingIds('s');
const styled = (sides: SideSchool) => ({ ...USUAL_STYLE, sides });
const eachLeg = makeMovement(newId, 'Ankle circles', { sides: 'both-directions-each-side', startSide: 'right' });
const eachSide = makeMovement(newId, 'The oar', { sides: 'alternating', startSide: 'right' });
const eachWay = makeMovement(newId, 'Wrists', { sides: 'both-directions', startSide: 'right' });

describe('a side as the instructor needs it', () => {
  it('names the side that is said, and the one that is moved in the mirror', () => {
    expect(sideTold('right', eachSide, styled('mirror'))).toEqual({ word: 'right', mine: 'left', way: '' });
    expect(sideTold('right', eachSide, styled('own'))).toEqual({ word: 'right', mine: 'right', way: '' });
  });

  it('names the way of a circle, and no side of the body where none is meant', () => {
    expect(sideTold('one-way', eachWay, styled('mirror'))).toEqual({ word: 'one way', mine: '', way: 'clockwise' });
    expect(sideTold('other-way', eachWay, styled('mirror')).way).toBe('anticlockwise');
  });

  it('names both where a way is circled on a side', () => {
    const told = sideTold('left-other-way', eachLeg, styled('mirror'));
    expect(told).toEqual({ word: 'left', mine: 'right', way: 'anticlockwise' });
  });

  it('calls the side that a movement begins with the one, whichever way it goes, and the other the other', () => {
    const words = (['right', 'left'] as const).map((side) => sideTold(side, eachSide, styled('none')).word);
    expect(words).toEqual(['one', 'other']);
    const four = (['right-one-way', 'right-other-way', 'left-one-way', 'left-other-way'] as const).map((side) => {
      const { word, way } = sideTold(side, eachLeg, styled('none'));
      return `${word}, ${way}`;
    });
    expect(four).toEqual(['one, one way', 'one, the other way', 'other, one way', 'other, the other way']);
  });
});
