import type { DuringLine } from '@/core/movement';
import { findCounts } from './counts';
import { NUMBER_IN_WORDS, NUMBER_WORDS } from '../tokens/tokens';

/*
 * Places in a step as people write them: "round 3", "on the last two", "every other time", "after a minute", "30 s before
 * the end", "halfway".
 */

/** Where in a step something is said. */
export interface Place extends Pick<DuringLine, 'on' | 'number'> {
  /** How it is written; what may stand between it and what is said hangs on that. */
  readonly written: Written;
}

/** "round 3", "on the third", "every other round"; the others have no word for a round, or are no single place. */
export type Written = 'counted' | 'led' | 'alternate' | 'each' | 'alone' | 'after' | 'time' | 'half-way' | 'anywhere';

export const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth', 'tenth', 'eleventh', 'twelfth'] as const; // prettier-ignore
/** As far as rounds are told in words. */
export const NUMBERS = ['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve'] as const; // prettier-ignore
export const N = `(\\d{1,2}|${NUMBERS.join('|')})`;
export const NTH = `(\\d{1,2}(?:st|nd|rd|th)|${ORDINALS.join('|')})`;
/** A round, also by what is done in it. */
const ROUND =
  '(?:rounds?|reps?|repetitions?|rnds?|rds?|times?|breaths?|ones?|goes|go|push(?:es)?|lifts?|pulls?|turns?|circles?|steps?|swings?|sweeps?)';
const PREPOSITION =
  '(?:@ ?|(?:on|in|at|with|for|from|during|by|around|about) |when (?:we|you|they) (?:get to|reach|come to|are on) )';
const LED = `(?:${PREPOSITION})?(?:the )?`;
const ENDS = '(?![\\p{L}\\d])';
const TIME = `((?:\\d{1,3}(?:\\.\\d)?|half an?|half|an?|${NUMBER_IN_WORDS})[ -]?(?:s|secs?|seconds?|m|mins?|minutes?)|\\d{1,2}:\\d{2})${ENDS}`;

type Reader = (match: RegExpExecArray, lasting: number | null) => Place | null;

/** Places by their forms, the first that fits; all stand at the start of a text in small letters. */
const FORMS: readonly (readonly [form: RegExp, read: Reader])[] = [
  [form(`${LED}(?:very )?(?:last|final) ${TIME}`), (match, lasting) => beforeEnd(match[1], lasting)],
  [
    form(`(?:with )?${TIME} (?:before the (?:end|finish)|from the end|to go|left)`),
    (match, lasting) => beforeEnd(match[1], lasting),
  ],
  [form(`(?:(?:after|at|from|@) ?|\\+)(?:about )?${TIME}(?: in)?`), (match) => timed(match[1])],
  [form(`${TIME} in`), (match) => timed(match[1])],
  [
    form(
      `(${LED})(?:very )?(?:last|final)(?: ${N}x?(?! ?(?:s|secs?|seconds?|m|mins?|minutes?)${ENDS})| couple(?: of)?)?( ${ROUND})?`,
    ),
    ([all = '', led = '', count, round]) => {
      const number = /couple/.test(all) ? 2 : (numberOf(count) ?? 1);
      const named = round !== undefined || count !== undefined || number > 1;
      // "At last the arms rest."
      if (led === 'at ' && !named) return null;
      return { on: 'last', number, written: /^\S/.test(led) && led !== 'the ' ? 'led' : named ? 'each' : 'alone' };
    },
  ],
  [
    form(`(?:with )?${N}(?: more)?(?: ${ROUND})? (?:to go|left)`),
    (match) => ({ on: 'last', number: numberOf(match[1]) ?? 1, written: 'each' }),
  ],
  [
    form(`${LED}(?:every|each)(?: single)? (?:(?:other|alternate)(?: ${ROUND})?|(?:${NTH}|${N})(?: ${ROUND})?)`),
    (match) => ({ on: 'every', number: numberOf(match[1] ?? match[2]) ?? 2, written: 'alternate' }),
  ],
  [form(`${LED}alternate (?:rounds|reps|times|breaths)`), () => ({ on: 'every', number: 2, written: 'alternate' })],
  [form(`${LED}(?:every|each)(?: single)? ${ROUND}`), () => ({ on: 'every', number: 1, written: 'each' })],
  [form('on (?:every|each)'), () => ({ on: 'every', number: 1, written: 'each' })],
  [
    form(`after (?:the )?(?:${N}|${NTH})( ${ROUND})?`),
    ([, count, nth, round], lasting) => {
      const number = (numberOf(count ?? nth) ?? 0) + 1;
      // "After 2:" in a step by time may be minutes.
      if (round === undefined && lasting !== null) return null;
      return { on: 'round', number, written: round === undefined ? 'alone' : 'after' };
    },
  ],
  [
    form(
      `${LED}(?:rounds?|reps?|repetitions?|rnds?|rds?|breaths?|times?|ones?|goes?) (?:no\\.? ?|number |# ?)?${N}(?: ?\\/ ?\\d{1,2}| of \\d{1,2})?(?: on| onwards?| only)?`,
    ),
    (match) => round(match[1], 'counted'),
  ],
  [form(`${LED}r ?(\\d{1,2})`), (match) => round(match[1], 'alone')],
  [
    form(`(${LED})${NTH}( ${ROUND})?(?: round| through)?(?: on| onwards?| only)?`),
    ([, led = '', nth, named]) => {
      const on = /^\S/.test(led) && led !== 'the ';
      if (named === undefined && (!on || led === 'at ') && !/^\d/.test(nth ?? '')) return null;
      return round(nth, on ? 'led' : 'each');
    },
  ],
  [form(`(?:on|@) ?(?:no\\.? ?|number |# ?)?${N}`), (match) => round(match[1], 'alone')],
  [
    form('(?:near(?:ing)?|close to|towards?|just before|shortly before|before) the (?:very )?end'),
    (_, lasting) => nearEnd(lasting),
  ],
  [
    form('(?:at |around |about )?(?:the )?(?:half ?-?way|mid ?-?way)(?: mark| point)?(?: through)?'),
    () => ({ on: 'anywhere', number: 0, written: 'half-way' }),
  ],
  [
    form(
      "(?:(?:at )?half[- ]?time|(?:in|at|around|about|near) the middle|somewhere(?: in (?:here|there|between|the middle))?|in here somewhere|anywhere|meanwhile|in between|now and then|from time to time|occasionally|sometime|at some point|along the way|on the way|throughout|during(?: (?:it|this|that|the (?:rounds|movement|exercise)))?|as (?:they|you|we) (?:go|move)(?: along)?|while (?:moving|doing (?:it|this|that)|(?:they|you|we)(?:['’]re| are)? (?:move|moving|go|do (?:it|this|that)|practi[sc]e)))",
    ),
    () => ({ on: 'anywhere', number: 0, written: 'anywhere' }),
  ],
];

function form(source: string): RegExp {
  return new RegExp(`^${source}${ENDS}`, 'u');
}

/** The place that a text begins with, and how many characters it takes; a step by time lasts so many seconds. */
export function placeAtStart(
  text: string,
  lasting: number | null,
): { readonly place: Place; readonly length: number } | null {
  const small = text.toLowerCase();
  if (small.length !== text.length) return null;
  for (const [one, read] of FORMS) {
    const match = one.exec(small);
    const place = match && read(match, lasting);
    if (match && place && (place.number >= 1 || place.on === 'anywhere')) return { place, length: match[0].length };
  }
  return null;
}

/** The place that a text is as a whole. */
export function placeOf(text: string, lasting: number | null): Place | null {
  const found = placeAtStart(text, lasting);
  return found?.length === text.length ? found.place : null;
}

function round(written: string | undefined, how: Written): Place | null {
  const number = numberOf(written);
  return number === null ? null : { on: 'round', number, written: how };
}

function timed(written: string | undefined): Place | null {
  const seconds = secondsOf(written);
  return seconds === null ? null : { on: 'time', number: seconds, written: 'time' };
}

/** So long before the end of a step that is paced by time. */
function beforeEnd(written: string | undefined, lasting: number | null): Place | null {
  const seconds = secondsOf(written);
  return seconds === null || lasting === null || seconds >= lasting
    ? null
    : { on: 'time', number: lasting - seconds, written: 'time' };
}

/** "Near the end": the last two rounds, or the last sixth of a time; common practice, no published source. */
function nearEnd(lasting: number | null): Place {
  if (lasting === null) return { on: 'last', number: 2, written: 'anywhere' };
  return { on: 'time', number: Math.round((lasting * 5) / 6), written: 'anywhere' };
}

function secondsOf(written = ''): number | null {
  const { counts, rest } = findCounts(written.replace(/-/g, ' ').replace(/^half (?=m)/, 'half a ').replace(/^(an?) /, 'for $1 ')); // prettier-ignore
  const seconds = counts.seconds?.[0];
  return seconds === undefined || rest !== '' ? null : seconds;
}

/** The number of a figure or a word: "3", "three", "third", "3rd". */
export function numberOf(written: string | undefined): number | null {
  if (written === undefined) return null;
  const figure = /^\d{1,2}/.exec(written);
  if (figure) return Number(figure[0]);
  const nth = ORDINALS.findIndex((one) => one === written);
  return nth >= 0 ? nth + 1 : (NUMBER_WORDS.get(written) ?? null);
}
