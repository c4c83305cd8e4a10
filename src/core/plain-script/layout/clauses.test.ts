import { describe, expect, it } from 'vitest';
import { clausesOf } from './clauses';

describe('the clauses of what has no stops', () => {
  it.each<readonly [string, readonly string[]]>([
    [
      'start with two minutes standing then lifting the water eight times then rest',
      ['start with two minutes standing', 'then lifting the water eight times', 'then rest'],
    ],
    ['okay so the next one is the heron and then we stand', ['okay so the next one is the heron', 'and then we stand']],
    ['six on the right then six on the left', ['six on the right then six on the left']],
    ['do it slowly then the same on the other leg', ['do it slowly then the same on the other leg']],
    ['as you breathe out let the arms sink', ['as you breathe out let the arms sink']],
    [
      'not above the shoulder if it hurts okay that was ten',
      ['not above the shoulder if it hurts', 'okay that was ten'],
    ],
    ['that was lovely see you on friday', ['that was lovely', 'see you on friday']],
    ['the heron hold twenty seconds each leg', ['the heron, hold twenty seconds each leg']],
    ['half of it forwards and now backwards', ['half of it forwards and now backwards']],
    [
      'arm swings one minute knees circling eight each way ankles ten each side',
      ['arm swings one minute', 'knees circling eight each way', 'ankles ten each side'],
    ],
    [
      'lifting the water eight times breathing in on the way up',
      ['lifting the water eight times', 'breathing in on the way up'],
    ],
    ['warm up shoulder rolls ten times', ['warm up', 'shoulder rolls ten times']],
    ['warm up the hands ten times', ['warm up the hands ten times']],
    ['left and right then a water break', ['left and right', 'then a water break']],
  ])('%s', (text, clauses) => {
    expect(clausesOf(text)).toEqual(clauses);
  });

  it('loses no word', () => {
    const text = 'now now so and then okay good right then so let the arms sink if you can and then and now thanks';
    expect(clausesOf(text).join(' ').split(' ')).toEqual(text.split(' '));
  });

  it('takes no longer for each of many words that join than for a few', () => {
    const often = 30_000;
    expect(clausesOf(`${'so now '.repeat(often)}stand`)).toHaveLength(1);
    expect(clausesOf(`${'and so '.repeat(often)}then stand`)).toHaveLength(1);
  });
});
