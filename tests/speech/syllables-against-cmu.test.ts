import { dictionary } from 'cmu-pronouncing-dictionary';
import { expect, it } from 'vitest';
import { countSyllables } from '@/core/speech';

/** Source: CMU Pronouncing Dictionary, first pronunciation; a syllable is a vowel phone (they carry a stress digit). */
function vowels(phones: string): number {
  return phones.split(' ').filter((phone) => /\d$/.test(phone)).length;
}

it('agrees with the CMU dictionary on 95 % of its whole word list', () => {
  const words = Object.entries(dictionary).filter(([word]) => /^[a-z']+$/.test(word));
  const apart = words.filter((_, index) => index % 5 === 0);
  const share = (list: typeof words): number =>
    list.filter(([word, phones]) => countSyllables(word) === vowels(phones)).length / list.length;
  const whole = share(words);
  const unseen = share(apart);
  console.log(
    `syllables: ${(100 * whole).toFixed(2)} % of ${words.length} words agree; ${(100 * unseen).toFixed(2)} % of the ${apart.length} that the table was not learnt from`,
  );
  expect(whole).toBeGreaterThanOrEqual(0.95);
  expect(unseen).toBeGreaterThanOrEqual(0.94);
});
