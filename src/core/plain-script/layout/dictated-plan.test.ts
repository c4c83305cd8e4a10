import { describe, expect, it } from 'vitest';
import { asNoted, isPlanned, withoutLead } from './dictated-plan';

describe('the clauses of a plan that was dictated', () => {
  it.each<readonly [string, readonly string[], readonly string[]]>([
    ['what leads on', ['and then second thing shaking for a minute'], ['Shaking for a minute']],
    ['a number alone', ['heel raises fifteen', 'day four'], ['Heel raises, fifteen times', 'Day four']],
    [
      'what it is, and how often',
      ['then the wave which is both arms up and down', 'we do nine of those'],
      ['The wave: both arms up and down, nine times'],
    ],
    [
      'an amount for each of some',
      [
        'we do three movements each one eight times so opening the chest',
        'then holding the ball',
        'then the goose',
        'then rest',
      ],
      ['Opening the chest, eight times', 'Holding the ball, eight times', 'The goose, eight times', 'Then rest'],
    ],
    [
      'fewer than there are said to be',
      ['four exercises all six times bowing low', 'then rest for a minute'],
      ['bowing low, six times', 'Rest for a minute'],
    ],
  ])('%s', (_, clauses, noted) => {
    expect(asNoted(clauses).map((one) => one.toLowerCase())).toEqual(noted.map((one) => one.toLowerCase()));
  });

  it('are those of no plan where few have an amount', () => {
    expect(isPlanned(['let the arms sink', 'keep the knees soft', 'do six of those', 'and rest'])).toBe(false);
    expect(isPlanned(['shake for a minute', 'row six times', 'and rest'])).toBe(true);
  });

  it('begin with a capital without what leads to them', () => {
    expect(withoutLead('then the big circles')).toBe('The big circles');
    expect(withoutLead('then rest')).toBe('Then rest');
  });
});
