import { itemAt } from '@/core/units';
import { withOrdinalsMarked } from './ordinals';
import { withoutChatMark, withoutEntities } from './letters';

/*
 * What pasting does to a script, evened out before anything is read: blanks of other kinds and behind lines, how far all
 * of it stands in, an empty line between every two.
 */

/** So many lines tell how a script is set. */
const LINES_AT_LEAST = 6;
const APART_FROM = 0.8;
/** Characters that show nothing, and dashes that look like the plain one. */
const UNSEEN = /[\u00AD\u200B\u2060\uFEFF]/g;
const HYPHENS = /[\u2010\u2011\u2212]/g;
/** A list as a word processor copies it: its mark, or one that only its own letters have, and a tab. */
const TABBED_MARK =
  /^(\s*)(?:([-*•·–—▪◦○●■□➢]|\d{1,2}[.)]|[a-zA-Z][.)])[ ]?\t|(?:[o§\uF000-\uF0FF])(?:\t| {2,}|(?<=[\uF000-\uF0FF]) ?))[\t ]*(?=\S)/;
const OTHER_BLANKS = /[\u00A0\u1680\u2000-\u200A\u202F\u205F\u3000]/g;

/** The lines with plain blanks, one at a time within a line, none behind it, and as little before them as may be. */
export function evened(lines: readonly string[]): readonly string[] {
  const headed = lines.some((line) => /^#{1,6}\s/.test(line));
  const plain = lines.map((line) => (headed ? shown(line) : withoutQuoteMark(shown(line))).trimEnd());
  const indents = plain.filter((line) => line !== '').map((line) => itemAt(/^[ \t]*/.exec(line) ?? [''], 0));
  const common = indents.reduce(shared, indents[0] ?? '').length;
  const listed = withPicturesMarked(plain.map((line) => line.slice(common)));
  const set = withColumns(withOrdinalsMarked(withNumbersMarked(withLettersMarked(listed))));
  const even = withoutStops(set).map((line) => (line === '' ? '' : withSingleBlanks(withMarkApart(line))));
  return withoutTabInTitle(even);
}

/** Of a script whose lines all end with a stop so many have a figure, or it is told. */
const NOTED_SHARE = 0.4;
const STOPPED_SHARE = 0.85;
/** Of lines with more than one sentence. */
const TOLD_SHARE = 0.1;
const WORDS_OF_A_NAME = 4;
const SPOKEN = /\b(?:you|your|we|let|and|is|are|thanks?|thank)\b/i;

/** "Flow.", "Rowing a boat." where every line of a plan ends with a stop: it is no sentence for that. */
function withoutStops(lines: readonly string[]): readonly string[] {
  const written = lines.filter((line) => /\p{L}{2}/u.test(line));
  const stopped = written.filter((line) => /[.!?:;)]$/.test(line));
  const noted = written.filter((line) => /\d/.test(line.replace(/\d{1,2}:\d{2}/g, '')));
  const told = written.filter((line) => /[.!?] \p{Lu}/u.test(line));
  if (told.length > TOLD_SHARE * written.length) return lines;
  if (written.length < LINES_AT_LEAST || stopped.length < STOPPED_SHARE * written.length) return lines;
  if (noted.length < NOTED_SHARE * written.length) return lines;
  const isShort = (line: string): boolean =>
    /\p{L}\.$/u.test(line) &&
    line.trim().split(/\s+/).length <= WORDS_OF_A_NAME + 1 &&
    !/[.!?] /.test(line.replace(/^\s*\d{1,2}\. /, ''));
  return lines.map((line) => (isShort(line) && !SPOKEN.test(line) ? line.slice(0, -1) : line));
}

const PICTURED = /^(\s*)(?:(?!\d)\p{Emoji_Presentation}|\p{Extended_Pictographic})[\uFE0F\u200D]?[ \t]+(?=["“]?\p{L})/u;
const PICTURES_AT_LEAST = 3;

/** "🌊 Arm circles", "🌊 Rest": the same picture before the lines of a list is its mark. */
function withPicturesMarked(lines: readonly string[]): readonly string[] {
  const pictures = lines.flatMap((line) => PICTURED.exec(line)?.[0].trim() ?? []);
  if (pictures.length < PICTURES_AT_LEAST || new Set(pictures).size > 1) return lines;
  return lines.map((line) => line.replace(PICTURED, '$1- '));
}

const LETTERED = /^(\s*)([A-Z])[ \t]+(?=\p{Lu}\p{Ll})/u;
const LETTERS_AT_LEAST = 3;

/** "A  Opening the Shutters", "B  Drawing the Bow", one after the other: their letters number a list. */
function withLettersMarked(lines: readonly string[]): readonly string[] {
  const letters = lines.flatMap((line) => LETTERED.exec(line)?.[2] ?? []);
  const inOrder = letters.every((one, at) => one.charCodeAt(0) === 'A'.charCodeAt(0) + at);
  if (letters.length < LETTERS_AT_LEAST || !inOrder) return lines;
  return lines.map((line) =>
    line.replace(LETTERED, (_, indent: string, letter: string) => `${indent}${letter.toLowerCase()}) `),
  );
}

/** A number before a name; behind one of a time or a count stands what it counts. */
const NUMBERED =
  /^(\s*)(\d{1,2})[ \t]+(?!(?:x|×|s|secs?|seconds?|m|mins?|minutes?|h|hours?|times|rounds|reps|sets?|each|of|to|or|and|on|per|more|left|right|l|r|br|breaths?|slow|big|deep|long)\b)(?=["“]?\p{L}{2})/iu;
const NUMBERS_AT_LEAST = 3;
/** "1/ Roll the shoulders": and no dates or times of day. */
const SLASHED = /^(\s*)(\d{1,2})\/[ \t]+(?=["“]?\p{L}{2})/u;

/** "1 shoulders up and down x10", "2 neck …": numbers from one on, one after the other, number a list. */
function withNumbersMarked(lines: readonly string[]): readonly string[] {
  return [NUMBERED, SLASHED].reduce((told, form) => {
    const numbers = told.flatMap((line) => form.exec(line)?.[2] ?? []).map(Number);
    const inOrder = numbers.every((one, at) => one === at + 1);
    return numbers.length < NUMBERS_AT_LEAST || !inOrder ? told : told.map((line) => line.replace(form, '$1$2. '));
  }, lines);
}

/** Lines with columns make a table of a script from so many on. */
const ROWS_AT_LEAST = 2;

/** "Friday class\t60 min" over a script that is no table. */
function withoutTabInTitle(lines: readonly string[]): readonly string[] {
  const first = lines.findIndex((line) => line !== '');
  const rows = lines.filter((line, at) => at !== first && /\S\t/.test(line)).length;
  if (rows >= ROWS_AT_LEAST) return lines;
  return lines.map((line, at) => (at === first ? line.replace(/(?<=\S)[ \t]*\t[ \t]*/g, ' ') : line));
}

/** "-Hold the rail", "1.Arrive", a mark and a tab: the mark of a list apart from its line by one blank. */
export function withMarkApart(line: string): string {
  const tabbed = line.replace(TABBED_MARK, (_, indent: string, mark: string | undefined) => `${indent}${mark ?? '•'} `);
  return tabbed.replace(/^(\s*)([-–—•·▪●]|\d{1,2}[.)])(?=["“]?[*_]{0,2}\p{L}{2})/u, '$1$2 ');
}

/** The frame of a table, drawn with lines. */
const FRAME = /[─━═┄┈╌┬┴┼├┤┌┐└┘╔╗╚╝╠╣╦╩╬╟╢╤╧╪╫]/g;
const STROKES = /[│┃║┆┊]/g;

function shown(line: string): string {
  return withoutChatMark(
    withoutEntities(
      line
        .replace(UNSEEN, '')
        .replace(OTHER_BLANKS, ' ')
        .replace(HYPHENS, '-')
        .replace(FRAME, '-')
        .replace(STROKES, '|'),
    ),
  );
}

/** "> " is a said line of the tidy form; without its headings it is an e-mail's mark, or an arrow before a list. */
function withoutQuoteMark(line: string): string {
  return line.replace(/^[>\s]{0,8}>\s?/, '');
}

/** What two indents begin with, both of them. */
function shared(a: string, b: string): string {
  let at = 0;
  while (at < a.length && a[at] === b[at]) at++;
  return a.slice(0, at);
}

/** So many rows, and so many of all lines with a wide gap, begin their next column at the same place. */
const COLUMN_ROWS = 3;
const COLUMN_SHARE = 0.7;
const WIDE = /\S( {3,})(?=\S)/g;
const ROW_AT_MOST = 300;

/** Columns that blanks alone set below each other, between tabs. */
function withColumns(lines: readonly string[]): readonly string[] {
  const starts = lines.map((line) =>
    line.length > ROW_AT_MOST || line.includes('\t')
      ? []
      : [...line.matchAll(WIDE)].map((gap) => gap.index + gap[0].length),
  );
  const rows = starts.filter((columns) => columns.length > 0);
  if (rows.length < COLUMN_ROWS) return lines;
  const places = new Map<number, number>();
  for (const columns of rows) for (const place of columns) places.set(place, (places.get(place) ?? 0) + 1);
  const most = Math.max(...places.values());
  if (most < COLUMN_ROWS || most < COLUMN_SHARE * rows.length) return lines;
  const columns = [...places].flatMap(([place, rows]) =>
    rows >= COLUMN_ROWS || (starts.find((one) => one.length > 0) ?? []).includes(place) ? [place] : [],
  );
  return lines.map((line, at) => ((starts[at] ?? []).length > 0 ? inColumns(line, columns) : line));
}

/** A row with a tab for each column that a gap passes over: an empty cell is one. */
function inColumns(line: string, columns: readonly number[]): string {
  return line.replace(/(\S)( {2,})(?=\S)/g, (all: string, before: string, gap: string, from: number) => {
    const passed = columns.filter((place) => place > from + 2 && place < from + all.length).length;
    return before + '\t'.repeat(1 + (gap.length > 2 ? passed : 0));
  });
}

/** Columns between tabs stay as they are. */
function withSingleBlanks(line: string): string {
  return line.includes('\t') ? line : line.replace(/(\S) {2,}(?=\S)/g, '$1 ');
}

/** Whether an empty line stands between nearly every two lines, and so parts nothing. */
export function isDoubleSpaced(lines: readonly string[]): boolean {
  const written = lines.flatMap((line, at) => (line.trim() === '' ? [] : [at]));
  const apart = written.filter((at, index) => index > 0 && at > itemAt(written, index - 1) + 1).length;
  return written.length >= LINES_AT_LEAST && apart >= APART_FROM * (written.length - 1);
}

/** The line that stands below each; the next that is written, where a script is set with empty lines between all. */
export function belowEach(lines: readonly string[]): readonly string[] {
  if (!isDoubleSpaced(lines)) return lines.map((_, at) => lines[at + 1] ?? '');
  let next = '';
  const below = lines.map(() => '');
  for (let at = lines.length - 1; at >= 0; at--) {
    below[at] = next;
    if (itemAt(lines, at).trim() !== '') next = itemAt(lines, at);
  }
  return below;
}
