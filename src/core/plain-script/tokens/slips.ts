import { remembered } from '@/core/units';
import { NEAR_WORDS } from './near-words';
import { isSlip, isSwapped } from './tokens';

/*
 * Slips of the fingers in the words by which a script is read: "minuets" for "minutes", "ecah side". A word of English is
 * never taken for one (the near words of the CMU Pronouncing Dictionary), nor a name with a capital within its line.
 */

/** The words by which amounts, sides, parts and steps are known. */
export const KEY_WORDS =
  'times time rounds round repetitions reps breaths breath minutes minute seconds second secs mins each side sides every both left right alternating alternate directions direction ways way leg legs pace half twice once two three four five six seven eight nine ten twelve pause silence stand standing quiet quietly sitting inhale exhale breathe closing loosening warm main welcome settling opening caution level seated start other last together closed thank hold break stillness down'.split(
    ' ',
  );

/** A longer line is told, and its words are not what it is read by. */
const LINE_AT_MOST = 100;
/** In shorter words only two letters that have changed places, or one that is written twice, are a slip. */
const LETTERS = 4;

const keys: ReadonlySet<string> = new Set(KEY_WORDS);

/** A line of ordinary writing with the slips in its key words put right; others are left as they are. */
export function withSlipsMended(line: string): string {
  if (line.length > LINE_AT_MOST || /["“”]/.test(line)) return line;
  const shouted = line === line.toUpperCase();
  return line.replace(/(?<![\p{L}'’])\p{L}{3,}(?![\p{L}'’])/gu, (written, at: number) => {
    const named = /^\p{Lu}/u.test(written) && !shouted && /\p{L}/u.test(line.slice(0, at));
    return named ? written : likeWritten(written, meantBy(written.toLowerCase()));
  });
}

/** Words that were put right as they were written: what is named and said keeps them. */
export function asWritten(written: string): (words: string) => string {
  const mended = withSlipsMended(written);
  if (mended === written) return (words) => words;
  const before = written.match(WORDS) ?? [];
  const slips = new Map(
    (mended.match(WORDS) ?? []).flatMap((word, at) => (word === before[at] ? [] : [[word.toLowerCase(), before[at] ?? word]])), // prettier-ignore
  );
  return (words) => words.replace(WORDS, (word) => slips.get(word.toLowerCase()) ?? word);
}

const WORDS = /\p{L}+/gu;

const meantBy = remembered((word: string): string => {
  if (keys.has(word) || NEAR_WORDS.has(word) || !/^[a-z]+$/.test(word)) return word;
  const found = KEY_WORDS.filter((key) => isSlipOf(word, key));
  // Letters that have changed places are told from one that is missing.
  const swapped = found.find((key) => isSwapped(word, key));
  return swapped ?? found.find((key) => key.at(-1) === word.at(-1)) ?? found[0] ?? word;
});

/** Whether a word is one slip away from a key word. */
export function isSlipOf(word: string, key: string): boolean {
  if (word === key) return false;
  if (key.length < LETTERS) return isSwapped(word, key) || (word.length > key.length && isDoubled(word, key));
  return isSlip(word, key);
}

function isDoubled(word: string, key: string): boolean {
  return [...word].some((letter, at) => letter === word[at + 1] && word.slice(0, at) + word.slice(at + 1) === key);
}

function likeWritten(written: string, meant: string): string {
  if (written.toLowerCase() === meant) return written;
  if (written === written.toUpperCase()) return meant.toUpperCase();
  return /^\p{Lu}|^\p{Ll}\p{Lu}/u.test(written) ? meant.charAt(0).toUpperCase() + meant.slice(1) : meant;
}
