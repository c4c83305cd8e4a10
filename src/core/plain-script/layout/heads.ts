import { itemAt } from '@/core/units';
import { isCounted, isNameLike, MAY_COUNT } from '../line-kinds/name-lines';
import { findCounts } from '../phrases/counts';
import { namesPart, speaksOfPart, withoutMark } from '../line-kinds/headings';
import { indentOf, wordCount } from '../model/line-words';
import { isStill } from '../line-kinds/line-signs';
import { secondsFrom, type Counts } from '../model/model';
import { trailingPause } from '../line-kinds/pauses';
import { inRoundBrackets, withoutMarkup } from '../tokens/spelled-out';
import { callBackIn } from '../line-kinds/step-settings';
import { toldInMovement } from '../line-kinds/told-at-times';

/*
 * Lines with an amount that head what stands below them: "Warm-up - 5 min" over what it is made of, "Eight pieces (x6
 * each)" over the pieces. The lines around tell whether they head anything.
 */

const NAME_AT_MOST = 60;
const HEAD_AT_MOST = 100;
/** Lines further down than this tell nothing of a heading. */
const LINES_LOOKED_AT = 40;
const NAMES_BELOW = 2;

/** What heads a list: its name, and how long it lasts or how often all that is in it is done. */
export interface Head {
  readonly name: string;
  readonly counts: Counts;
  /** Whether it names a part of a class, sounds like one, or may as well be a step. */
  readonly as: 'part' | 'like-part' | 'any';
}

/** A line without what numbers it, marks it or calls it a part: "1. **Warm up** [5 min]:", "Part one - warm up". */
export function plainHead(line: string): string {
  const plain = inRoundBrackets(withoutMarkup(line.slice(0, HEAD_AT_MOST)))
    .trim()
    .replace(/^(?:#{1,6} |[-*•·–▪◦○●■] )/, '')
    .replace(/^(?:\d{1,2}|[IVX]{1,4}|[A-H])[.)] +/, '')
    .replace(
      /^(?:part|section|block|phase|segment|stage|unit) (?:[a-h]|\d{1,2}|one|two|three|four|five) ?(?:[:.,]| [–-]) +/i,
      '',
    )
    .trimEnd();
  return ENDS_IN_MARKS.test(plain) ? plain.replace(MARKS_AT_END, '') : plain;
}

const ENDS_IN_MARKS = /[\s:–—=.-]$/u;
const MARKS_AT_END = /(?:[\s:–—=-]|(?<=\p{L}{2}|\))\.)+$/u;

/** Whether a line is the usual name of a part, with whatever marks it or stands in brackets behind it. */
export function isPartName(line: string): boolean {
  return namesPart(plainHead(line).replace(/ ?\([^()]*\)$/, ''));
}

/**
 * "Warm-up - 5 min", "MAIN SET 20 MINUTES", "wm up 5": the name of a part with its time apart; "Eight pieces (x6 each)",
 * "Joint circles, 8 of each:": what is done so often with each of a list. Else `null`.
 */
export function headIn(line: string): Head | null {
  const text = plainHead(line);
  if (text.length > NAME_AT_MOST || !MAY_COUNT.test(text)) return null;
  const { counts, rest, bare } = findCounts(text);
  const { seconds, rounds, roundsWithin, sides, ...others } = counts;
  const name = rest
    .replace(/ ?\(\d{1,2}\)$/, '')
    .replace(/^[\s,:;=|/–—-]+|[\s,:;=|/–—-]+$/g, '')
    .replace(/,? (?:each|all)(?: one| of (?:them|these))?$/i, '');
  if (name === '' || Object.keys(others).length > 0) return null;
  const as =
    namesPart(name) || CALLED_PART.test(line.replace(/^\s*(?:[-*•#]+ )?/, ''))
      ? 'part'
      : LIKE_PART.test(name)
        ? 'like-part'
        : 'any';
  const called = name.replace(WORKED_ON, '').replace(/["“”]/g, '');
  const named = as === 'part' || (/^\p{Lu}[^.!?,;:()\d]*$/u.test(called) && wordCount(called) <= WORDS_OF_A_NAME);
  if (seconds !== undefined && rounds === undefined && sides === undefined)
    return named ? { name, counts: { seconds }, as } : null;
  const minutes = Number(MINUTES_ALONE.exec(text)?.[1] ?? 0);
  if (as === 'part' && minutes > 0 && sides === undefined && (rounds === undefined || bare) && seconds === undefined)
    return { name, counts: { seconds: secondsFrom([60 * minutes, 60 * minutes], 1) }, as };
  if (rounds === undefined || seconds !== undefined || !OF_EACH.test(text) || rounds > ROUNDS_OF_ALL) return null;
  const sided = sides !== undefined && /\b(?:sides?|legs?|arms?|foot|feet|ways?|directions?)\b/i.test(text);
  return { name, counts: { rounds, ...(roundsWithin ? { roundsWithin } : {}), ...(sided ? { sides } : {}) }, as };
}

const CALLED_PART = /^(?:part|section|block|phase) (?:[a-h]|\d{1,2}|one|two|three|four|five) ?(?:[:.,]| [–-]) +(?=\S)/i;
/** "Learn: Parting the Reeds", "New form - Rowing". */
const WORKED_ON =
  /^(?:learn(?:ing)?|new(?: (?:movement|form|one))?|teach(?:ing)?|practi[cs]e|focus(?: on)?|work on|review|recap|drill|study|form|movement)(?::| [–-]) /iu;
const MINUTES_ALONE = /^[^\d]*[\s(](\d{1,2})\)?$/;
const WORDS_OF_A_NAME = 5;
/** What sounds like a part of a class. */
export const LIKE_PART =
  /\b(?:warm|cool|exercises|set|flow|work|practi[cs]e|drills?|loosen(?:ing|ers)?|mobil(?:ity|isers|isation)|circuit|sequence|routine|section|block|part|stretch(?:es|ing)?|opening|openers|closing|joints?|basics|movements|forms|pieces|moves|games|partner)\b/i;
/** What is said of all that stands below. */
const OF_EACH = /\b(?:each|ea|apiece|all)\b(?!\.? (?:sides?|ways?|directions?|hands?|legs?|arms?|foot|feet|leg)\b)/i;
const ROUNDS_OF_ALL = 36;

/** Whether a line with an amount heads what stands below it: set apart above, or over a list or names. */
export function headsBelow(lines: readonly string[], at: number): boolean {
  const line = itemAt(lines, at);
  const below = lines[at + 1] ?? '';
  if (below.trim() === '' || line.length > HEAD_AT_MOST) return false;
  const mark = markOf(line);
  const listed = (markOf(below) !== null && markOf(below) !== mark) || indentOf(below) > indentOf(line);
  const apart = /:\s*$/.test(line) || (lines[at - 1] ?? '').trim() === '';
  if (goesOn(below)) return false;
  const part = listed || apart || mark !== null ? null : headIn(line);
  if (part?.as === 'part' && part.counts.seconds && isDense(lines) && fillBelow(lines, at, part.counts.seconds[0]))
    return true;
  if (!listed && !apart && (!speaksOfPart(line) || namesBelow(lines, at) < NAMES_BELOW)) return false;
  const head = headIn(line);
  if (head === null) return false;
  if (head.counts.rounds !== undefined) return listed && mark === null && !haveAmounts(lines, at);
  if (head.as !== 'part' && areTold(lines, at, head.counts.seconds?.[0] ?? 0)) return false;
  if (head.as === 'any')
    return (
      listed &&
      haveAmounts(lines, at) &&
      !NO_HEAD.test(head.name) &&
      (!isStill(head.name) || [...listBelow(lines, at)].some((item) => isOften(item))) &&
      (indentOf(below) > indentOf(line) || markOf(lines[at - 1] ?? '') !== markOf(below))
    );
  if (listed) return head.as === 'part' || !isSetBelow(lines, at);
  if (head.as === 'like-part') return (lines[at - 1] ?? '').trim() === '' && namesBelow(lines, at) >= NAMES_BELOW;
  return true;
}

/** Whether no line of a script is empty: nothing sets its parts apart. */
function isDense(lines: readonly string[]): boolean {
  const last = lines.findLastIndex((line) => line.trim() !== '');
  return last >= DENSE_FROM && lines.slice(0, last).every((line) => line.trim() !== '');
}
const DENSE_FROM = 6;
/** A round takes about so many seconds; a part is filled by what takes as long as it, give or take. */
const ROUND_SECONDS = 9;
const FILLED = { min: 0.15, max: 1.4 } as const;

/** Whether the steps up to the next part, or the end, fit into the time of a part. */
function fillBelow(lines: readonly string[], at: number, seconds: number): boolean {
  let taken = 0;
  for (const line of lines.slice(at + 1, at + 1 + LINES_LOOKED_AT)) {
    if (namesPart(plainHead(line)) || headIn(line)?.as === 'part') break;
    if (!isCounted(line)) continue;
    const { counts } = findCounts(withoutMark(line));
    const sides = counts.sides === undefined || counts.sides === 'together' ? 1 : 2;
    taken += counts.seconds?.[0] ?? (counts.rounds ?? 0) * ROUND_SECONDS * sides;
  }
  return taken >= FILLED.min * seconds && taken <= FILLED.max * seconds;
}

/** Whether all that stands further in tells only how the line itself is done: "call back 30 s before the end". */
function isSetBelow(lines: readonly string[], at: number): boolean {
  const items = [...listBelow(lines, at)];
  return items.length > 0 && items.every((item) => callBackIn(item.trim()) !== null);
}

/** Whether a line is a later one of a numbered list. */
function goesOn(line: string): boolean {
  const number = /^\s*\(?(\d{1,2})[.)]\s/.exec(line)?.[1];
  return number !== undefined && number !== '1';
}

/** What has its time for itself. */
const NO_HEAD =
  /^(?:pause|rest|silence|break|wait|water|duration|length|time|total|stand|sit|lie)\b|\b(?:we|you|they|I|it|hall|room)\b|['’](?:ve|re|s got|ll)\b/i;

/** What sets a line off in a list: a number, a letter, or its dash or dot. */
export function markOf(line: string): string | null {
  const [, mark = ''] = /^\s*([-*•·–▪◦○●■]|\(?\d{1,2}[.)]|[a-hA-H][.)]|[IVX]{1,4}[.)])\s+\S/.exec(line) ?? [];
  if (mark === '') return null;
  if (/\d/.test(mark)) return '1';
  return /^[IVX]/.test(mark) ? 'I' : /\p{L}/u.test(mark) ? 'a' : mark;
}

/** The list that stands right below a line, without its marks. */
function* listBelow(lines: readonly string[], at: number): Generator<string> {
  const top = lines[at + 1] ?? '';
  for (const line of lines.slice(at + 1, at + 1 + LINES_LOOKED_AT)) {
    if (line.trim() === '' || indentOf(line) < indentOf(top) || (markOf(top) !== null && markOf(line) === null)) return;
    if (indentOf(line) === indentOf(top)) yield withoutMark(line);
  }
}

/** Whether most of the list below a line have an amount of their own. */
function haveAmounts(lines: readonly string[], at: number): boolean {
  const items = [...listBelow(lines, at)];
  return items.filter((item) => isCounted(item) && !trailingPause(item)).length > items.length / 2;
}

/** Whether most of what stands below a line is said in it at its times: "0:30 soften the belly". */
function areTold(lines: readonly string[], at: number, seconds: number): boolean {
  const items = [...listBelow(lines, at)];
  return items.filter((item) => toldInMovement(item.trim(), seconds, true) !== null).length > items.length / 2;
}

/** Whether a line says how often. */
function isOften(line: string): boolean {
  return isCounted(line) && findCounts(line).counts.rounds !== undefined;
}

/** How many names without amounts stand right below a line. */
function namesBelow(lines: readonly string[], at: number): number {
  let names = 0;
  for (const item of listBelow(lines, at)) {
    if (isCounted(item) || !isNameLike(item.trim())) break;
    names++;
  }
  return names;
}
