import { itemAt } from '@/core/units';
import { findCounts, secondsFrom } from './counts';
import type { Counts } from './model';
import { NUMBER_IN_WORDS } from './tokens';
import { namesPart } from './headings';
import { isBreathWord, firstWord } from './first-words';
import { indentOf } from './line-words';
import { TALK_STARTS } from './line-signs';
import { isTold } from './talks';

/*
 * Lists without marks: names one below the other, under the name of a part of the class or among steps with amounts.
 * What one line is, the lines around it tell.
 */

const NAME_AT_MOST = 60;
const HEAD_AT_MOST = 100;
const WORDS_AT_MOST = 5;
/** Where no part is named, so many lines with amounts tell that the others are steps as well. */
const NAMES_TO_COUNTED = 1.5;
/** Lines further down than this tell nothing of a heading. */
const LINES_LOOKED_AT = 40;

/** What heads a list: its name, and how long it lasts or how often all that is in it is done. */
export interface Head {
  readonly name: string;
  readonly counts: Counts;
}

/**
 * "Warm-up - 5 min", "MAIN SET 20 MINUTES", "wm up 5": the name of a part with its time apart; "Eight pieces (x6 each)",
 * "Joint circles, 8 of each:": what is done so often with each of a list. Else `null`.
 */
export function headIn(text: string): Head | null {
  const line = text.replace(/:\s*$/, '');
  if (line.length > NAME_AT_MOST || !HAS_AMOUNT.test(line)) return null;
  const { counts, rest } = findCounts(line);
  const { seconds, rounds, roundsWithin, sides, ...others } = counts;
  const name = rest.replace(/[\s,:;–—-]+$/, '');
  if (name === '' || Object.keys(others).length > 0) return null;
  if (seconds !== undefined && rounds === undefined && sides === undefined)
    return namesPart(name) ? { name, counts: { seconds } } : null;
  if (rounds === undefined || seconds !== undefined) return null;
  if (namesPart(name) && MINUTES_ALONE.test(line))
    return { name, counts: { seconds: secondsFrom([60 * rounds, 60 * rounds], 1) } };
  if (!OF_EACH.test(line) || rounds > ROUNDS_OF_ALL) return null;
  const sided = sides !== undefined && /\b(?:sides?|legs?|arms?|foot|feet|ways?|directions?)\b/i.test(line);
  return { name, counts: { rounds, ...(roundsWithin ? { roundsWithin } : {}), ...(sided ? { sides } : {}) } };
}

const HAS_AMOUNT = new RegExp(`\\d|\\b(?:${NUMBER_IN_WORDS}|twice)\\b`, 'i');
const MINUTES_ALONE = /^\D+ \d{1,2}$/;
/** What is said of all that stands below. */
const OF_EACH = /\b(?:each|ea|apiece|all)\b(?!\.? (?:sides?|ways?|directions?|hands?|legs?|arms?|foot|feet|leg)\b)/i;
const ROUNDS_OF_ALL = 36;

/** Whether a line with an amount heads what stands below it: set apart above, or with something further in below. */
export function headsBelow(lines: readonly string[], at: number): boolean {
  const line = itemAt(lines, at);
  const below = lines[at + 1] ?? '';
  if (below.trim() === '' || line.length > HEAD_AT_MOST) return false;
  const head = headIn(line.replace(MARK, '').trim());
  if (head === null) return false;
  const listed = (MARKED.test(below) && !MARKED.test(line)) || indentOf(below) > indentOf(line);
  if (head.counts.rounds !== undefined) return listed && !MARKED.test(line) && !haveAmounts(lines, at);
  return listed || /:\s*$/.test(line) || (lines[at - 1] ?? '').trim() === '';
}

/** Whether most of the list below a line have an amount of their own. */
function haveAmounts(lines: readonly string[], at: number): boolean {
  const top = lines[at + 1] ?? '';
  const items: string[] = [];
  for (const line of lines.slice(at + 1, at + 1 + LINES_LOOKED_AT)) {
    if (line.trim() === '' || indentOf(line) < indentOf(top) || (MARKED.test(top) && !MARKED.test(line))) break;
    if (indentOf(line) === indentOf(top)) items.push(line.replace(MARK, ''));
  }
  return items.filter(isCounted).length > items.length / 2;
}

const MARK = /^\s*(?:[-*•–]|\d{1,2}[.)])\s+/;
const MARKED = /^\s*(?:[-*•–]|\(?\d{1,2}[.)])\s+\S/;

/** For each line whether it is a name among names: one of a list that has no marks. */
export function amongNames(lines: readonly string[]): readonly boolean[] {
  const listed = lines.map(() => false);
  // The first line is the title.
  for (let from = lines.findIndex((line) => line.trim() !== '') + 1; from < lines.length;) {
    if (itemAt(lines, from).trim() === '') {
      from++;
      continue;
    }
    let to = from;
    while (to < lines.length && itemAt(lines, to).trim() !== '') to++;
    for (const run of runsOf(lines, from, to)) markNames(lines, run, listed);
    from = to;
  }
  return listed;
}

interface Run {
  readonly from: number;
  readonly to: number;
  /** Whether it stands under the name of a part. */
  readonly under: boolean;
}

/** The lines above the first part that a block names, and those below each. */
function runsOf(lines: readonly string[], from: number, to: number): readonly Run[] {
  const heads: number[] = [];
  for (let at = from; at < to; at++) if (isPart(itemAt(lines, at))) heads.push(at);
  const runs = heads.map((at, index): Run => ({ from: at + 1, to: heads[index + 1] ?? to, under: true }));
  return [{ from, to: heads[0] ?? to, under: false }, ...runs];
}

function isPart(line: string): boolean {
  const text = line
    .trim()
    .replace(/^#{1,6} /, '')
    .replace(/:$/, '');
  return (
    text.length <= NAME_AT_MOST &&
    (namesPart(text.replace(/ ?\([^()]*\)$/, '')) || headIn(text)?.counts.seconds !== undefined)
  );
}

function markNames(lines: readonly string[], { from, to, under }: Run, listed: boolean[]): void {
  if (to - from < 2 || to - from > LINES_LOOKED_AT) return;
  const indent = indentOf(itemAt(lines, from));
  const names: number[] = [];
  let counted = 0;
  for (let at = from; at < to; at++) {
    const line = itemAt(lines, at);
    if (indentOf(line) > indent) continue;
    if (isCounted(line)) counted++;
    else if (isNameLike(line.trim())) names.push(at);
    else return;
  }
  const enough = under ? names.length + counted >= 2 : counted >= 2 && names.length <= NAMES_TO_COUNTED * counted;
  if (enough) for (const at of names) listed[at] = true;
}

function isCounted(line: string): boolean {
  if (line.length > 120 || !/\d|\b(?:one|two|three|four|five|six|seven|eight|nine|ten|twelve|twenty|half|minutes?|once|twice)\b/i.test(line)) return false; // prettier-ignore
  const { rounds, seconds } = findCounts(line).counts;
  return rounds !== undefined || seconds !== undefined;
}

/** A few words without a stop, a label or somebody they speak to. */
export function isNameLike(text: string): boolean {
  return (
    text.length <= NAME_AT_MOST &&
    /^\p{L}/u.test(text) &&
    !/[.!?:;"“”=|\t]|\b(?:you|your|I|we|they|them|is|are|don['’]?t|not|no|any ?time|throughout|always|never|if|when|where|only|careful|carefully|watch|monitor|check|avoid|mind|remember|allow|keep|pain|dizz\w*|optional)\b/iu.test(
      text,
    ) &&
    text.split(/\s+/).length <= WORDS_AT_MOST &&
    !TALK_STARTS.test(text) &&
    !isBreathWord(firstWord(text)) &&
    !isTold(text) &&
    !/^(?:done|end|finish(?:ed)?|out|home|off|over|ready|go|start)$/i.test(text)
  );
}
