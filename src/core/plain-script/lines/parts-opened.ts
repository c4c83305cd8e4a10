import { findCounts } from '../phrases/counts';
import { headingOf, headOfList, isOutlineHead, ITEM, namesPart } from '../line-kinds/headings';
import { headIn } from '../layout/heads';
import { nameOfNumbered } from '../phrases/labels';
import { isTransition } from '../line-kinds/line-signs';
import { sentenceCase } from '../model/line-words';
import { secondsFrom, type Counts } from '../model/model';
import { reading, type Reading } from '../model/reading';
import type { Standing } from '../model/standing';
import { isOfAll } from './of-class';
import { isTold, kindOfPart } from '../line-kinds/talks';

/* Parts of a class that a line opens: by its heading, by what stands below it, or by its time. */

const TIMED_NUMBER = /^\d{1,2}[.)] [^()]{2,40} \([^()]{0,12}(?:min|minutes?|secs?|seconds?|['′])\)$/i;
/** A part of the class that a line opens; `null` where it opens none. */
export function headed(
  stamped: string,
  spanSeconds: number | null,
  {
    under,
    underlined,
    opens,
    apart,
    heads,
    alone,
    partAbove,
    detailed,
    numbersOn,
    timedBelow,
    parts,
    shouted,
    lastsSeconds,
  }: Standing,
): readonly Reading[] | null {
  if ((under === 'movement' && ONLY_TURNS.test(stamped)) || nameOfNumbered(stamped) !== null) return null;
  if (under === 'movement' && (OTHER_SIDE.test(stamped) || BOTH_SIDES.test(stamped))) return null;
  // With its time and among its like it is done, and heads nothing: "1. Settling (one minute)".
  const done = (numbersOn && TIMED_NUMBER.test(stamped)) || detailed;
  const head = heads ? headIn(stamped) : null;
  if (head) return [{ ...reading('section', head.name, head.counts, head.counts.rounds !== undefined), marked: stamped.startsWith('#') }]; // prettier-ignore
  const heading = underlined ? stamped : done || isOfAll(stamped) ? null : headingOf(stamped, shouted);
  // "Welcome (1 min)" between the name of a part and its steps is told, and opens none.
  const inPart = under !== 'nothing' || partAbove;
  if (heading !== null && inPart && !opens && !alone && !timedBelow && isToldShortly(stamped)) return null;
  const ends = heading === null && !done ? closingIn(stamped) : null;
  if (ends) return ends;
  if (heading !== null) {
    const lasting = spanSeconds ?? lastsSeconds;
    if (timedBelow && lasting !== null) return partAsStep(heading, lasting, parts);
    return [{ ...reading('section', heading, partLasting(stamped, lasting)), marked: stamped.startsWith('#') }];
  }
  const listed = ITEM.test(stamped) && !isOutlineHead(stamped);
  const opening =
    opens && !isTransition(stamped) ? headOfList(listed ? stamped.replace(ITEM, '') : stamped, listed || apart) : null;
  // "Soft knees." between two of a list is said in the first.
  const below = under === 'movement' || under === 'silence';
  if (opening === null || (below && !namesPart(opening) && /\p{L}\.$/u.test(stamped))) return null;
  return [reading('section', opening, partLasting(stamped, spanSeconds), !namesPart(opening))];
}

/** Whether a line is something that is told, or a stillness, for a short time. */
function isToldShortly(line: string): boolean {
  const { counts, rest } = findCounts(line.replace(ITEM, ''));
  return (
    counts.rounds === undefined &&
    (counts.seconds?.[0] ?? Infinity) <= TOLD_AT_MOST &&
    (isTold(rest) || QUIET.test(rest))
  );
}

const QUIET = /^(?:stillness|silence|quiet)$/i;

/** Seconds; what is longer is a part of the class. */
const TOLD_AT_MOST = 180;

/** "Closing 4 min", "5) CLOSE 4'": the last part and its talk, where no list stands below it; `null` for anything else. */
function closingIn(stamped: string): readonly Reading[] | null {
  if (stamped.length > CLOSING_AT_MOST || !/^\W*\w{0,2}\W*(?:the )?(?:clos|finish|end)/i.test(stamped)) return null;
  // "end 12:20" is when it is over.
  if (/\d[:.]\d\d/.test(stamped)) return null;
  const { counts, rest } = findCounts(stamped.replace(ITEM, ''));
  const { seconds, ...others } = counts;
  if (seconds === undefined || Object.keys(others).length > 0 || !CLOSING.test(rest)) return null;
  return [reading('section', rest, {}), reading('talk', sentenceCase(rest), { seconds })];
}

const CLOSING = /^(?:the )?(?:clos(?:e|ing)|finish(?:ing)?|end(?:ing)?)$/i;
const CLOSING_AT_MOST = 40;

/** A part by its time, with nothing below it: it is one step as long, and among other parts it opens one. */
function partAsStep(heading: string, seconds: number, opens: boolean): readonly Reading[] {
  const counts = { seconds: secondsFrom([seconds, seconds], 1) };
  const step = reading(kindOfPart(heading), heading, counts, true);
  return opens ? [reading('section', heading), step] : [step];
}

/** How long a part is to last, by what its heading says, else by the times that lines begin with. */
function partLasting(heading: string, lastsSeconds: number | null): Counts {
  const { counts, bare } = findCounts(heading);
  if (counts.seconds !== undefined && (counts.rounds === undefined || bare)) return { seconds: counts.seconds };
  return lastsSeconds === null ? {} : { seconds: secondsFrom([lastsSeconds, lastsSeconds], 1) };
}

/** "Do the same on the other leg.", "and the other side": the step above, on both. */
export const OTHER_SIDE =
  /^(?:and |then |now |so )*(?:(?:we |do |then )*(?:(?:the |exactly the )?same|repeat|again|all of that|that|it) )?(?:again )?(?:on|to|with|for)? ?(?:the )?other (?:side|leg|foot|arm|hand)(?: as well| too| again)?[.!]?$/i;

/** "Both legs", "each side": of the step above. */
export const BOTH_SIDES = /^(?:on |with )?(?:both|each) (?:sides?|legs?|arms?|hands?|feet|foot)[.!]?$/i;

/** "L R L R L", "LRLRL" in capitals: no part of a class. */
const ONLY_TURNS = /^(?:[LR][\s/,–-]*){3,13}$/;
