import { itemAt } from '@/core/units';
import { findCounts } from './counts';
import { capitalised } from './line-words';
import { isStill } from './line-signs';
import { ROUND_WORDS } from './amounts';
import { bareName, BEFORE_NAME } from './names';
import { reading, type Reading } from './reading';
import { NUMBER_IN_WORDS } from './tokens';

/*
 * Several steps in one line, each with an amount of its own: "wrists 10, elbows 10, shoulders 10", "arms 30 s, legs 30 s",
 * "push 8 times, then sink 4 times".
 */

const BETWEEN = /\s*(?:[,;]\s*(?:and\s+)?(?:then\s+)?|\s\+\s|\s(?:and\s+)?then\s)\s*/i;
const AT_MOST = 12;
/** So few parts may still be one step in words of its own. */
const LISTED = 3;
/** Words of a direction, a side or a breath alone: these are amounts of one step. */
const OF_ONE =
  /^(?:(?:the|so|on|to|in|out|up|down|left|right|l|r|forwards?|backwards?|back|fwd|bwd|front|inwards?|outwards?|clockwise|anticlockwise|one|other|each|both|same|again|more|way|side|leg|foot|arm|hand|hold|rest|pause|breath|breathe|inhale|exhale|slow|slowly|fast|quick|small|big|eyes|closed|open|total|times|rounds|reps|sets?)[ .]*)*$/i;

/** A way or a side of one step has its own amount: "push left 6, push right 6". */
const ONE_WAY =
  /\b(?:left|right|l|r|for?wards?|fwd|bwd|bk|back(?:wards?)?|inwards?|outwards?|(?:anti)?clockwise|cw|ccw|up|down|one|other)\b/i;

/** The steps of a line that names more than one with its amount; `null` where it is one step. */
export function severalSteps(body: string): readonly Reading[] | null {
  const steps = stepsIn(body);
  // With a capital at the start of the line its other names begin with one, too.
  if (steps === null || !/^\p{Lu}/u.test(body)) return steps;
  return steps.map((one) => ({ ...one, words: capitalised(one.words) }));
}

function stepsIn(body: string): readonly Reading[] | null {
  const listed = BETWEEN.test(body);
  if (body.length > 200 || (!listed && !JOINT.test(body))) return null;
  const alike = listed ? eachAlike(body) : null;
  if (alike) return alike;
  const joined = JOINT.test(body) ? pairJoined(body) : null;
  if (joined) return joined;
  if (!listed) return null;
  const parts = body.replace(/[.!]$/, '').split(BETWEEN);
  if (parts.length < 2 || parts.length > AT_MOST || !parts.every(mayHaveAmount)) return null;
  const { sides } = findCounts(body).counts;
  const sided = sides !== undefined && sides !== 'alternating';
  if (sided && (parts.length < LISTED || parts.some((one) => ONE_WAY.test(one)))) return null;
  return stepsOf(parts);
}

/** Each part as a step; `null` as soon as one is none. */
function stepsOf(parts: readonly string[]): readonly Reading[] | null {
  const steps: Reading[] = [];
  for (const part of parts) {
    const step = stepOf(part);
    if (step === null) return null;
    steps.push(step);
  }
  return steps;
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
  if (parts.length !== 2 || !parts.every(mayHaveAmount) || parts.some((part) => findCounts(part).bare)) return null;
  const [first, second] = stepsOf(parts) ?? [];
  if (!first || !second) return null;
  const [one, other] = [first, second].map(({ counts }) => JSON.stringify(counts));
  return one === other ? null : [first, second];
}

const JOINT = /,? (?:and(?: then)?|&|n|\+) /i;

/** "arms, hips, ankles, 1 min each": several steps with one amount for each of them; `null` for anything else. */
function eachAlike(body: string): readonly Reading[] | null {
  const pair = ALIKE_PAIR.exec(body);
  if (pair) {
    const rounds = findCounts(`x, ${itemAt(pair, 3)} times`).counts.rounds;
    return rounds === undefined ? null : [itemAt(pair, 1), itemAt(pair, 2)].map((one) => reading('movement', one, { rounds }, true)); // prettier-ignore
  }
  const match = EACH_ALIKE.exec(body);
  if (!match) return null;
  const names = itemAt(match, 1).split(/, (?:and )?| and | & /);
  if (names.length < LISTED || names.length > AT_MOST || names.some((one) => OF_ONE.test(one))) return null;
  const amount = itemAt(match, 2);
  const { seconds, rounds, sides } = findCounts(/^\d{1,2}$/.test(amount) ? `${amount} times` : amount).counts;
  if ((seconds === undefined) === (rounds === undefined) || sides !== undefined) return null;
  const counts = seconds ? { seconds } : { rounds };
  return names.map((one) => reading('movement', one, counts, true));
}

const TITLED = '(\\p{Lu}\\p{L}+(?: (?:the |of |a |an |in |on |to |at )?\\p{Lu}\\p{L}+)+)';
/** "Lifting the Sky and Gathering the Harvest, eight of each": two names with capitals. */
const ALIKE_PAIR = new RegExp(
  `^(?:[^,.;]{0,40}?\\b(?:is|are|was|were|do|did)(?: always| usually)? )?${TITLED} and ${TITLED},? (\\d{1,2}|${NUMBER_IN_WORDS})(?: times)?(?: of)? each[.!]?$`,
  'u',
);

const EACH_ALIKE =
  /^((?:\p{L}+(?: \p{L}+){0,2}, ){1,11}(?:and )?\p{L}+(?: \p{L}+){0,2}(?: (?:and|&) \p{L}+)?)(?:,|:| [-–—])? ((?:for )?\d[\p{L}\d½. -]{0,12}?),? (?:each|of each|each of them|apiece)[.!]?$/u;

/** "finish with 3 breaths". */
const COMING_TO =
  /^(?:finish|end|close|start|begin|open)(?:ing)? (?:with|w\/?) (?=\d|[a-z]+ (?:big|deep|slow|long|quiet) )/i;

function stepOf(written: string): Reading | null {
  const part = written.replace(BEFORE_NAME, '').replace(COMING_TO, '');
  const { counts, rest } = findCounts(part);
  const name = rest === '' && /\p{L} breaths$/iu.test(part) ? part : bareName(rest);
  const counted = (counts.rounds !== undefined) !== (counts.seconds !== undefined);
  if (!counted || counts.hold !== undefined || name === '' || OF_ONE.test(name)) return null;
  if (/[.!?“”"()]/.test(name) || name.split(/\s+/).length > 5) return null;
  const still = counts.seconds !== undefined && isStill(name);
  return reading(still ? 'silence' : 'movement', name, counts, true);
}
