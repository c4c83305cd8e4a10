import { asSentence, capitalised } from '../model/line-words';
import { NUMBER_IN_WORDS, NUMBER_WORDS } from '../tokens/tokens';

/* Rounds that are counted as they are done: "One. Two. Make it slower. Three.", "One wind. Two winds, a big one." */

/** What a sentence counts: from and up to which number, and what is said with it. */
export interface Counted {
  readonly first: number;
  readonly number: number;
  readonly beside: string;
}

/** What a line counts aloud. */
export interface CountedAloud {
  /** Of each part of the line; `null` where it counts nothing. */
  readonly parts: readonly (Counted | null)[];
  readonly way: 'up' | 'down';
  /** So many rounds are counted. */
  readonly rounds: number;
}

interface Count extends Counted {
  readonly of: string;
}

/** Fewer are no counting: "One. Two." */
const COUNTS_AT_LEAST = 3;
/** More in one sentence are seconds: "One, two, three, four, five, six, seven, eight." */
const NUMBERS_AT_MOST = 4;
const ONE = `(?:${NUMBER_IN_WORDS}|\\d{1,2})`;
/** "One", "And five, halfway", "Three winds, that was a big one", "six, seven, eight". */
const COUNT = new RegExp(
  `^(?:and |ok |okay |good |number |(?:the )?last (?:one|time),? )*(${ONE}(?:(?:,|…|\\.{2,}|;)? +(?:and )?${ONE})*)(?: (\\p{L}{3,}))?(?:(?:,|:|…|\\.{2,}| [–—-]) ?(\\p{L}.{1,60}?))?[.!…]*$`,
  'iu',
);

/**
 * What a line counts aloud, whose sentences are `parts`; `null` where it counts nothing.
 * @param before The number that was counted last above, 0 where none was.
 */
export function countedAloud(parts: readonly string[], before: number): CountedAloud | null {
  const counts = parts.map(countIn);
  const found = counts.filter((one) => one !== null);
  const [first, second] = found;
  const last = found.at(-1);
  if (!first || !last) return null;
  const numbers = found.reduce((sum, one) => sum + Math.abs(one.number - one.first) + 1, 0);
  const next = second?.first ?? first.number;
  const way = next < first.first ? 'down' : 'up';
  // "Up. Drop. Two. Three. Four.": the first was shown.
  const begins = way === 'down' || first.first <= 2 || (before > 0 && first.first === before + 1);
  if (!begins || (numbers < COUNTS_AT_LEAST && before === 0) || !isInOrder(found, way)) return null;
  return {
    parts: counts.map((one) => one && { first: one.first, number: one.number, beside: one.beside }),
    way,
    rounds: way === 'up' ? last.number : first.first,
  };
}

function countIn(part: string): Count | null {
  const [, numbers = '', of = '', beside = ''] = COUNT.exec(part) ?? [];
  const said = numbers.split(/[^\p{L}\d-]+(?:and )?/u).map((one) => NUMBER_WORDS.get(one.toLowerCase()) ?? Number(one));
  const [first, last] = [said[0], said.at(-1)];
  if (said.length > NUMBERS_AT_MOST || numbers === '' || !first || !last || said.some((one) => !(one > 0))) return null;
  if (said.some((one, at) => at > 0 && Math.abs(one - (said[at - 1] ?? 0)) !== 1)) return null;
  if (/^(?:more|times|rounds?|minutes?|seconds?|breaths?|of|to|each|hours?)$/i.test(of)) return null;
  return { first, number: last, of: of.toLowerCase().replace(/s$/, ''), beside: beside === '' ? '' : asSentence(capitalised(beside)) }; // prettier-ignore
}

/** Whether each counts on from the one before, and all count the same. */
function isInOrder(found: readonly Count[], way: 'up' | 'down'): boolean {
  const of = found.map((one) => one.of).filter((one) => one !== '');
  const step = way === 'up' ? 1 : -1;
  return (
    new Set(of).size <= 1 && found.every((one, at) => at === 0 || one.first === (found[at - 1]?.number ?? 0) + step)
  );
}
