import { itemAt } from '@/core/units';
import { findCounts } from './counts';
import { reading, type Reading } from '../model/reading';
import { NUMBER_IN_WORDS } from '../tokens/tokens';

/*
 * Several steps in one line with one amount for each of them: "arms, hips, ankles, 1 min each", "8 of each: wrists,
 * elbows, shoulders", "Rowing and Cloud hands, 8 of each", "Circles (8 each): wrists, elbows".
 */

const LINE_AT_MOST = 200;
const NAMES_AT_MOST = 12;
/** So few names may still be one step in words of its own, but where "of each" tells them apart. */
const LISTED = 3;
const PAIR = 2;

/** Words of a direction, a side or a breath alone: these are amounts of one step. */
export const OF_ONE =
  /^(?:(?:the|so|and|then|or|on|to|in|out|up|down|left|right|l|r|forwards?|backwards?|back|fwd|bwd|front|inwards?|outwards?|clockwise|anticlockwise|one|other|each|both|same|again|more|way|side|leg|foot|arm|hand|hold|rest|pause|breath|breathe|inhale|exhale|slow|slowly|fast|quick|small|big|eyes|closed|open|total|times|rounds|reps|sets?|say|about|maybe|perhaps|per|every|a|go|time|round)[ .]*)*$/i;

const AMOUNT = `((?:for )?(?:\\d|${NUMBER_IN_WORDS}|once|twice|half a|an? )[\\p{L}\\d½. -]{0,14}?)`;
const EACH = '(?:each|ea\\.?|apiece)(?: of (?:them|these|those))?';
/** "…, 8 each", "… (1 min each)", "… x8 each", "…: both 8 times". */
const BEHIND = new RegExp(
  `^(.{5,120}?)(?:,|:|\\.| [-–—])? \\(?(?:[x×] ?)?${AMOUNT}(?:,| of)? ?${EACH}\\)?[.!]?$`,
  'iu',
);
const BOTH = new RegExp(`^(.{5,80}?)(?:,|:| [-–—])? \\(?(?:both|all) (?:[x×] ?)?${AMOUNT}\\)?[.!]?$`, 'iu');
/** "8 of each: …", "30 s each of …", "1 min each - …". */
const BEFORE = new RegExp(
  `^(?:[x×] ?)?${AMOUNT}(?: of)? ?${EACH}(?: of(?: the)?)?(?::| [-–—]|,)? (\\p{L}.{4,120})$`,
  'iu',
);
/** "Circles (8 each): wrists, elbows". */
const LABELLED = new RegExp(
  `^(\\p{L}[\\p{L} -]{2,30}?) \\((?:[x×] ?)?${AMOUNT}(?: of)? ?${EACH}\\): ?(.{5,120})$`,
  'iu',
);
/** "Joint circles x6 each: neck shoulders elbows": joints, with blanks between. */
const OF_JOINTS = new RegExp(
  `^(\\p{L}[\\p{L} -]{2,30}?),? (?:[x×] ?)?${AMOUNT}(?: of)? ?${EACH}(?::| [–-]) ?(\\p{L}+(?:,? (?:and )?\\p{L}+){2,11})\\.?$`,
  'iu',
);
const JOINT =
  /^(?:neck|head|jaw|shoulders?|elbows?|wrists?|hands?|fingers?|thumbs?|chest|ribs?|spine|back|waist|hips?|pelvis|knees?|ankles?|feet|foot|toes?)$/i;
/** "Joint opening (neck, shoulders, elbows) 6x each". */
const BOXED = new RegExp(
  `^(\\p{L}[\\p{L} -]{2,30}?)(?:, [\\p{Ll} ]{3,30})? \\(([^()\\d]{5,120})\\)(?:,|:| [-–—])? (?:[x×] ?)?${AMOUNT}(?:,| of)? ?${EACH}[.!]?$`,
  'iu',
);
const LABEL = /^(\p{L}[\p{L} -]{1,40}?(?:(?<= )\d of)?): (?=\p{L})/u;
const BETWEEN = /, (?:and )?| and | & | \+ | \/ |(?<! w)\//i;
const NAME = /^\p{L}[\p{L}'’-]*(?: [\p{L}'’-]+){0,4}$/u;
/** What begins a line that tells of them: "It is always". */
const TELLS = /^[^,.;:]{0,40}?\b(?:is|are|was|were|do|did)(?: always| usually)? (?=\p{Lu})/u;

/** The steps, each with its amount; `null` for any other line. */
export function eachAlike(body: string): readonly Reading[] | null {
  if (body.length > LINE_AT_MOST || !/\b(?:each|ea|apiece|both|all)\b/i.test(body)) return null;
  const labelled = LABELLED.exec(body);
  if (labelled) return named(itemAt(labelled, 3), itemAt(labelled, 2), LISTED - 1, itemAt(labelled, 1));
  const boxed = BOXED.exec(body);
  if (boxed) return named(itemAt(boxed, 2), itemAt(boxed, 3), LISTED, itemAt(boxed, 1));
  const joints = OF_JOINTS.exec(body);
  const list = joints ? itemAt(joints, 3).split(/,? (?:and )?/) : [];
  if (joints && list.every((one) => JOINT.test(one)))
    return named(list.join(', '), itemAt(joints, 2), LISTED, itemAt(joints, 1));
  const before = BEFORE.exec(body);
  if (before) return named(itemAt(before, 2), itemAt(before, 1), LISTED);
  const ofEach = /\bof each\b|[x×] ?\d{1,2} each/i.test(body);
  const behind = BEHIND.exec(body);
  if (behind)
    return inList(itemAt(behind, 1), itemAt(behind, 2), ofEach || / [+&] /.test(itemAt(behind, 1)) ? PAIR : LISTED);
  const both = BOTH.exec(body);
  return both ? inList(itemAt(both, 1), itemAt(both, 2), /\bboth\b/i.test(body) ? PAIR : LISTED) : null;
}

/** "the three lifting ones": of a list, and no name. */
const OF_THESE = /\b(?:ones|these|those|following|things|\d of)$/i;

/** The list may have a name itself: "Joint circles: wrists, elbows". */
function inList(list: string, amount: string, least: number): readonly Reading[] | null {
  const label = LABEL.exec(list);
  return label
    ? named(list.slice(label[0].length), amount, least, OF_THESE.test(itemAt(label, 1)) ? undefined : itemAt(label, 1))
    : named(list.replace(TELLS, ''), amount, least);
}

/** What a list names, a few words each; `null` where it is no list of names. */
export function namesIn(list: string): readonly string[] | null {
  const names = list.replace(/[.!,]$/, '').split(BETWEEN).map((one) => one.trim()); // prettier-ignore
  return names.length > 1 && names.length <= NAMES_AT_MOST && names.every((one) => NAME.test(one)) ? names : null;
}

/** "with step": how the name before it is done. */
const NO_NAME = /^with(?:out)? /i;

function named(list: string, written: string, least: number, label?: string): readonly Reading[] | null {
  const names = namesIn(list);
  if (!names || names.length < least) return null;
  const others = [OF_ONE, NO_NAME, SIDED];
  if (names.some((one) => others.some((form) => form.test(one)) || findCounts(one).rest !== one)) return null;
  const bare = new RegExp(`^(?:\\d{1,2}|${NUMBER_IN_WORDS})$`, 'i').test(written.trim());
  const { seconds, rounds, sides } = findCounts(bare ? `x, ${written.trim()} times` : `x, ${written.trim()}`).counts;
  if ((seconds === undefined) === (rounds === undefined) || sides !== undefined) return null;
  const counts = seconds ? { seconds } : { rounds };
  return names.map((one) => reading('movement', label === undefined ? one : `${label}: ${one}`, counts, true));
}

/** "left leg, right leg, 30 s each": one step on both sides. */
const SIDED = /\b(?:left|right|forwards?|backwards?|other)\b|^[lr]\b/i;
