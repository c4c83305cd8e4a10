import { windowOf, WINDOWS } from './letter-window';
import { CARRIES, CARRIES_NOT } from './nucleus-table';

const CARRIERS = 'aeiouymc';

const verdicts: ReadonlyMap<string, boolean> = new Map([
  ...CARRIES.split(' ').map((key) => [key, true] as const),
  ...CARRIES_NOT.split(' ').map((key) => [key, false] as const),
]);

/**
 * Terms of the trade that are not spelt as English, with their syllables. Common practice, no published source.
 */
const TERMS: ReadonlyMap<string, number> = new Map([
  ['qi', 1],
  ['qigong', 2],
  ['chi', 1],
  ['kung', 1],
  ['taiji', 2],
  ['tai', 1],
  ['dantian', 2],
  ['kua', 1],
  ['baduanjin', 3],
]);

/** Longer than any word; by the list of words a syllable has about three letters. */
const LONGEST_WORD = 100;
const LETTERS_A_SYLLABLE = 3;

/**
 * Syllables of one English word. A letter carries a syllable when the widest known window of letters around it says
 * so; the windows are learnt from the CMU Pronouncing Dictionary by `scripts/learn-syllables.ts`, which prints the
 * agreement (about 95 % of its whole word list). At least 1 for anything with a letter, 0 for nothing.
 */
export function countSyllables(word: string): number {
  const letters = word
    .normalize('NFKD')
    .toLowerCase()
    .replace(/[^a-z]/g, '');
  if (letters === '') return /\p{L}/u.test(word) ? Math.max(1, Math.round([...word].length / 2)) : 0;
  const term = TERMS.get(letters);
  if (term !== undefined) return term;
  if (letters.length > LONGEST_WORD) return Math.round(letters.length / LETTERS_A_SYLLABLE);
  let total = 0;
  for (let at = 0; at < letters.length; at++) {
    if (CARRIERS.includes(letters.charAt(at)) && carriesSyllable(letters, at)) total++;
  }
  return Math.max(1, total);
}

function carriesSyllable(letters: string, at: number): boolean {
  for (let width = WINDOWS - 1; width >= 0; width--) {
    const verdict = verdicts.get(windowOf(letters, at, width));
    if (verdict !== undefined) return verdict;
  }
  return false;
}
