import { eachAlike, OF_ONE } from '../phrases/alike';
import { itemAt } from '@/core/units';
import { stepsOfBody } from './body-labels';
import { withoutRestBehind } from '../phrases/breath-counts';
import { findCounts, hasAmount } from '../phrases/counts';
import { withoutFrame } from '../phrases/frames';
import { capitalised, IN_ANOTHER_WAY, wordCount, unquoted } from '../model/line-words';
import { isStill } from '../line-kinds/line-signs';
import { NUMBER_FIRST, ROUND_WORDS, timesOver } from '../phrases/amounts';
import { bareName, BEFORE_NAME } from '../phrases/names';
import { restOf } from '../line-kinds/pauses';
import { reading, type Reading } from '../model/reading';
import { sidesThenBoth } from './sides-then-both';
import { NUMBER_IN_WORDS } from '../tokens/tokens';
import { workAndRest } from './work-and-rest';

/*
 * Several steps in one line, each with an amount of its own: "wrists 10, elbows 10, shoulders 10", "arms 30 s, legs 30 s",
 * "push 8 times, then sink 4 times".
 */

const BETWEEN = /\s*(?:[,;]\s*(?:and\s+)?(?:then\s+)?|\s\+\s|\s(?:and\s+)?then\s)\s*/i;
/** Marks and words that stand between steps only where each has its amount: "rowing x8 → hips 30 s", "Rowing x8. Then hips x6." */
const MARKS = [
  /\s*;\s*(?:(?:and|then) )*/u,
  /\s*(?:\.{2,}|…|→|[-=]>|[•·|])\s*|\s+(?:\/{1,2}|>)\s+/u,
  /[.!]\s+(?=\p{L}|\d)/u,
  /\s+[–—-]\s+/u,
  /\s*(?:\.{2,}|…|→|[-=]>|[•·|])\s*|\s+(?:\/{1,2}|[>&+–—-])\s+|[.!]\s+(?=\p{L}|\d)|\s+(?:and|then|and then)\s+(?=\S+ .*\s(?:and|then)\s|[^.!,;/|>&+]*$)/iu,
] as const;
/** Without any of these none of them stands. */
const ANY_MARK = /[;.…→>•·|/–—&+!-]|\s(?:and|then)\s/i;
const JOINING = /^(?:(?:and|then|next|after that|afterwards|finally|last)[,:]? )+/i;
const LINE_AT_MOST = 400;
const AT_MOST = 16;
/** So few parts may still be one step in words of its own. */
const LISTED = 3;
/** A way or a side of one step has its own amount: "push left 6, push right 6". */
const ONE_WAY =
  /\b(?:left|right|l|r|for?wards?|fwd|bwd|bk|back(?:wards?)?|inwards?|outwards?|(?:anti)?clockwise|cw|ccw|up|down|one|other)\b/i;

/** The steps of a line that names more than one with its amount; `null` where it is one step. */
export function severalSteps(body: string): readonly Reading[] | null {
  const steps = stepsOfList(body) ?? stepsThere(body) ?? stepsIn(body);
  // With a capital at the start of the line its other names begin with one, too.
  if (steps === null || !/^\p{Lu}/u.test(body)) return steps;
  return steps.map((one) => ({ ...one, words: capitalised(one.words) }));
}

/** "5 animals - deer 6x, crane 6x, bear 8x": a list with its name before it. */
function stepsOfList(body: string): readonly Reading[] | null {
  const list =
    body.length > LINE_AT_MOST ? undefined : /^\d{1,2} \p{L}[\p{L} ]{2,24}(?::| [–-]) (\p{L}.+)$/u.exec(body)?.[1];
  const steps = list === undefined ? null : stepsBetween(list);
  return steps && steps.length >= LISTED ? steps : null;
}

/** "Standing behind the chair: heel raises 10, leg lifts 8 each": where people are, and what is done there. */
const WHERE =
  /^((?:standing|sitting|seated|lying|kneeling|in pairs|on (?:the|a|your) (?:floor|mats?|chairs?)|(?:stand|sit|lie|kneel) \p{L}+)[^:;,\d]{0,50}): (\p{L}.+)$/iu;

function stepsThere(body: string): readonly Reading[] | null {
  const [, where = '', told = ''] = WHERE.exec(body) ?? [];
  const steps = told === '' ? null : stepsIn(told);
  return steps && steps.length > 1 ? [reading('transition', where, {}, true), ...steps] : null;
}

function stepsIn(body: string): readonly Reading[] | null {
  if (body.length > LINE_AT_MOST) return null;
  const rested = withoutRestBehind(body);
  if (rested) {
    const { rests } = rested;
    const steps = stepsIn(rested.text);
    return steps && steps.map((one, at) => (at === steps.length - 1 ? { ...one, counts: { ...one.counts, rests } } : one)); // prettier-ignore
  }
  return (
    setsWithRests(body) ??
    workAndRest(body, stepOf) ??
    sidesThenBoth(body) ??
    stepsOfBody(body) ??
    runOn(body) ??
    repeatedSteps(body) ??
    eachAlike(body) ??
    stepsBetween(body) ??
    stepsApart(body)
  );
}

const OFTEN = '(?:(\\d|two|three|four|five|six) ?(?:[x×]|times|rounds|sets|rds)?|(twice|thrice))';
/** "2 x (rowing x8, hips x6)", "Twice: …", "two rounds of …"; "(…) x2", "… - twice through". */
const OFTEN_FIRST = [
  new RegExp(`^${OFTEN}(?: of)?:? ?[([]([^()[\\]]{8,})[)\\]][.]?$`, 'iu'),
  /^(?:(\d|two|three|four|five|six) ?(?:[x×]|times|rounds|sets|rds)|(twice|thrice))(?: through)?(?: of:?|:) ?([^()[\]]{8,})$/iu,
] as const;
const OFTEN_LAST = [
  /^([^()[\]]{8,}?)\. (?:(?:all )?(?:[x×] ?(\d)|(\d|two|three|four|five|six) times|(twice|thrice)))[.]?$/iu,
  /^([^()[\]]{8,}? (?:each|ea)),? (?:[x×] ?(\d)|(\d) ?(?:[x×]|times)|(twice|thrice))[.]?$/iu,
  /^[([]([^()[\]]{8,})[)\]],? ?(?:[x×] ?(\d)|(\d|two|three|four|five|six) ?(?:[x×]|times|rounds|sets)|(twice|thrice))(?: through)?[.]?$/iu,
  /^([^()[\]]{8,}?)(?:,| [–-]) (?:(?:repeat(?:ed)?|all|the lot),? )?(?:[x×] ?(\d)|(\d|two|three|four|five|six) times|(twice|thrice)) (?:through|over|in all)[.]?$/iu,
] as const;
/** "…, then round again": twice. */
const AGAIN_LAST =
  /^([^()[\]]{8,}?)(?:[,;]| [–-]) (?:(?:and|then) )*(?:(?:all (?:of it )?)?round again|(?:all|(?:the )?(?:whole )?(?:lot|round|set|thing)) (?:over )?again|once more through)[.]?$/iu;
/** "Horse stance 3 × 20 s, 10 s rest between", "Rowing, 2 sets of 6, rest 30 s between sets". */
const SETS = new RegExp(
  `^(.{3,60}?)[\\s,:(–—-]+(\\d|two|three|four|five|six) ?(?:[x×]|sets of|times|rounds of|sets [x×]|goes of) ?(\\d{1,3} ?(?:s|secs?|seconds?|mins?|minutes?|reps|times|breaths)?|${NUMBER_IN_WORDS})\\)?[,;]? (?:with |and )?(?:a |an )?(.{2,30}?)[.!]?$`,
  'iu',
);
const REST_BETWEEN =
  /^(?:(?:rest|pause|break)(?: of| for)? (.{2,16}?)|(.{2,16}?) (?:rest|pause|break))(?: (?:in )?between(?: (?:sets|each|them|rounds|goes|times|holds|sides))?)?$/i;
const SETS_AT_MOST = 6;

function setsWithRests(body: string): readonly Reading[] | null {
  const [, name = '', sets = '', amount = '', behind = ''] = /between|rest|pause|break/i.test(body)
    ? (SETS.exec(body) ?? [])
    : [];
  const [, first, second] = REST_BETWEEN.exec(behind) ?? [];
  const [rest] = findCounts(first ?? second ?? '').counts.seconds ?? [];
  const times = timesOver(sets);
  if (rest === undefined || times === null || times > SETS_AT_MOST) return null;
  const timed = /\p{Ll}/u.test(amount);
  const held = HELD_NAME.test(name) && timed;
  const step = stepOf(`${name}, ${timed ? amount : `${amount} times`}`);
  if (!step) return null;
  const one = held ? { ...step, words: step.words.replace(HELD_NAME, (all: string, head?: string) => head ?? all), counts: { ...step.counts, held: true as const } } : step; // prettier-ignore
  const pause = reading('pause', 'Rest', { seconds: [rest, rest, rest] }, true);
  return Array.from({ length: times }, (_, at) => (at === 0 ? [one] : [pause, one])).flat();
}

/** "Horse stance hold". */
const HELD_NAME = /^(.*?\p{L}),? (?:static )?hold(?:s|ing)?$|^((?:.* )?(?:stance|posture|pose))$/iu;

/** Steps in one line that are done several times over, each as often; a guess. */
function repeatedSteps(body: string): readonly Reading[] | null {
  const first = OFTEN_FIRST.map((form) => form.exec(body)).find((match) => match !== null);
  const last = first ? null : OFTEN_LAST.map((form) => form.exec(body)).find((match) => match !== null);
  const again = first || last ? null : AGAIN_LAST.exec(body);
  const often = again ? 'twice' : first ? (first[1] ?? first[2]) : (last?.[2] ?? last?.[3] ?? last?.[4]);
  const inner = first?.[3] ?? last?.[1] ?? again?.[1];
  if (often === undefined || inner === undefined) return null;
  const times = timesOver(often);
  const steps = times === null ? null : (eachAlike(inner) ?? stepsBetween(inner) ?? stepsApart(inner));
  if (times === null || !steps) return null;
  return Array.from({ length: times }, () => steps.map((step) => ({ ...step, unsure: true }))).flat();
}

/** "Rowing x8 / hips 30 s", "Rowing x8 → hips 30 s → shake 1 min": each with a name and an amount of its own. */
function stepsApart(body: string): readonly Reading[] | null {
  const text = body.replace(/[.!]$/, '');
  if (!ANY_MARK.test(text)) return null;
  for (const mark of MARKS) {
    if (!mark.test(text)) continue;
    const parts = text.split(mark).map((part) => part.replace(JOINING, ''));
    if (parts.length < 2 || parts.length > AT_MOST || !parts.every(mayHaveAmount)) continue;
    const { sides } = findCounts(body).counts;
    const oneWay = parts.some((one) => ONE_WAY.test(one));
    if (sides !== undefined && sides !== 'alternating' && oneWay && !haveOwnSides(parts)) return null;
    const steps = stepsOf(parts);
    if (!steps) continue;
    const joined =
      /\s(?:and|[&+])\s/i.test(body) && parts.some((part) => findCounts(part).bare && !/\(\d{1,2}\)$/.test(part));
    const alike = new Set(steps.map(({ counts }) => JSON.stringify(counts))).size === 1;
    // "Open 8 times and close 8 times" may be one.
    const ofOne = parts.length === 2 && alike && / (?:and|&) /i.test(body) && !/[,;/|]/.test(body);
    if (!joined && !ofOne) return steps;
  }
  return null;
}

/** "shoulder rolls, eight of them, hip circles, six each way": each name with the amount behind it, where all are so. */
function withAmounts(parts: readonly string[]): readonly string[] {
  const last = itemAt(parts, parts.length - 1);
  if (parts.length % 2 === 1 && ALIKE.test(last)) return [...inPairs(parts.slice(0, -1)), last];
  return parts.length < 4 || parts.length % 2 === 1 ? parts : inPairs(parts);
}

function inPairs(parts: readonly string[]): readonly string[] {
  const pairs = parts.flatMap((name, at) => (at % 2 === 0 ? [[name, itemAt(parts, at + 1)] as const] : []));
  const alternate = pairs.every(([name, amount]) => {
    const { counts, rest } = findCounts(`it, ${amount}`);
    return !hasAmount(findCounts(name).counts) && hasAmount(counts) && /^it,?$/.test(rest);
  });
  return alternate ? pairs.map((pair) => pair.join(' ')) : parts;
}

/** "standing post 5 min, shake out, 30 s": an amount by itself is of the name before it, which has none. */
function withTheirAmount(parts: readonly string[]): readonly string[] {
  const joined: string[] = [];
  for (const part of parts) {
    const before = joined.at(-1);
    const alone = before !== undefined && joined.length > 1 && !mayHaveAmount(before) && /^\d/.test(part) && findCounts(part).rest === ''; // prettier-ignore
    if (alone) joined.push(`${joined.pop() ?? ''} ${part}`);
    else joined.push(part);
  }
  return joined;
}

/** "heel and toe x10, circles x5, each foot": a side by itself is of the step before it. */
function withSides(parts: readonly string[]): readonly string[] {
  const joined: string[] = [];
  for (const part of parts) {
    const sideOnly = /^(?:on |with )?(?:each|both|either) (?:sides?|legs?|foot|feet|arms?|hands?)$/i.test(part.trim());
    if (sideOnly && joined.length > 1) joined.push(`${joined.pop() ?? ''} ${part}`);
    else joined.push(part);
  }
  return joined;
}

/** "wrists x5 each way, ankles x5 each way": the sides are of one of them, and not between two. */
function haveOwnSides(parts: readonly string[]): boolean {
  return parts.some((part) => {
    const { counts, rest } = findCounts(part);
    return counts.sides !== undefined && rest !== '' && !OF_ONE.test(rest);
  });
}

function stepsBetween(body: string): readonly Reading[] | null {
  const listed = BETWEEN.test(body);
  if (!listed && !JOINT.test(body)) return null;
  const joined = JOINT.test(body) ? pairJoined(body) : null;
  if (joined) return joined;
  if (!listed) return null;
  const parts = withTheirAmount(withAmounts(withSides(body.replace(/[.!]$/, '').split(BETWEEN))));
  if (parts.length < 2 || parts.length > AT_MOST || !parts.every((part) => mayHaveAmount(part) || ALIKE.test(part))) return null; // prettier-ignore
  const { sides } = findCounts(body).counts;
  const sided = sides !== undefined && sides !== 'alternating';
  if (sided && !haveOwnSides(parts) && (parts.length < LISTED || parts.some((one) => ONE_WAY.test(one)))) return null;
  return stepsOf(parts);
}

/** Each part as a step; `null` as soon as one is none. */
function stepsOf(parts: readonly string[]): readonly Reading[] | null {
  const steps: Reading[] = [];
  // "8 Rowing, 6 Cloud hands".
  const counted = parts.every((part) => NUMBER_FIRST.test(part));
  for (const part of parts) {
    if (ON_ROUNDS.test(part)) return null;
    const rested = steps.length > 0 ? restOf(part) : null;
    const [, named = part, remark] = /^([^()]+?)\s*\(([^()\d]{3,60})\)$/.exec(part) ?? [];
    const alike = steps.length > 0 ? ALIKE.exec(named)?.[1] : undefined;
    const step =
      alike !== undefined
        ? { ...itemAt(steps, steps.length - 1), words: alike }
        : (rested ?? stepOf(counted ? named.replace(NUMBER_FIRST, '$1x ') : named));
    if (step === null) return null;
    const before = steps.findLast(({ kind }) => kind === 'movement');
    if (before && MANNER.test(step.words)) steps.push({ ...step, words: before.words }, reading('said', step.words));
    else steps.push(step, ...(remark === undefined ? [] : [reading('said', remark)]));
  }
  return steps.some(({ kind }) => kind !== 'pause') ? steps : null;
}

/** "x8 faster", behind "rowing x8": the same in another way. */
const MANNER = new RegExp(`^(?:${IN_ANOTHER_WAY})$`, 'i');

/** "last 2 rounds silent": how some of its rounds are done. */
export const ON_ROUNDS =
  /^(?:the )?(?:(?:last|first|final) (?:\d|one|two|three|four|few|couple)(?: of)? ?(?:rounds?|reps?|ones?|times|goes)?|(?:second|third|fourth|2nd|3rd|last|first|final) (?:time|round|one|go|set))[:,]? ?(?:are |is |done |all )?(?:in |with |without |on |at )?(?:silen|quiet|slow|small|big|soft|low|deep|no |me\b|words|cues|eyes|(?:their|your|half|own)\b|unled|alone|easy|full)/i;

/** "then hips the same", behind another. */
const ALIKE =
  /^(\p{L}[\p{L} '’-]{2,30}?),? (?:the same|same(?: again)?|likewise|ditto|as many|just as (?:many|long))$/iu;

/** "lifting water 8x pushing mountain 8x separating clouds 8x each side": names and amounts, and nothing between. */
const RUN_ON =
  /(\p{L}[\p{L}'’ &-]{2,40}?) ((?:\d{1,2} ?(?:[x×]|times|mins?|minutes?|secs?|s)|[x×] ?\d{1,2})(?![\p{L}\d])(?: (?:each (?:side|way|leg)|per side|ea|each|e\/[sw]))?)(?: |$)/giu;

function runOn(body: string): readonly Reading[] | null {
  if (/[.,;:()/–—+]|\b(?:and|own)\b/i.test(body)) return null;
  const found = [...body.matchAll(RUN_ON)];
  if (
    found.length < (/\bthen\b/i.test(body) ? LISTED : LISTED - 1) ||
    found.reduce((sum, [all]) => sum + all.length, 0) !== body.length
  )
    return null;
  const parts = found.map(([, one = '', amount = '']) => `${one.replace(/^(?:then|and) /i, '')}, ${amount}`);
  return stepsOf(parts);
}

/** Parts without any of this have no amount, and need not be looked through. */
const AMOUNT = new RegExp(
  `\\d|[½¼¾]|\\b(?:${NUMBER_IN_WORDS}|an?|another|half|once|twice|thrice|minutes?)\\b|${ROUND_WORDS.join('|')}`,
  'i',
);

function mayHaveAmount(part: string): boolean {
  return AMOUNT.test(part);
}

/** "Swing 2 min and shake 1 min", "3 big breaths n 2 mins quiet": two steps with amounts that differ; alike they may be of one. */
function pairJoined(body: string): readonly Reading[] | null {
  const parts = body.replace(/[.!]$/, '').split(JOINT);
  if (parts.length !== 2 || !parts.every(mayHaveAmount)) return null;
  const [breaths = '', then = ''] = parts;
  const [, once] = ONCE.exec(then) ?? [];
  const counted = once !== undefined && / breaths?$/i.test(breaths) ? stepOf(breaths) : null;
  if (once !== undefined && counted) return [counted, reading('movement', once, { rounds: 1 }, true)];
  // "eight shoulder rolls and six hip circles".
  const inFront = parts.every((part) => AMOUNT_FIRST.test(part));
  if (!inFront && parts.some((part) => findCounts(part).bare)) return null;
  const [first, second] = stepsOf(parts) ?? [];
  if (!first || !second) return null;
  const [one, other] = [first, second].map(({ counts }) => JSON.stringify(counts));
  return one === other ? null : [first, second];
}

/** "three big breaths and a bow". */
const ONCE =
  /^(?:an?|one) (?:(?:final|last|closing|small|deep|short|little) )*((?:bow|shake|stretch|sigh|yawn|salute|clap|twist|shrug)(?: \p{L}+){0,3})$/iu;

const AMOUNT_FIRST = new RegExp(`^(?:\\d{1,2}|${NUMBER_IN_WORDS}) \\p{L}{3}`, 'iu');

const JOINT = /,? (?:and(?: then)?|&|n|\+) /i;

/** "finish with 3 breaths". */
const COMING_TO =
  /^(?:finish|end|close|start|begin|open)(?:ing)? (?:with|w\/?) (?=\d|[a-z]+ (?:big|deep|slow|long|quiet) )/i;

function stepOf(written: string): Reading | null {
  if (/^(?:inhal|exhal|breathe (?:in|out)\b|in\b|out\b)/i.test(written)) return null;
  const part = (withoutFrame(written) ?? written).replace(BEFORE_NAME, '').replace(COMING_TO, '');
  const { counts, rest } = findCounts(part);
  const ways = rest === '' ? (/^\p{L}+ ?\/ ?\p{L}+(?= )/u.exec(part)?.[0] ?? '') : '';
  const name = rest === '' && /\p{L} breaths$/iu.test(part) ? part : ways || unquoted(bareName(rest));
  const counted = (counts.rounds !== undefined) !== (counts.seconds !== undefined);
  if (!counted || counts.hold !== undefined || name === '' || OF_ONE.test(name)) return null;
  if (/[.!?“”"()]|^hold (?:the )?last/i.test(name) || wordCount(name) > 5) return null;
  const still = counts.seconds !== undefined && isStill(name);
  return reading(still ? 'silence' : 'movement', name, counts, true);
}
