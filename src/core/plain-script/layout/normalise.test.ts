import { describe, expect, it } from 'vitest';
import { belowEach, evened, isDoubleSpaced, withMarkApart } from './normalise';

describe('what pasting does to a script', () => {
  it('is taken back: other blanks, blanks behind, and how far all of it stands in', () => {
    expect(evened(['    Row,\u00A06 times  ', '', '      - low   stance\t'])).toEqual([
      'Row, 6 times',
      '',
      '  - low stance',
    ]);
  });

  it('leaves columns between tabs as they are', () => {
    const table = ['Row\t6  each\tslow', 'Bow\t4', 'Sit\t2 min'];
    expect(evened(table)).toEqual(table);
    expect(evened(['Friday class\t60 min', 'Row x6'])).toEqual(['Friday class 60 min', 'Row x6']);
  });

  it('of empty lines between all of them none parts anything', () => {
    const apart = ['Arrive', '', 'Row, 6 times', '', 'Sway, 1 min', '', 'Crane x4', '', 'Sit, 2 min', '', 'Goodbye'];
    expect(isDoubleSpaced(apart)).toBe(true);
    expect(belowEach(apart)[0]).toBe('Row, 6 times');
    expect(belowEach(apart).at(-1)).toBe('');
    const parts = ['Warm-up', 'Sway', 'Row', '', 'Main', 'Crane', 'Bow', 'Sit'];
    expect(isDoubleSpaced(parts)).toBe(false);
    expect(belowEach(parts)[2]).toBe('');
  });

  it.each([
    ['-Hold the rail', '- Hold the rail'],
    ['  •inhale: up', '  • inhale: up'],
    ['2.Row', '2. Row'],
    ['3)CRANE x4', '3) CRANE x4'],
    ['1:30 sway', '1:30 sway'],
    ['2.5 minutes', '2.5 minutes'],
    ['-5 to 5', '-5 to 5'],
    ['*Bow*', '*Bow*'],
  ])('the mark of "%s" stands apart', (line, apart) => {
    expect(withMarkApart(line)).toBe(apart);
  });
});
