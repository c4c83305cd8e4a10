import { breathsOf } from './breath-lines';
import { findCounts, hasAmount } from '../phrases/counts';
import { wordCount } from '../model/line-words';
import { secondsFrom, type Counts } from '../model/model';
import { MAY_COUNT } from '../line-kinds/name-lines';
import { reading, type Reading } from '../model/reading';
import { readRemark } from './step-lines';

/*
 * Sentences below the name of a movement, with its breath and how often or how long: "As you inhale, open. As you exhale,
 * close. Eight times.", "Circle to the left, slowly, five times.", "Now change direction: five to the right."
 */

/** Between two sentences of a line. */
export const SENTENCE_END = /(?<=[.!?…])\s+(?=["“(]?\p{Lu}|\d)/u;

const BREATHS =
  /^(?:and |now |then )*(?:(?:let['’]?s|let us|we(?:['’]ll)?|you(?:['’]ll)?) )?(?:just )?(?:take|have) (\S+) (?:(?:slow|deep|full|long|easy|quiet|natural|big|gentle),? (?:and )?)*breaths(?: (?:here|together|like this|with me|in (?:your|our) own time))*[.!]?$/i;

/** "Bring the palms together. As you inhale, draw apart. As you exhale, close.": what is told, then its breath. */
export function breathsWithin(body: string): readonly Reading[] | null {
  const sentences = body.split(SENTENCE_END);
  if (sentences.length < 3) return null;
  const read = sentences.map((one) => readRemark(one));
  const way = (kind: string): readonly Reading[] =>
    read.flatMap((one) => (one.length === 1 && one[0]?.kind === kind ? one : []));
  const [inhales, exhales] = [way('inhale'), way('exhale')];
  if (inhales.length !== 1 || exhales.length !== 1) return null;
  const others = sentences.filter((_, at) => read[at]?.[0]?.kind === 'said');
  if (others.some((one) => hasAmount(findCounts(one).counts))) return null;
  return [...(others.length > 0 ? [reading('said', others.join(' '))] : []), ...inhales, ...exhales];
}

/** "Let your shoulders soften. We'll take three slow breaths here." */
export function breathsTaken(body: string): readonly Reading[] | null {
  const sentences = body.split(SENTENCE_END);
  const written = BREATHS.exec(sentences.at(-1) ?? '')?.[1];
  const others = sentences.slice(0, -1);
  if (written === undefined || others.length === 0 || others.some((one) => MAY_COUNT.test(one))) return null;
  const { rounds } = findCounts(`x, ${written} times`).counts;
  return rounds === undefined ? null : [reading('movement', 'Breathing', { rounds }, true), reading('said', others.join(' '))]; // prettier-ignore
}

const SIDE_OR_WAY =
  /\b(?:other|opposite|second) (side|leg|foot|arm|hand|way|direction)\b|\b(?:change|swap|switch)(?: the| over)? (sides?|legs?|feet|arms?|hands?|direction|ways?)\b|\bnow (?:to |on )?(?:the )?(left|right)\b/i;
const ROUNDS = { min: 2, max: 36 } as const;
const SECONDS_FROM = 10;

/** Whether a line is a whole sentence, and no note: no label, no “x8”, no strokes. */
export function isSpokenSentence(body: string): boolean {
  if (!/[.!?…]["”)]?$/.test(body) || wordCount(body) < WORDS_OF_A_SENTENCE) return false;
  return !/^[\p{L} -]{2,24}:\s|\d ?[x×]|[x×] ?\d| [–—-] |\//iu.test(body.replace(/(?<=direction|way|side):/i, ''));
}

const WORDS_OF_A_SENTENCE = 5;

/** "Circle to the left, slowly, five times.": said, and how often; later the other way or side of it. */
export function amountSpoken(body: string, uncounted: boolean): readonly Reading[] | null {
  if (!isSpokenSentence(body) || breathsOf(body).length > 0 || amountOf(body) !== null) return null;
  const { rounds = 0, seconds, hold, sides, startSide, held } = findCounts(body).counts;
  const [time = 0] = seconds ?? [];
  const often = rounds >= ROUNDS.min && rounds <= ROUNDS.max;
  if (hold !== undefined || (!often && time < SECONDS_FROM)) return null;
  const told = reading('said', body);
  const amount = often ? { rounds } : { seconds, ...(held ? { held } : {}) };
  if (uncounted) return [told, reading('setting', '', { ...amount, ...(sides ? { sides, ...(startSide ? { startSide } : {}) } : {}) }, true)]; // prettier-ignore
  const turned = SIDE_OR_WAY.exec(body)
    ?.slice(1)
    .find((one) => one !== undefined);
  if (turned === undefined) return null;
  const both = /way|direction/i.test(turned) ? 'both-directions' : 'one-then-other';
  return [reading('setting', '', { ...amount, sides: both }, true), { ...reading('setting', body), sets: { changeWords: body } }]; // prettier-ignore
}

/** What is left of a sentence that only says how often or how long. */
const ONLY_AMOUNT =
  /^(?:(?:let['’]?s|let us|we(?:['’]ll)?|you|I|do|make|take|repeat|this|that|it|now|and|then|slow(?:ly)?|ones?|of|them|these|those|with me|together|all|gently|easily|please|for|a|few|good|big|in|on|each|both|again|more|here|total|altogether|steps|circles|waves|swings|rounds|breaths|bows|continue|keep going|carry on|go on|another|x)[\s,.;:–-]*)*$/i;
const SWAP_AND_MORE =
  /[,;.]? (?:and |then )*(?:change|swap|switch)(?: over)?(?: (?:feet|sides|legs|arms|hands|foot|side|leg))?,? (?:and |then )*(?:do )?(?:the same|another (?:\S+)|(?:\S+) more|(?:\S+) (?:times )?again)(?= |[.!]|$)/i;

/** "Reach and pull. 8 times, then change feet and do 8 more.", "Lift the hands. Repeat 6 times.": told, and how often. */
export function amountWithin(body: string): readonly Reading[] | null {
  const sentences = body.split(SENTENCE_END);
  if (sentences.length < 2) return null;
  const amounts = sentences.map(amountOf);
  const counted = amounts.filter((one) => one !== null);
  const [counts] = counted;
  const others = sentences.filter((_, at) => amounts[at] === null);
  const sides = counts === undefined || counted.length === 1 ? null : bothIn(counted, others);
  if (sides) return [...readRemark(others.filter((one) => !CHANGES_SIDE.test(one)).join(' ')), reading('setting', '', sides, true)]; // prettier-ignore
  if (counts === undefined || counted.length > 1 || others.some((one) => hasAmount(findCounts(one).counts)))
    return null;
  const told = others.join(' ');
  return [...(breathsWithin(told) ?? readRemark(told)), reading('setting', '', counts)];
}

/** "Then change.", "And now change legs." */
export const CHANGES_SIDE =
  /^(?:and |now |then |so |slowly )*(?:change|swap|switch)(?: over)?(?: (?:the |your )?(?:legs|sides|feet|arms|hands))?(?: over| now)?[.!]?$/i;

/** "Twenty seconds. Then change. Another twenty seconds.": of both sides; `null` for anything else. */
function bothIn(counted: readonly Counts[], others: readonly string[]): Counts | null {
  const [first, second, ...more] = counted;
  if (!first || !second || more.length > 0 || !others.some((one) => CHANGES_SIDE.test(one))) return null;
  const [time = 0] = first.seconds ?? [];
  if (first.rounds !== second.rounds || time !== (second.seconds?.[0] ?? 0)) return null;
  if (first.rounds !== undefined) return { rounds: first.rounds, sides: 'one-then-other' };
  return { seconds: secondsFrom([time, time], 2), sides: 'one-then-other' };
}

function amountOf(sentence: string): Counts | null {
  if (!MAY_COUNT.test(sentence)) return null;
  const swapped = SWAP_AND_MORE.test(sentence);
  const text = sentence.replace(SWAP_AND_MORE, '').replace(/[.!]$/, '');
  const { counts, rest } = findCounts(text);
  const bare = /^(?:let['’]?s|let us|we(?:['’]ll)?) (?:do|make|take) (\S+)$/i.exec(text)?.[1];
  const found = bare === undefined ? counts : findCounts(`x, ${bare} times`).counts;
  if (!hasAmount(found) || (bare === undefined && !ONLY_AMOUNT.test(rest))) return null;
  return swapped ? { ...found, sides: 'one-then-other' } : found;
}
