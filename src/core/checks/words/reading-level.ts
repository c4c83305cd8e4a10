import { countSyllables, wordsOf } from '@/core/speech';
import { remembered } from '@/core/units';
import type { ClassCheck } from '../model';

/** Grade by Flesch and Kincaid above which a class is hard to follow by ear; common practice for plain language. */
const MOST = 8;
/** Words below which the figure says little. */
const ENOUGH = 60;

const countsOf = remembered((text: string) => {
  const said = wordsOf(text);
  return {
    words: said.length,
    sentences: Math.max(1, (text.match(/[.?!]+(?=\s|$)/g) ?? []).length),
    syllables: said.reduce((sum, word) => sum + countSyllables(word), 0),
  };
});

/**
 * What is said is hard to follow by ear. Grade = 0.39 words a sentence + 11.8 syllables a word − 15.59 (Kincaid and
 * others 1975, from memory).
 */
export const readingLevel: ClassCheck = {
  name: 'reading-level',
  group: 'words',
  gravity: 'could',
  of: 'class',
  find: ({ steps }) => {
    let [words, sentences, syllables] = [0, 0, 0];
    for (const { texts } of steps) {
      for (const { text } of texts) {
        const counts = countsOf(text);
        words += counts.words;
        sentences += counts.sentences;
        syllables += counts.syllables;
      }
    }
    if (words < ENOUGH) return [];
    const grade = (0.39 * words) / sentences + (11.8 * syllables) / words - 15.59;
    return grade > MOST ? [{ stepId: null, facts: { grade, max: MOST } }] : [];
  },
};
