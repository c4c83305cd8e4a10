import { findCounts } from '../phrases/counts';
import { namesPart } from '../line-kinds/headings';
import { LABELS, SETTINGS } from '../phrases/labels';
import type { LineKind } from '../model/model';
import { NUMBER_WORDS } from '../tokens/tokens';
import { spelledOut } from '../tokens/spelled-out';
import { singleSpaced } from '../model/line-words';

/* The rows of a table: their columns put in a row. */

/** A line without columns, and what else stood in them. */
export interface Row {
  readonly text: string;
  readonly remarks: readonly string[];
  /** The part of the class that stands in the first column. */
  readonly part?: string;
  /** Whether its name is that of a step, though it has no amount. */
  readonly named?: true;
}

/** Between the part of a class that a table names and the line of its row. */
export const PART_ENDS = '\u001F';
/** Before the row of a table that names a step and no amount. */
export const STEP = '\u001E';

/** A pasted line has none of these marks of its own. */
export function withoutRowMarks(line: string): string {
  return line.replaceAll(PART_ENDS, ' ').replaceAll(STEP, ' ');
}

const TOLD: ReadonlySet<LineKind> = new Set(['said', 'caution', 'level', 'seated']);
const WITH_TIME = /^(?:\d{1,3} ?[-–] ?\d{1,3}(?: min:)?|\d{1,2}:\d{2}(?::\d{2})?(?: ?[-–] ?\d{1,2}:\d{2})?) \p{L}/iu;
/** A cell with nothing in it, or a dash. */
export const NOTHING = /^[-–—/.\s]*$/;

/** Over the columns of a table. */
const HEADS =
  /^(?:(?:reps|rounds|times?|counts?) ?(?:\/|or) ?(?:reps|rounds|times?|counts?|duration)|exercises?|movements?|moves?|forms?|names?|reps?|rounds?|counts?|times?|durations?|lengths?|min(?:ute)?s?|notes?|sides?|what|how(?: (?:long|many|often|much))?|say|said|cues?|sections?|parts?|breath(?:ing)?|comments?|remarks?|activit(?:y|ies)|contents?|descriptions?|details?|instructions?|teaching points?|items?|no|nr|#)\.?$/i;

/**
 * A row of a table, by tabs or strokes: its first column is a label where it is one, else a name; of the others those
 * with amounts belong to it, and the rest are remarks on it.
 */
export function rowOf(text: string): Row {
  if (text.startsWith(STEP)) return namedRow(text.slice(STEP.length));
  const [name = '', row] = text.split(PART_ENDS);
  if (row !== undefined) return { ...rowOf(row), part: name };
  const bare = text.replace(/^\|/, '').replace(/\|$/, '');
  if (/^[-:| ]{3,}$/.test(bare) && text.startsWith('|')) return { text: '', remarks: [] };
  const columns = text.includes('\t')
    ? text.split(/ *\t+ */)
    : bare.includes('|')
      ? bare.split(/ +\| +| +\|$/)
      : [bare];
  const texts = columns.map((one) => singleSpaced(one).trim());
  const cells = texts.length > 1 ? texts.map((one) => asFigure(spelledOut(one))) : texts;
  // A column of numbers counts the rows.
  const numbered = text.startsWith('|') && cells.length > 2 && /^\d{1,3}[.)]?$/.test(cells[0] ?? '');
  // "Main | Lifting the anchor | 7x": the part of the class stands before the name.
  const inPart = cells.length > 2 && namesPart(cells[0] ?? '') && cells.slice(2).some(hasAmount);
  // Under "Warm up | Arm swings" the part stands once: "| | Neck turns".
  const unnamed = text.startsWith('|') && cells.length > 2 && cells[0] === '';
  const [first = '', ...others] = numbered || inPart || unnamed ? cells.slice(1) : cells;
  const told = others.filter((one) => !NOTHING.test(one));
  const label = first.toLowerCase();
  const part = inPart ? { part: cells[0] } : {};
  if (told.length > 0 && [first, ...told].every((one) => HEADS.test(one))) return { text: '', remarks: [] };
  if (told.length === 0) return { text: first, remarks: [] };
  const kind = LABELS.get(label);
  // "Sitting | 4 min": what is told has no amount, so this is a name.
  const labelled = kind !== undefined && !(TOLD.has(kind) && told.some(hasAmount));
  return { ...besides(labelled || SETTINGS.has(label) ? `${first}: ` : `${first}, `, told), ...part };
}

/** A row that names a step: all that stands behind its name is told of it. */
function namedRow(text: string): Row {
  const [named = '', ...remarks] = text.split('\t');
  const [first = '', second] = named.split(PART_ENDS);
  return second === undefined
    ? { text: first, remarks, named: true }
    : { text: second, remarks, named: true, part: first };
}

/** "six" alone in a column. */
function asFigure(cell: string): string {
  const value = NUMBER_WORDS.get(cell.toLowerCase());
  return value === undefined ? cell : String(value);
}

/** The columns behind the first: with none that holds an amount, all of them are its text. */
function besides(first: string, columns: readonly string[]): Row {
  const amounts = columns.filter(hasAmount);
  // "5-15 min: Warm-up | joints, spine waves": behind its time the first column is a name.
  if (amounts.length === 0 && WITH_TIME.test(first)) return { text: first.replace(/, $/, ''), remarks: columns };
  if (amounts.length === 0) return { text: `${first}${columns.join(', ')}`, remarks: [] };
  // "Three breaths | 3x": the name says how many itself.
  const said = findCounts(first);
  if (said.rest === '' && said.counts.rounds !== undefined)
    return { text: first.replace(/, $/, ''), remarks: columns.filter((one) => !amounts.includes(one)) };
  return { text: `${first}${amounts.join(', ')}`, remarks: columns.filter((one) => !amounts.includes(one)) };
}

function hasAmount(column: string): boolean {
  const { counts } = findCounts(`it, ${column}`);
  return Object.keys(counts).length > 0;
}
