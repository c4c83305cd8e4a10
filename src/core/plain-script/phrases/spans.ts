import { N, NTH, NUMBERS as COUNTED, numberOf, ORDINALS } from './places';

/*
 * Stretches of rounds as people write them: "from round 5", "rounds 5-8", "R5-8", "the last four", "after round 4".
 */

/** From which round, from 1, up to which; `null` to the end. */
export interface Span {
  readonly from: number;
  readonly to: number | null;
  /** How it is written; one round by its number may as well be meant from there on. */
  readonly how: 'range' | 'from' | 'first' | 'last' | 'round';
}

const ROUND = '(?:rounds?|reps?|repetitions?|rnds?|rds?|breaths?|times?)';
const LED = '(?:(?:on|in|for|during|with) )?(?:the )?';
const TO = ' ?(?:-|–|—|to|until|through|till) ?';
const ON = '(?: on(?:wards?)?| and on)?';
const FROM = '(?:then )?(?:from|starting (?:with|at|from|on)|beginning (?:with|at|from|on)|once (?:we|you|they) (?:reach|get to|are at)|as of) (?:the )?'; // prettier-ignore
/** What follows a number that counts no rounds. */
const NO_UNIT = '(?! ?(?:s|secs?|seconds?|m|mins?|minutes?|x|times|each|left|right)(?![a-z]))(?!:\\d)';

type Read = (numbers: readonly number[], rounds: number) => Span | null;
const whole: Read = ([from = 1, to = 1]) => (to > from ? { from, to, how: 'range' } : null);
const onwards: Read = ([from = 1]) => ({ from, to: null, how: 'from' });

const FORMS: readonly (readonly [form: RegExp, read: Read])[] = [
  [form(`${LED}${ROUND} ${N}${TO}(?:r ?|${ROUND} )?${N}`), whole],
  [form(`r ?(\\d{1,2}) ?[-–] ?r? ?(\\d{1,2})`), whole],
  [
    form(`${LED}${ROUND} ${N}(?:, ?${N})*,? and ${N}`),
    (numbers) => whole([Math.min(...numbers), Math.max(...numbers)], 0),
  ],
  [form(`${FROM}(?:${ROUND} ${N}|r ?(\\d{1,2})|${N}${NO_UNIT})${ON}`), onwards],
  [form(`${FROM}${NTH}(?: ${ROUND})?${ON}`), onwards],
  [form(`after (?:${ROUND} ${N}|${N} ${ROUND})`), ([done = 0]) => ({ from: done + 1, to: null, how: 'from' })],
  [form(`${LED}first ${N}(?: ${ROUND})?${NO_UNIT}`), (numbers) => ({ from: 1, to: numbers.at(-1) ?? 1, how: 'first' })],
  [
    form(`${LED}(?:last|final) ${N}(?: ${ROUND})?${NO_UNIT}`),
    ([left = 1], rounds) => (rounds > left ? { from: rounds - left + 1, to: null, how: 'last' } : null),
  ],
  [
    form('(?:(?:in|for|from|during) )?(?:the )?second half|from (?:half ?-?way|the middle)(?: on)?'),
    (_, rounds) => (rounds > 1 ? { from: Math.floor(rounds / 2) + 1, to: null, how: 'from' } : null),
  ],
  [form(`${LED}${ROUND} ${N}( on(?:wards?)?)?(?! ?[/+]|\\.\\d)`), ([from = 1]) => ({ from, to: null, how: 'round' })],
  [form(`r ?(\\d{1,2})\\+`), onwards],
  [form(`r ?(\\d{1,2})`), ([from = 1]) => ({ from, to: null, how: 'round' })],
  [form(`(?:on|in|at) (?:the )?${NTH}(?: ${ROUND})?`), ([from = 1]) => ({ from, to: null, how: 'round' })],
  [form(`(?:at|on) ${ROUND} ${N}`), ([from = 1]) => ({ from, to: null, how: 'round' })],
];
/** Numbers alone: "5-8". */
const BARE = form(`(\\d{1,2}) ?[-–] ?(\\d{1,2})${NO_UNIT}`);

function form(source: string): RegExp {
  return new RegExp(`^(?:${source})(?![\\p{L}\\d])`, 'u');
}

/** The stretch of rounds that a text in small letters begins with, and how many characters it takes; of so many rounds. */
export function spanAtStart(
  small: string,
  rounds: number,
  bare: boolean,
): { readonly span: Span; readonly length: number } | null {
  const forms = bare ? [...FORMS, [BARE, whole] as const] : FORMS;
  for (const [one, read] of forms) {
    const match = one.exec(small);
    if (!match) continue;
    const numbers = [...match[0].matchAll(NUMBERS)].map(([written]) => numberOf(written) ?? 0);
    const span = read(numbers, rounds);
    if (!span || span.from < 1 || span.from > rounds || (span.to ?? 0) > rounds) continue;
    const open = / on(?:wards?)?$/.test(match[0]);
    const to = span.to !== null && span.to >= rounds ? null : span.to;
    return { span: { ...span, to, how: open ? 'from' : span.how }, length: match[0].length };
  }
  return null;
}

const NUMBERS = new RegExp(
  `\\b(?:\\d{1,2}(?:st|nd|rd|th)?|${[...COUNTED, ...ORDINALS].join('|')})\\b|(?<=r)\\d{1,2}`,
  'g',
);
