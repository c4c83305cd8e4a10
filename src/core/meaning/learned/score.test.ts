import { describe, expect, it } from 'vitest';
import { letterOf, scoreOfLetter } from './coding';
import { featuresOf } from './features';
import { scoreFor } from './score';
import { SCORES, WORDS } from './word-scores';

describe('what was learned of words', () => {
  it('has a letter for each word and question, and words in order', () => {
    const words = WORDS.split(' ');
    expect([...words].sort()).toEqual(words);
    expect(new Set(words).size).toBe(words.length);
    for (const { about } of Object.values(SCORES)) expect(about.length).toBe(words.length);
  });

  it('is written in letters to the nearest step, and cut off beyond the last', () => {
    for (let score = -20; score <= 19; score += 0.7)
      expect(Math.abs(scoreOfLetter(letterOf(score)) - score)).toBeLessThanOrEqual(0.81);
    expect(scoreOfLetter(letterOf(400))).toBeCloseTo(19.2, 9);
    expect(scoreOfLetter(letterOf(-400))).toBeCloseTo(-20.8, 9);
  });

  it('looks at a text by its words without grammar, and by its pairs', () => {
    const { about, present } = featuresOf('Don’t force it, and DON’T wait.');
    expect(about).toEqual(['dont', 'force', 'dont', 'wait']);
    expect([...present]).toEqual(['dont', 'force', 'it', 'and', 'wait', 'dont_force', 'force_it', 'it_and', 'and_dont', 'dont_wait']); // prettier-ignore
    expect(featuresOf('— 12 …')).toEqual({ length: 0, about: [], present: new Set() });
  });

  it('tells lines apart that no table has, and says nothing of no words', () => {
    const { claims, leaves, seat } = scoreFor;
    expect(claims('Gout and eczema clear up within a fortnight.')).toBeGreaterThan(
      claims('Cross the courtyard slowly.') + 2,
    );
    expect(leaves('Whoever prefers may keep a palm on the banister.')).toBeGreaterThan(
      leaves('Slam the drum again!') + 2,
    );
    expect(seat('A pew is free for whoever is tired.')).toBeGreaterThan(seat('The air comes and goes.') + 2);
    for (const score of Object.values(scoreFor)) expect(score('')).toBe(score('…'));
  });
});
