import { describe, expect, it } from 'vitest';
import { lastingByClock, withTimes } from './time-column';

const COLUMN = ['0 Arrive', '2 Swing', '', '5 Bow', '9 Sit'];

describe('what a column of times is written as', () => {
  const spelled = (...lines: string[]): readonly string[] => withTimes(lines);

  it('is evened out where enough lines have a time', () => {
    for (const apart of [' – ', ': ', '\t', ' | '])
      expect(spelled(`10:00${apart}Bow`, `10:05${apart}Row`, `10:20${apart}Sit`)).toEqual([
        '10:00 Bow',
        '10:05 Row',
        '10:20 Sit',
      ]);
    expect(spelled('[0:00] Bow', '[0:30] Row', '[1:00] Sit')[1]).toBe('0:30 Row');
    expect(spelled('9.00am Bow', '9.05am Row', '9.20am Sit', '9h30 Tea')).toEqual([
      '9:00 Bow',
      '9:05 Row',
      '9:20 Sit',
      '9:30 Tea',
    ]);
    // Numbers of a list with parts are no times.
    const parts = ['1.10 Bow', '1.05 Row', '1.01 Sit', '1.15 Tea'];
    expect(spelled(...parts)).toEqual(parts);
  });

  it('tells how long its lines last, of a day or of a class in minutes', () => {
    expect(spelled('6.00-6.05 Bow', '6.05-6.20 Row', '6.20-6.30 Sit')).toEqual([
      '0-5 min: Bow',
      '5-20 min: Row',
      '20-30 min: Sit',
    ]);
    expect(spelled('0-5 Bow', '5-20 5 animals', '20-30 Sit')[1]).toBe('5-20 min: 5 animals');
    const ranges = ['3-5 Bow', '4-6 Row', '2-3 Sit'];
    expect(spelled(...ranges)).toEqual(ranges);
  });
});

describe('a column of times', () => {
  it('tells when each line is said, from its minute to the next one’s', () => {
    expect(withTimes(COLUMN)).toEqual(['0-2 min: Arrive', '2-5 min: Swing', '', '5-9 min: Bow', 'Sit']);
  });

  it('is none where most lines have no time, where the times do not climb, and where they number a list', () => {
    for (const lines of [
      [...COLUMN, 'Stand.', 'Feel the floor.', 'Let the arms hang.', 'Again.'],
      ['0 Arrive', '2 Swing', '2 Bow', '9 Sit'],
      ['0 Arrive', '5 Swing', '3 Bow', '9 Sit'],
      ['1 Arrive', '4 Swing', '6 Bow', '9 Sit'],
      ['0 Arrive', '1 Swing', '2 Bow', '3 Sit'],
      ['0 Arrive', '2 Swing', '5 Bow'],
    ]) {
      expect(withTimes(lines)).toEqual(lines);
    }
  });

  it('tells how long each line is where clocks do not climb', () => {
    expect(withTimes(['1:00 shake', '0:30 sit'])).toEqual(['shake, 1:00', 'sit, 0:30']);
    const climbing = ['0:30 shake', '1:00 sit'];
    expect(withTimes(climbing)).toEqual(climbing);
    expect(withTimes(['1:00 shake'])).toEqual(['1:00 shake']);
  });

  it('tells how long each line lasts where clocks climb from the start of the class or through a day', () => {
    expect(lastingByClock(['Quay', '0:00 Bow', 'low', '1:30 Row', '4:00 Sit', '9:00 Tea'])).toEqual([null, 90, null, 150, 300, null]); // prettier-ignore
    expect(lastingByClock(['18:00 Bow', '18:05 Row', '[18:20] Sit', '18:30 Tea'])).toEqual([300, 900, 600, null]);
    for (const lines of [
      ['0:00 Bow', '1:30 Row', '4:00 Sit'],
      ['0:00 Bow', '5:00 Row', '4:00 Sit', '6:00 Tea'],
      ['4:00 Bow', '5:00 Row', '6:00 Sit', '7:00 Tea'],
    ])
      expect(lastingByClock(lines)).toEqual(lines.map(() => null));
  });
});
