import { describe, expect, it } from 'vitest';
import { evidenceSentence } from './evidence';

describe('what a line was found by', () => {
  it.each([
    [{ by: 'words', heard: 'in to the belly', nearer: null }, 'Heard there: “in to the belly”.'],
    [{ by: 'words', heard: 'Good morning.', nearer: null }, 'Heard there: “Good morning.”'],
    [{ by: 'words', heard: null, nearer: null }, 'By the words about it.'],
    [{ by: 'length', heard: null, nearer: null }, 'By its length and place only.'],
    [{ by: 'length', heard: 'nn', nearer: null }, 'By its place; heard there: “nn”.'],
    [{ by: 'sound', heard: null, nearer: null }, 'By its place: the lines run into each other there.'],
    [
      { by: 'sound', heard: null, nearer: 3.14 },
      'By its sound: nearer to this line than to others by 3.1 times their usual difference.',
    ],
  ] as const)('is told in a sentence: %j', (evidence, sentence) => {
    expect(evidenceSentence(evidence)).toBe(sentence);
  });

  it('does not call a sound near that is not', () => {
    expect(evidenceSentence({ by: 'sound', heard: null, nearer: -0.4 })).toContain('no nearer');
  });
});
