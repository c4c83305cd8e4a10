import { itemAt, remembered } from '@/core/units';
import { findAmounts, tidied, type FoundCounts } from './amounts-found';
import { withoutBreath } from './breath-counts';
import { MOST_SECONDS, secondsFrom, type Counts } from '../model/model';
import { MOST_ROUNDS } from './rounds';
import { withSidesTold } from './sides-told';
import { NUMBER_IN_WORDS, tokensOf } from '../tokens/tokens';

/*
 * Counts, times and sides as people write them. What is told of the whole line is taken first: which breath, how often all
 * of it is done, how much of it each side has; the rest are amounts by themselves.
 */

/** Counts and times as people write them, and what is left of the text without them. */
export const findCounts = remembered(lookForCounts);

function lookForCounts(written: string): FoundCounts {
  const text = withSidesTold(written, (head) => Object.keys(findAmounts(head).counts).length > 0);
  const { breath, rests, text: breathless } = withoutBreath(text);
  const found = inAll(
    repeated(breathless) ??
      stepsOften(breathless) ??
      eachTime(breathless) ??
      eachOfTwo(breathless) ??
      findAmounts(breathless),
    breathless,
  );
  const amounts = OFTEN_BEHIND.test(breathless) ? timeOften(found) : found;
  if (breath === null && !rests) return amounts;
  return { ...amounts, counts: { ...amounts.counts, ...(breath ? { breath } : {}), ...(rests ? { rests } : {}) } };
}

/** "20 s per leg, twice", "30 s x 3": a time, and how often. */
const OFTEN_BEHIND =
  /(?:\d|\b(?:ten|fifteen|twenty|thirty|forty|one|two|half an?|an?)) ?(?:s|secs?|seconds?|m|mins?|minutes?)\b[^,;.\d]{0,14}[,;]? ?\(?(?:(?:x|×) ?\d|\d ?(?:x|×|times)|twice|thrice|two times|three times)\)?[.!]?$/i;
/** Seconds; less is how long each round takes. */
const TIME_FROM = 10;
const OFTEN_AT_MOST = 6;

function timeOften(found: FoundCounts): FoundCounts {
  const { rounds, roundsWithin, seconds, ...others } = found.counts;
  if (
    rounds === undefined ||
    roundsWithin ||
    !seconds ||
    found.bare ||
    rounds > OFTEN_AT_MOST ||
    seconds[0] < TIME_FROM
  )
    return found;
  // So long on each of two sides, and so often.
  const sided = others.sides === 'alternating';
  const all = (one: number): number => Math.min(MOST_SECONDS, one * rounds * (sided ? 2 : 1));
  const [asked, min, max] = seconds;
  const counts: Counts = { ...others, ...(sided ? { sides: 'one-then-other' } : {}), seconds: [all(asked), all(min), all(max)] }; // prettier-ignore
  return { ...found, crowded: false, counts };
}

/** "the section twice, 2 min each": so long each time. */
const EACH_TIME =
  /^(.{3,100}?)[,;]? ?[([]?(?:(?:for|of|about) )?((?:\d{1,2}|an?|one|two|three|half a) ?(?:m|s|['’′]|mins?|minutes?|secs?|seconds?)) ?(?:each(?: (?:time|go|round|one|run))?|(?:a|per|every) (?:time|go|round|run))[)\]]?[.!]?$/iu;

function eachTime(text: string): FoundCounts | null {
  const [, head = '', time = ''] = EACH_TIME.exec(text) ?? [];
  if (head === '') return null;
  const found = findAmounts(head);
  const { rounds, roundsWithin, seconds, sides, hold } = found.counts;
  const [each = 0] = findAmounts(`it, ${time}`).counts.seconds ?? [];
  if (rounds === undefined || rounds < 2 || rounds > OFTEN_AT_MOST || found.bare || each < TIME_FROM) return null;
  if (roundsWithin || seconds || sides !== undefined || hold || each * rounds > MOST_SECONDS) return null;
  return { ...found, counts: { seconds: secondsFrom([each * rounds, each * rounds], 1) }, aside: null };
}

const IN_ALL = /[,;]?\s*\(?\b(?:in all|in total|total|altogether|all told)\b\)?,?/gi;

/** "5 turns in all, alternating": each turn counts, and so may be odd; common practice, no published source. */
function inAll(found: FoundCounts, text: string): FoundCounts {
  const { sides, rounds } = found.counts;
  if (sides !== 'alternating' || rounds === undefined || text.search(IN_ALL) < 0) return found;
  if (/\b(?:each|ea|per|a (?:side|leg)|both (?:sides?|legs?))\b|\/ ?(?:side|leg)/i.test(text)) return found;
  return { ...found, counts: { ...found.counts, sides: 'turn-by-turn' }, rest: tidied(found.rest.replace(IN_ALL, '')) };
}

const REPEATED =
  /^(.{3,120}\S),? (?:and )?repeat(?: that| it| all)?,? (?:[x×] ?(\d)|(\d) ?(?:[x×]|times)|twice|two times|(three) times)[.!]?$/iu;

/** "3 to the left, 3 to the right, x2". */
const EACH_WAY_AGAIN =
  /^(.{3,80}\b\d{1,2} (?:(?:to|on) (?:the )?)?(?:left|right|l|r),? (?:and |then )*\d{1,2} (?:(?:to|on) (?:the )?)?(?:right|left|r|l)),? (?:and |all (?:of )?(?:that|this) )?(?:[x×] ?(\d)|(\d) ?(?:[x×]|times)|twice|two times|(three) times)[.!]?$/iu;

/** "L 20 s, R 20 s, x2". */
const EACH_TIMED_AGAIN =
  /^(.{3,80}\b(?:left|right|l|r) ?\d{1,3} ?(?:s|secs?|seconds),? (?:and |then )*(?:left|right|l|r) ?\d{1,3} ?(?:s|secs?|seconds)),? (?:[x×] ?(\d)|(\d) ?(?:[x×]|times)|twice|two times|(three) times)[.!]?$/iu;

/** "4 right, 4 left, repeat x3": so often in all. */
function repeated(text: string): FoundCounts | null {
  const timed = EACH_TIMED_AGAIN.exec(text);
  const match = timed ?? (/repeat/i.test(text) ? REPEATED.exec(text) : EACH_WAY_AGAIN.exec(text));
  if (!match) return null;
  const found = eachOfTwo(itemAt(match, 1)) ?? findAmounts(itemAt(match, 1));
  const times = Number(match[2] ?? match[3] ?? (match[4] ? 3 : 2));
  const { rounds, roundsWithin, ...others } = found.counts;
  const [seconds = 0] = others.seconds ?? [];
  if (timed && others.sides && seconds * times <= MOST_SECONDS)
    return { ...found, counts: { ...others, seconds: secondsFrom([seconds * times, seconds * times], 1) } };
  if (rounds === undefined || roundsWithin || rounds * times > MOST_ROUNDS) return null;
  return { ...found, counts: { ...others, rounds: rounds * times } };
}

/** "Walk ten steps back and ten steps forward, three times": how many steps are of how it is done. */
const STEPS_OFTEN = new RegExp(
  `^(.{3,100}\\b(?:\\d{1,2}|${NUMBER_IN_WORDS}) steps\\b.{0,60}?)[,;]? (?:[x×] ?(\\d)|(\\d|${NUMBER_IN_WORDS}) ?(?:[x×]|times|rounds)|twice)[.!]?$`,
  'iu',
);

function stepsOften(text: string): FoundCounts | null {
  const match = STEPS_OFTEN.exec(text);
  if (!match) return null;
  const [, head = '', digit, number] = match;
  const { counts } = findAmounts(`it, ${digit ?? number ?? '2'} times`);
  const { sides, startSide } = findAmounts(head).counts;
  // Both ways are in each of them.
  const sided = sides !== 'alternating' ? {} : { sides, ...(startSide ? { startSide } : {}) };
  const [, before, behind] = /^(\p{L}[^:]{2,40}): (.+)$/u.exec(head) ?? [];
  const aside = before !== undefined && behind !== undefined ? { before, behind } : null;
  return { counts: { ...counts, ...sided }, rest: head, bare: false, crowded: false, holds: null, aside };
}

const TAIL = "((?: (?!and\\b|then\\b)[\\p{L}'’]+){1,5}?)";
/** "Eight away from you and eight towards you": a number twice, each with its own words. */
const TWICE = new RegExp(
  `(?<=[\\p{L},:;(–-]) ?\\b(an? dozen|\\d{1,2}|${NUMBER_IN_WORDS})(?:${TAIL})?(?:,? and(?: then)?|[,;/](?: after that| afterwards)?|,? then|) (\\1)${TAIL}\\)?[.!]?$`,
  'iu',
);
function hasNumberTwice(text: string): boolean {
  const seen = new Set<string>();
  for (const { value, text: one } of tokensOf(text)) {
    if (value === null && one !== 'dozen') continue;
    if (seen.has(one)) return true;
    seen.add(one);
  }
  return false;
}

/** "8 rolls, 8 shrugs": things of two kinds, and no ways. */
const THINGS = /\p{L}{2}(?<!ward)(?<!s)s$/iu;

const ALONE = new RegExp(`^(?!one\\b)(?:\\d|(?:${NUMBER_IN_WORDS})\\b)`, 'i');
const BODY_SIDE = /\b(?:left|right|l|r|legs?|foot|feet|arms?|hands?|sides?)\b/i;

/** "Six one way and six the other way". */
const ONE_WAY = /^ (?:one|this) (?:way|direction)$/i;
const OTHER_WAY = /^ (?:in )?the other(?: way| direction)?$/i;

/** A line with one count for each of two ways or sides, in words of its own; `null` where the usual words say it or nothing does. */
function eachOfTwo(text: string): FoundCounts | null {
  if (text.length > 160 || !hasNumberTwice(text)) return null;
  // "6 with the left and 6 with the right", below a name.
  const alone = ALONE.test(text) && BODY_SIDE.test(text);
  const match = TWICE.exec(alone ? `it, ${text}` : text);
  if (!match) return null;
  const [all, number = '', first = '', , second = ''] = match;
  const known = findAmounts(text);
  const units = /^ (?:mins?|minutes?|m|s|secs?|seconds?|hours?|times|rounds|reps|sets|of|or|to|x|breaths?|and|then)\b/i;
  const often = findAmounts(`${number} times`).counts.rounds;
  const other = known.counts.rounds !== undefined && !known.bare && known.counts.rounds !== often;
  if (
    other ||
    (THINGS.test(first) && THINGS.test(second) && !BODY_SIDE.test(second)) ||
    (known.counts.sides !== undefined && !(ONE_WAY.test(first) && OTHER_WAY.test(second))) ||
    known.counts.seconds !== undefined ||
    units.test(first) ||
    units.test(second)
  )
    return null;
  const ways = BODY_SIDE.test(first + second) ? `${number} left, ${number} right` : `${number} each way`;
  return findAmounts(
    alone ? ways : `${text.slice(0, text.length - all.length)}, ${ways}`.replace(/[,:;(–-]\s*, /, ', '),
  );
}

/** Whether it is written how often, or how long. */
export function hasAmount({ rounds, seconds }: Counts): boolean {
  return rounds !== undefined || seconds !== undefined;
}
