import { remembered, rememberedLately } from '@/core/units';

/** A piece of a line of ordinary writing. */
export interface Token {
  readonly kind: 'number' | 'clock' | 'word' | 'mark';
  /** In small letters. */
  readonly text: string;
  /** Where it stands in the line. */
  readonly from: number;
  readonly to: number;
  /** Of numbers, also where they are written as words; of a clock ("1:30") its seconds; else `null`. */
  readonly value: number | null;
}

/** A clock, a number with a fraction, a fraction, a number, a word; else one mark. */
const TOKEN =
  /(\d{1,2}:\d{2})(?![\d:])|(\d{1,3} [13]\/[24](?!\d)|\d{1,3} ?[½¼¾])|([13]\/[24](?!\d)|[½¼¾])|(\d+(?:\.\d+)?)|((?:twenty|thirty|forty|fifty)[- ](?:one|two|three|four|five|six|seven|eight|nine)|\p{L}+(?:['’]\p{L}+)*)|\S/gu;
const FRACTIONS: ReadonlyMap<string, number> = new Map([
  ['1/2', 0.5],
  ['1/4', 0.25],
  ['3/4', 0.75],
  ['½', 0.5],
  ['¼', 0.25],
  ['¾', 0.75],
]);
const ONES = [
  'zero', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve',
  'thirteen', 'fourteen', 'fifteen', 'sixteen', 'seventeen', 'eighteen', 'nineteen', 'twenty',
]; // prettier-ignore
export const NUMBER_WORDS: ReadonlyMap<string, number> = new Map([
  ...ONES.map((word, value) => [word, value] as const),
  ['thirty', 30],
  ['forty', 40],
  ['forty-five', 45],
  ['fifty', 50],
  ['sixty', 60],
  ['ninety', 90],
]);

/** Any number in words, in a regular expression; the longest first. */
export const NUMBER_IN_WORDS = [...NUMBER_WORDS.keys()].sort((a, b) => b.length - a.length).join('|');

/** A line as tokens, in one pass. */
export const tokensOf: (line: string) => readonly Token[] = rememberedLately(cutIntoTokens);

function cutIntoTokens(line: string): readonly Token[] {
  const tokens: Token[] = [];
  const small = line.toLowerCase();
  // A letter that is written longer in small letters would move all behind it.
  const [cut, lowers] = small.length === line.length ? [small, false] : [line, true];
  for (const match of cut.matchAll(TOKEN)) {
    const [written, clock, mixed, fraction, number, word] = match;
    const from = match.index;
    const kind = clock ? 'clock' : word ? 'word' : (mixed ?? fraction ?? number) ? 'number' : 'mark';
    const text = lowers ? written.toLowerCase() : written;
    tokens.push({ kind, text, from, to: from + written.length, value: valueOf(kind, text) });
  }
  return tokens;
}

/** "Forty-five". */
function compound(text: string): number | null {
  if (!/[- ]/.test(text)) return null;
  const [tens = '', ones] = text.split(/[- ]/);
  const [ten, one] = [NUMBER_WORDS.get(tens), NUMBER_WORDS.get(ones ?? '')];
  return ten === undefined || one === undefined ? null : ten + one;
}

function valueOf(kind: Token['kind'], text: string): number | null {
  if (kind === 'word') return NUMBER_WORDS.get(text) ?? compound(text);
  if (kind === 'mark') return null;
  if (kind === 'clock') return Number(text.slice(0, -3)) * 60 + Number(text.slice(-2));
  const fraction = [...FRACTIONS.keys()].find((one) => text.endsWith(one));
  if (fraction === undefined) return Number(text);
  return Number(text.slice(0, -fraction.length)) + (FRACTIONS.get(fraction) ?? 0);
}

/**
 * The word of a list that a word is, or is a slip of the fingers away from: one letter more, less or other, or two
 * changed about (the distance of Damerau 1964), for words of four letters and more; `null` where there is none.
 */
export function wordAmong(written: string, words: readonly string[]): string | null {
  const among = AMONG.get(words) ?? remembered((word) => lookAmong(word, words));
  AMONG.set(words, among);
  return among(written);
}

/** What was found before, by its list: scripts use few words, and those often. */
const AMONG = new WeakMap<readonly string[], (written: string) => string | null>();

function lookAmong(written: string, words: readonly string[]): string | null {
  if (words.includes(written)) return written;
  if (written.length < 4) return null;
  const first = written.charCodeAt(0);
  for (const word of words) {
    if (word.charCodeAt(0) === first && word.length >= 4 && isSlip(written, word)) return word;
  }
  return null;
}

/** One letter more, less or other, or two changed about, and nothing else. */
export function isSlip(written: string, word: string): boolean {
  if (Math.abs(written.length - word.length) > 1) return false;
  let at = 0;
  while (at < word.length && written[at] === word[at]) at++;
  const [left, wanted] = [written.slice(at), word.slice(at)];
  return (
    left.slice(1) === wanted.slice(1) || left.slice(1) === wanted || left === wanted.slice(1) || isSwapped(left, wanted)
  );
}

/** Whether two letters beside each other have changed places, and nothing else has. */
export function isSwapped(written: string, word: string): boolean {
  if (written.length !== word.length) return false;
  let at = 0;
  while (at < word.length && written[at] === word[at]) at++;
  const swapped = written.charAt(at) === word.charAt(at + 1) && written.charAt(at + 1) === word.charAt(at);
  return at + 1 < word.length && swapped && written.slice(at + 2) === word.slice(at + 2);
}
