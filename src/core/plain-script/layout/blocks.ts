import { itemAt } from '@/core/units';
import { headIn, isPartName, LIKE_PART } from './heads';
import { speaksOfPart } from '../line-kinds/headings';
import { isLabelled } from '../phrases/labels';
import { indentOf } from '../model/line-words';
import { isCounted, isCue, isNameLike } from '../line-kinds/name-lines';
import { isTold } from '../line-kinds/talks';

/*
 * Lists without marks: names one below the other, under the name of a part of the class or among steps with amounts.
 * What one line is, the lines around it tell.
 */

const PART_AT_MOST = 120;
/** Where no part is named, so many lines with amounts tell that the others are steps as well. */
const NAMES_TO_COUNTED = 1.5;
const LABELLED_FROM = 2;
/** Lines further down than this tell nothing of a heading. */
const LINES_LOOKED_AT = 40;

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
    // Where steps have labels below them, names without one are none.
    const labelled = lines.slice(from, to).filter((line) => isLabelled(line)).length;
    if (labelled < LABELLED_FROM) for (const run of runsOf(lines, from, to)) markNames(lines, run, listed);
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
  for (let at = from; at < to; at++) if (isPart(lines, at)) heads.push(at);
  const runs = heads.map((at, index): Run => ({ from: at + 1, to: heads[index + 1] ?? to, under: true }));
  return [{ from, to: heads[0] ?? to, under: false }, ...runs];
}

/** Whether a line names a part of a class, with or without its time; alone above others also what sounds like one. */
function isPart(lines: readonly string[], at: number): boolean {
  const line = itemAt(lines, at);
  if (line.length > PART_AT_MOST) return false;
  const set = (lines[at - 1] ?? '').trim() === '';
  if (isPartName(line)) return true;
  if (!speaksOfPart(line) && !(set && LIKE_PART.test(line))) return false;
  const head = headIn(line);
  if (head?.counts.seconds === undefined) return false;
  return head.as === 'part' || (head.as === 'like-part' && set);
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
    else if (!isCue(line.trim()) && !(under && isTold(line.trim()))) return;
  }
  const enough = under ? names.length + counted >= 2 : counted >= 2 && names.length <= NAMES_TO_COUNTED * counted;
  if (enough) for (const at of names) listed[at] = true;
}
