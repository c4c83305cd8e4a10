import Papa from 'papaparse';
import { itemAt } from '@/core/units';
import { namesPart } from '../line-kinds/headings';
import { NOTHING, PART_ENDS, STEP } from './rows';
import { isTold } from '../line-kinds/talks';

/*
 * Tables with a head over their columns, between strokes, tabs, semicolons or commas: the head tells what stands in each
 * column, and each row becomes a line as a teacher would write it: "2:00 Shoulder rolls, 8x" with its notes behind a tab.
 */

type Column =
  'when' | 'until' | 'long' | 'seconds' | 'name' | 'count' | 'sets' | 'side' | 'part' | 'aside' | 'note' | 'number';

const MEANING: readonly (readonly [Column, RegExp])[] = [
  ['number', /^(?:#|no|nr|number|order|step)$/],
  ['when', /^(?:start(?:s|ing)?(?: time)?|from|at|when|clock|begin(?:s|ning)?|time ?(?:code|stamp|slot|in)|running time|elapsed)$/],
  ['until', /^(?:end(?:s|ing)?(?: time)?|to|until|till|finish(?:es)?)$/],
  ['long', /^(?:time|timing|min(?:ute)?s?|duration|length|long|how long|lasts|mm:ss|min:sec|m)$/],
  ['seconds', /^(?:sec(?:ond)?s?|s)$/],
  ['name', /^(?:exercises?|movements?|moves?|forms?|names?|what|activit(?:y|ies)|items?|content|drills?|postures?|poses?|description|task|we do|element|piece)$/],
  ['sets', /^(?:sets?|series)$/],
  ['count', /^(?:(?:reps?|rounds?|times?|counts?|duration) ?(?:\/|or|and) ?(?:reps?|rounds?|times?|counts?|duration|min(?:ute)?s?|sec(?:ond)?s?)|rep(?:s|etitions?|eats?)?|rounds?|counts?|times|amount|how (?:many|often|much)|number of (?:reps|times|rounds)|x|no of (?:reps|times|rounds)|quantity|qty|dose|breaths)$/],
  ['side', /^(?:sides?|direction|directions|which side|left ?\/ ?right|l ?\/ ?r)$/],
  ['part', /^(?:sections?|parts?|phases?|blocks?|stages?|segments?)$/],
  ['aside', /^(?:(?:adaptation|modification|variation|option|regression|progression|alternative)s?|easier|harder|seated|chair|caution|cautions|careful|safety|watch (?:for|out)|level ?[12]?|gentler|stronger|beginners?|advanced)$/],
  ['note', /^(?:notes?|cues?|comments?|remarks?|details?|instructions?|teaching points?|say|said|what (?:I|to) say|script|breath(?:ing)?|music|focus|reminders?|tips?|equipment|why|purpose|voice|words|teacher|how|how to)$/],
]; // prettier-ignore

const ROWS_AT_LEAST = 2;
const CELLS_AT_MOST = 12;
const LINE_AT_MOST = 500;
const DELIMITERS = ['|', '\t', ';', ','] as const;
const CLOCK = /^\d{1,2}[:.]\d{2}(?::\d{2})?(?: ?[ap]m)?$/i;
const SPAN = /^(\d{1,2}(?:[:.]\d{2})?) ?(?:[-–—]|to) ?(\d{1,2}(?:[:.]\d{2})?)(?: ?(?:min|mins|minutes|['′]))?$/i;
const NUMBER = /^\d{1,3}(?:[.,]\d)?$/;
const RULE = /^[\s|:+=-]{3,}$/;

interface Table {
  /** The names over its columns. */
  readonly labels: readonly string[];
  readonly head: number;
  readonly end: number;
  readonly columns: readonly (Column | null)[];
  /** The cells of each row, by its line. */
  readonly rows: ReadonlyMap<number, readonly string[]>;
}

/** The lines with each row of a table that has an understood head written out; every other line as it is. */
export function withTables(lines: readonly string[]): readonly string[] {
  const out = [...lines];
  for (let at = 0; at < lines.length; at++) {
    const table = tableAt(lines, at);
    if (table === null) continue;
    const timed = timing(table);
    for (let line = table.head; line < table.end; line++) out[line] = '';
    for (const [line, cells] of table.rows) out[line] = written(cells, table, timed);
    at = table.end - 1;
  }
  return out;
}

/** The table whose head is this line; `null` where it is none. */
function tableAt(lines: readonly string[], at: number): Table | null {
  const head = itemAt(lines, at);
  if (head.length > LINE_AT_MOST || !/[|\t;,]/.test(head)) return null;
  for (const delimiter of DELIMITERS) {
    const names = cellsOf(head, delimiter);
    if (names.length < 2 || names.length > CELLS_AT_MOST) continue;
    const columns = names.map(columnOf);
    const known = columns.filter((one) => one !== null);
    if (!columns.includes('name') || known.length < 2 || known.length < names.length - 1) continue;
    const rows = new Map<number, readonly string[]>();
    const labels = names.map((name) => name.replace(/[*_]/g, '').trim());
    let line = at + 1;
    for (; line < lines.length; line++) {
      const text = itemAt(lines, line);
      if (text.trim() === '' || text.length > LINE_AT_MOST) break;
      if (RULE.test(text)) continue;
      const cells = cellsOf(text, delimiter);
      if (cells.length < 2 || cells.length > names.length) break;
      rows.set(line, cells);
    }
    if (rows.size < ROWS_AT_LEAST) continue;
    const numbered = columns.map((column, place) => column ?? ([...rows.values()].every((row) => /^\d{0,3}\.?$/.test(row[place] ?? '')) ? 'number' : null)); // prettier-ignore
    return { labels, head: at, end: line, columns: numbered, rows };
  }
  return null;
}

function columnOf(head: string): Column | null {
  const name = head.toLowerCase().replace(/[*_().:]/g, ' ').replace(/\s+/g, ' ').trim(); // prettier-ignore
  const bare = name.replace(/ (?:in )?(?:min(?:ute)?s?|mm:ss|approx)$/, '') || name;
  const found = [name, bare].flatMap((one) => MEANING.filter(([, words]) => words.test(one)));
  return found[0]?.[0] ?? null;
}

function cellsOf(line: string, delimiter: string): readonly string[] {
  const bare = delimiter === '|' ? line.trim().replace(/^\|/, '').replace(/\|$/, '') : line;
  if (!bare.includes(delimiter)) return [];
  const cells = delimiter === '|' ? bare.split('|') : (Papa.parse<string[]>(bare, { delimiter }).data[0] ?? []);
  return cells.map((cell) => cell.replace(/\*\*|__/g, '').replace(/<br ?\/?>/gi, ', ').replace(/\s+/g, ' ').trim()); // prettier-ignore
}

/** What a table's column of times tells: when, from when to when, or how long; the names of columns leave that open. */
interface Timing {
  readonly at: number;
  readonly tells: 'when' | 'span' | 'long';
}

function timing({ columns, rows }: Table): Timing | null {
  const at = ['when', 'long'].map((one) => columns.findIndex((column) => column === one)).find((one) => one >= 0);
  if (at === undefined) return null;
  const cells = [...rows.values()].map((row) => row[at] ?? '').filter((cell) => cell !== '');
  if (cells.length === 0) return null;
  if (cells.every((cell) => SPAN.test(cell)) && chain(cells)) return { at, tells: 'span' };
  const named = columns[at];
  const plain = cells.every((cell) => CLOCK.test(cell) || NUMBER.test(cell));
  const times = cells.map(minutesOf);
  const climbs = times.length > 2 && times.every((one, index) => index === 0 || one > (times[index - 1] ?? 0));
  const fromStart = times[0] === 0 || (times[0] ?? 0) >= DAY_FROM;
  return plain && climbs && (named === 'when' || fromStart) ? { at, tells: 'when' } : { at, tells: 'long' };
}

/** Where times begin so late, in the first of their figures, they are of the day. */
const DAY_FROM = 5;

/** Whether each span begins where the one before ends. */
function chain(cells: readonly string[]): boolean {
  const spans = cells.map(
    (cell) =>
      SPAN.exec(cell)
        ?.slice(1)
        .map((one) => minutesOf(one)) ?? [],
  );
  return spans.every(([from = 0, to = 0], at) => to > from && (at === 0 || from === spans[at - 1]?.[1]));
}

/** The first figures and the second as a fraction: "2:30" is 2.5. */
function minutesOf(cell: string): number {
  const [first = 0, second = 0] = cell.split(/[:.]/).map((one) => Number.parseInt(one, 10) || 0);
  return first + second / 60;
}

/** A row as a line: its part, its time, its name, its amounts and its notes, between tabs. */
function written(cells: readonly string[], { columns, labels }: Table, timed: Timing | null): string {
  const cell = (at: number): string => (NOTHING.test(cells[at] ?? '') ? '' : (cells[at] ?? ''));
  const of = (...asked: readonly (Column | null)[]): readonly string[] =>
    columns.flatMap((column, at) => (asked.includes(column) && cell(at) !== '' ? [cell(at)] : []));
  const [until] = of('until');
  const time = timed === null ? '' : cell(timed.at);
  const before = time === '' || timed?.tells === 'long' ? '' : stamp(timed?.tells === 'when' && until ? `${time}-${until}` : time); // prettier-ignore
  const [sets] = of('sets');
  const counts = of('count').map(inRounds);
  const amounts = [
    ...(sets !== undefined && counts.length > 0 ? counts.map((one) => `${sets.replace(/\D+$/, '')} sets of ${one.replace(/x$/, '')}`) : [...counts, ...of('sets').map(inRounds)]),
    ...of('side').filter((one) => !/^(?:n\/?a|none|no|both|together|both together)$/i.test(one)),
    ...of('long', 'when').filter((one) => before === '' || one !== time).map((one) => (NUMBER.test(one) ? `${one.replace(',', '.')} min` : CLOCK.test(one) ? one.replace('.', ':') : one)),
    ...of('seconds').map((one) => (NUMBER.test(one) ? `${one} s` : one)),
  ]; // prettier-ignore
  const asides = columns.flatMap((column, at) => (column === 'aside' && cell(at) !== '' ? [`${labels[at] ?? ''}: ${cell(at)}`] : [])); // prettier-ignore
  const notes = [...of('note', null), ...asides];
  const name = of('name').join(', ');
  const number = of('number').find((one) => /^\d{1,3}[.)]?$/.test(one));
  const numbered = number === undefined || before !== '' ? '' : `${number.replace(/[.)]$/, '')}. `;
  const [part] = of('part');
  if (/^(?:total|sum|overall)(?: time)?:?$/i.test(name)) return `Total: ${amounts.join(', ')}`;
  if (name === '' && notes.length === 0) return part === undefined ? '' : `## ${part}`;
  // With nothing beside its name a row is a step all the same, but not where it names a part of the class or its length.
  const steps = amounts.length === 0 && before === '' && name !== '' && !namesPart(name) && !isTold(name) ? STEP : '';
  const line = [...(name === '' ? [] : [name]), ...amounts, ...notes].join('\t');
  return steps + (part === undefined ? '' : part + PART_ENDS) + before + numbered + line;
}

function inRounds(cell: string): string {
  return /^\d{1,3}(?: ?[-–] ?\d{1,3})?$/.test(cell) ? `${cell}x` : cell;
}

function stamp(time: string): string {
  return `${time.replace(/ ?(?:to|[–—]) ?/i, '-').replace(/ ?(?:min|mins|minutes|['′])$/i, '')} `;
}
