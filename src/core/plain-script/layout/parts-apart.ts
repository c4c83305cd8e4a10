import { itemAt } from '@/core/units';
import { isPartName, LIKE_PART } from './heads';
import { isItem } from '../line-kinds/headings';
import { indentOf, wordCount } from '../model/line-words';
import { isTransition } from '../line-kinds/line-signs';
import { isCounted, isNameLike, isRemark } from '../line-kinds/name-lines';
import { isLabelled } from '../phrases/labels';
import { isTold } from '../line-kinds/talks';

/*
 * Parts of a class by how they are set: a name without an amount behind an empty line, right over steps that have theirs,
 * where other parts are set so too: "Getting going" over "Rowing x4" and "Shaking 1 min".
 */

const WORDS_AT_MOST = 4;
/** Lines further down tell nothing of a heading. */
const LINES_LOOKED_AT = 40;
/** So many names set alike tell of each other that they are parts, where none has a usual name. */
const ALIKE_AT_LEAST = 2;
const STEPS_AT_LEAST = 2;

/** For each line whether it opens a part by how it is set. */
export function partsApart(lines: readonly string[]): readonly boolean[] {
  const first = lines.findIndex((line) => line.trim() !== '');
  const set = lines.map((_, at) => at > first && isOverSteps(lines, at));
  const usual = lines.some((line, at) => at > first && isApart(lines, at) && !isItem(line) && isPartName(line));
  return usual || set.filter(Boolean).length >= ALIKE_AT_LEAST ? set : lines.map(() => false);
}

function isApart(lines: readonly string[], at: number): boolean {
  return (lines[at - 1] ?? '').trim() === '' && (lines[at + 1] ?? '').trim() !== '';
}

/** Whether a line is a short name set apart, over nothing but steps with amounts. */
function isOverSteps(lines: readonly string[], at: number): boolean {
  const line = itemAt(lines, at).trimEnd();
  if (!isApart(lines, at) || indentOf(line) > 0 || isItem(line)) return false;
  const name = line.replace(/(?<=\p{L})[:.]$/u, '');
  if (wordCount(name) > WORDS_AT_MOST || !isNameLike(name) || isCounted(name)) return false;
  let steps = 0;
  for (const below of lines.slice(at + 1, at + 1 + LINES_LOOKED_AT)) {
    if (below.trim() === '') break;
    if (indentOf(below) > 0) continue;
    if (isBeside(below.trim())) continue;
    if (!isCounted(below) || isLabelled(below) || !NAMED.test(below)) return false;
    steps++;
  }
  return steps >= STEPS_AT_LEAST || (steps > 0 && LIKE_PART.test(name));
}

/** Whether a line by itself is where people stand, or what is told: between steps. */
function isBeside(text: string): boolean {
  if (text.length > LONGEST || isCounted(text)) return false;
  return isTransition(text) || isTold(text) || isRemark(text) || /[.!?”"]$/.test(text);
}

const LONGEST = 200;

/** Whether more stands in a line than an amount. */
const NAMED = /\p{L}{3,} (?!(?:each|per|on|times|rounds|breaths|in|slow)\b)(?:\S+ )*\S|\p{L}{3,}[ ,:–-]+[x×]?\d/iu;
