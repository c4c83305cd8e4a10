import { parse } from 'csv-parse/sync';
import { stringify } from 'csv-stringify/sync';
import { describe, expect, it } from 'vitest';
import { readCsv, readCueSheet, writeCsv, writeCueSheet } from '@/core/interchange';
import { planAfter, type ClassPlan } from '@/core/plan';
import { expandPlan } from '@/core/timeline';
import { demoClasses } from '@/demo/classes';
import { firstItems, itemAt, Random } from '@/core/units';

/* Source: RFC 4180 (CSV); the independent reader and writer are csv-parse and csv-stringify. */

const AWKWARD = [
  '',
  'plain',
  'a, b',
  'say "now"',
  '"',
  '""',
  'two\nlines',
  'cr\r\nlf',
  ' spaces ',
  'qì 🌊',
  ';',
  '\t',
  "'",
  '=1+1',
];

const sheet = (plan: ClassPlan): string => writeCueSheet(plan, expandPlan(plan));

const rowsOf = (text: string): Record<string, string>[] => parse(text, { columns: true });

/** The sheet with one column of some rows changed, as a spreadsheet would save it. */
function edited(text: string, change: (row: Record<string, string>) => void): string {
  const rows = rowsOf(text);
  for (const row of rows) change(row);
  return stringify(rows, { header: true });
}

describe('CSV', () => {
  it('is read by others as it was written, and the other way', () => {
    for (let seed = 1; seed <= 200; seed++) {
      const chance = new Random(seed);
      const width = chance.whole(2, 5);
      const rows = Array.from({ length: chance.whole(1, 6) }, () =>
        Array.from({ length: width }, () => chance.pick(AWKWARD)),
      );
      // A first row that is plain, as every sheet has one: the separator is told by it.
      const table = [Array.from({ length: width }, (_, at) => `column ${at}`), ...rows];
      const written = writeCsv(table);
      expect(parse(written), `seed ${seed}`).toEqual(table);
      expect(readCsv(written), `seed ${seed}`).toEqual(table);
      expect(readCsv(stringify(table)), `seed ${seed}`).toEqual(table);
      expect(readCsv(stringify(table, { delimiter: ';' })), `seed ${seed}`).toEqual(table);
    }
  });
});

describe('a cue sheet', () => {
  const plan = itemAt(demoClasses(), 0).plan;

  it('has a row for every cue, with times that others read', () => {
    const data = rowsOf(sheet(plan));
    const { cues } = expandPlan(plan);
    expect(data.length).toBe(cues.length);
    data.forEach((row, index) => {
      expect(row.said).toBe(itemAt(cues, index).text);
      expect(row.start).toMatch(/^\d+:\d\d\.\d$/);
    });
  });

  it('changes nothing when it comes back as it went, for every demo class', () => {
    for (const demo of demoClasses()) {
      const read = readCueSheet(sheet(demo.plan), demo.plan);
      expect(read.ok && read.value, demo.name).toEqual({ changes: [], edit: null, notes: [] });
    }
  });

  it('brings back what was worded differently, tokens and all, and nothing else', () => {
    const text = edited(sheet(plan), (row) => {
      if (row.line === 'In, to the {side}.') row.line = 'In, and turn {side}.';
    });
    const read = readCueSheet(text, plan);
    if (!read.ok) throw new Error(read.problem.code);
    expect(read.value.changes.map(({ from, to }) => [from, to])).toEqual([
      ['In, to the {side}.', 'In, and turn {side}.'],
    ]);
    const after = expandPlan(planAfter(plan, read.value.edit));
    expect(after.cues.some(({ text: said }) => said === 'In, and turn left.')).toBe(true);
    expect(readCueSheet(text, planAfter(plan, read.value.edit))).toMatchObject({ ok: true, value: { changes: [] } });
  });

  it('leaves a line with two wordings alone, and says so; passes over rows that name no line', () => {
    let count = 0;
    const text = edited(sheet(plan), (row) => {
      if (row.line === 'Last one.' || row['line id'] === '') return;
      if (row.said === 'In, and round.') row.line = `In, number ${++count}.`;
      else if (row.said === 'In, lamp up.') row['line id'] = 'nobody phase x full';
    });
    const read = readCueSheet(text, plan);
    if (!read.ok) throw new Error(read.problem.code);
    expect(read.value.changes).toEqual([]);
    expect(read.value.notes.map(({ code }) => code).sort()).toEqual(['cue-sheet-no-line', 'cue-sheet-two-wordings']);
  });

  it.each(['', 'a,b\r\n1,2\r\n', 'line id\r\nx\r\n'])('refuses %j', (text) => {
    expect(readCueSheet(text, plan)).toMatchObject({ ok: false, problem: { code: 'not-a-cue-sheet' } });
  });

  it('keeps a line from being run as a formula, and reads it back', () => {
    const [section] = firstItems(plan.sections, 1);
    const [talk] = firstItems(section.steps, 1);
    if (talk.kind !== 'talk') throw new Error('no talk');
    const lines = talk.lines.map((line, at) => (at === 0 ? { ...line, text: '=cmd|x' } : line));
    const risky = { ...plan, sections: [{ ...section, steps: [{ ...talk, lines }] }] };
    expect(sheet(risky)).toContain("'=cmd|x");
    expect(readCueSheet(sheet(risky), risky)).toMatchObject({ ok: true, value: { changes: [] } });
  });
});
