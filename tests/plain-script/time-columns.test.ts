import { describe, expect, it } from 'vitest';
import { isMovement, type ClassPlan } from '@/core/plan';
import { readScript } from '@/core/plain-script';
import { countingIds } from '../support/chance';

/*
 * One class with its times in a column, in the ways that people write a column of times: when each step begins, from when
 * to when, how long it is, in minutes, on a clock, of the day, before, behind, above and below its line, in tables. With
 * and without the counts of its movements, each step has its name, its amount and its length.
 */

interface Row {
  /** When in the class it begins, and how long it is, in seconds. */
  readonly at: number;
  readonly s: number;
  readonly name: string;
  readonly n: string;
  readonly note?: string;
  readonly rounds?: number;
  readonly sides?: string;
}

const COUNTED: readonly Row[] = [
  { at: 0, s: 120, name: 'Welcome and intro', n: '' },
  { at: 120, s: 60, name: 'Shoulder rolls', n: 'x8', rounds: 8 },
  { at: 180, s: 90, name: 'Hip circles', n: '6 each way', rounds: 6, sides: 'both-directions' },
  { at: 270, s: 90, name: 'Shake out', n: '' },
  { at: 360, s: 180, name: 'Lifting the Water', n: 'x8', rounds: 8, note: 'soft knees' },
  { at: 540, s: 180, name: 'Parting the Reeds', n: '4 each side', rounds: 4, sides: 'alternating' },
  { at: 720, s: 120, name: 'Standing quietly', n: '' },
  { at: 840, s: 60, name: 'Thank you and tea', n: '' },
];
const TIMED = COUNTED.map(({ at, s, name, note }): Row => ({ at, s, name, n: '', ...(note ? { note } : {}) }));

const mmss = (t: number): string => `${Math.floor(t / 60)}:${String(t % 60).padStart(2, '0')}`;
const mm2 = (t: number): string => mmss(t).padStart(5, '0');
const clock = (t: number, sign = ':'): string =>
  `${10 + Math.floor(t / 3600)}${sign}${String(Math.floor(t / 60) % 60).padStart(2, '0')}`;
const one = (row: Row): string => (row.n ? `${row.name} ${row.n}` : row.name);
/** Minutes of a class twice as long, so that all are whole. */
const from = (row: Row): number => (row.at * 2) / 60;
const to = (row: Row): number => ((row.at + row.s) * 2) / 60;
const minutes = (row: Row): number => (row.s * 2) / 60;

type Layout = (rows: readonly Row[]) => readonly string[];
const eachAs =
  (line: (row: Row) => string): Layout =>
  (rows) =>
    rows.map(line);

const LAYOUTS: Readonly<Record<string, Layout>> = {
  'm:ss name': eachAs((x) => `${mmss(x.at)} ${one(x)}`),
  'mm:ss name': eachAs((x) => `${mm2(x.at)} ${one(x)}`),
  'mm:ss - name': eachAs((x) => `${mm2(x.at)} - ${one(x)}`),
  '[mm:ss] name': eachAs((x) => `[${mm2(x.at)}] ${one(x)}`),
  '(mm:ss) name': eachAs((x) => `(${mm2(x.at)}) ${one(x)}`),
  'mm:ss: name': eachAs((x) => `${mm2(x.at)}: ${one(x)}`),
  'mm:ss tab name': eachAs((x) => `${mm2(x.at)}\t${x.name}\t${x.n}`),
  'mm:ss tab name tab n tab note': eachAs((x) => `${mm2(x.at)}\t${x.name}\t${x.n}\t${x.note ?? ''}`),
  'mm:ss-mm:ss name': eachAs((x) => `${mm2(x.at)}-${mm2(x.at + x.s)} ${one(x)}`),
  'mm:ss – mm:ss name': eachAs((x) => `${mm2(x.at)} – ${mm2(x.at + x.s)} ${one(x)}`),
  'mm:ss – mm:ss: name': eachAs((x) => `${mm2(x.at)} – ${mm2(x.at + x.s)}: ${one(x)}`),
  'mm:ss to mm:ss name': eachAs((x) => `${mmss(x.at)} to ${mmss(x.at + x.s)} ${one(x)}`),
  '- mm:ss name': eachAs((x) => `- ${mm2(x.at)} ${one(x)}`),
  '* mm:ss - name': eachAs((x) => `* ${mm2(x.at)} - ${one(x)}`),
  '**mm:ss** name': eachAs((x) => `**${mm2(x.at)}** ${one(x)}`),
  'name mm:ss behind': eachAs((x) => `${one(x)} ${mm2(x.at)}`),
  'name (mm:ss)': eachAs((x) => `${one(x)} (${mm2(x.at)})`),
  'name @ mm:ss': eachAs((x) => `${one(x)} @ ${mm2(x.at)}`),
  '@mm:ss name': eachAs((x) => `@${mmss(x.at)} ${one(x)}`),
  'hh:mm name': eachAs((x) => `${clock(x.at * 2)} ${one(x)}`),
  'hh.mm name': eachAs((x) => `${clock(x.at * 2, '.')} ${one(x)}`),
  'hh:mm am name': eachAs((x) => `${clock(x.at * 2)}am ${one(x)}`),
  'hh:mm AM - name': eachAs((x) => `${clock(x.at * 2)} AM - ${one(x)}`),
  'hhmm name': eachAs((x) => `${clock(x.at * 2, '')} ${one(x)}`),
  'hh:mm-hh:mm name': eachAs((x) => `${clock(x.at * 2)}-${clock((x.at + x.s) * 2)} ${one(x)}`),
  'hh:mm–hh:mm | name': eachAs((x) => `${clock(x.at * 2)}–${clock((x.at + x.s) * 2)} | ${one(x)}`),
  'hhmm-hhmm name': eachAs((x) => `${clock(x.at * 2, '')}-${clock((x.at + x.s) * 2, '')} ${one(x)}`),
  'hh:mm:ss name': eachAs((x) => `00:${mm2(x.at)} ${one(x)}`),
  'm-m name': eachAs((x) => `${from(x)}-${to(x)} ${one(x)}`),
  'm–m min name': eachAs((x) => `${from(x)}–${to(x)} min ${one(x)}`),
  'm–m min: name': eachAs((x) => `${from(x)}–${to(x)} min: ${one(x)}`),
  'min m-m: name': eachAs((x) => `Min ${from(x)}-${to(x)}: ${one(x)}`),
  'minute m name': eachAs((x) => `Minute ${from(x)}: ${one(x)}`),
  'min m name': eachAs((x) => `min ${from(x)} ${one(x)}`),
  "m' name": eachAs((x) => `${from(x)}' ${one(x)}`),
  '(m-m mins) name': eachAs((x) => `(${from(x)}-${to(x)} mins) ${one(x)}`),
  'name (m-m min)': eachAs((x) => `${one(x)} (${from(x)}-${to(x)} min)`),
  'T+m name': eachAs((x) => `T+${from(x)} ${one(x)}`),
  'at m min name': eachAs((x) => `At ${from(x)} min: ${one(x)}`),
  'd min name': eachAs((x) => `${minutes(x)} min ${one(x)}`),
  'd min - name': eachAs((x) => `${minutes(x)} min - ${one(x)}`),
  'd min: name': eachAs((x) => `${minutes(x)} min: ${one(x)}`),
  "d' name": eachAs((x) => `${minutes(x)}' ${one(x)}`),
  '(d min) name': eachAs((x) => `(${minutes(x)} min) ${one(x)}`),
  'd mins tab name': eachAs((x) => `${minutes(x)} mins\t${one(x)}`),
  'dm name': eachAs((x) => `${minutes(x)}m ${one(x)}`),
  'name tab d min': eachAs((x) => `${one(x)}\t${minutes(x)} min`),
  'name ... d min': eachAs((x) => `${one(x)} ........ ${minutes(x)} min`),
  'name, d min': eachAs((x) => `${one(x)}, ${minutes(x)} min`),
  'name (d min)': eachAs((x) => `${one(x)} (${minutes(x)} min)`),
  'name - d min': eachAs((x) => `${one(x)} - ${minutes(x)} min`),
  'name: d min': eachAs((x) => `${one(x)}: ${minutes(x)} min`),
  "name d'": eachAs((x) => `${one(x)} ${minutes(x)}'`),
  'md table time': (r) => [
    '| Time | Activity | Reps | Notes |',
    '|---|---|---|---|',
    ...r.map((x) => `| ${mm2(x.at)} | ${x.name} | ${x.n} | ${x.note ?? ''} |`),
  ],
  'md table range': (r) => [
    '| Time | What | How many |',
    '| :-- | :-- | --: |',
    ...r.map((x) => `| ${mm2(x.at)}-${mm2(x.at + x.s)} | ${x.name} | ${x.n} |`),
  ],
  'md table minutes': (r) => [
    '| Min | Exercise | Reps | Cues |',
    '|---|---|---|---|',
    ...r.map((x) => `| ${minutes(x)} | ${x.name} | ${x.n} | ${x.note ?? ''} |`),
  ],
  'md table minutes behind': (r) => [
    '| Exercise | Reps | Minutes |',
    '|---|---|---|',
    ...r.map((x) => `| ${x.name} | ${x.n} | ${minutes(x)} |`),
  ],
  'tsv head': (r) => [
    'Time\tExercise\tReps\tNotes',
    ...r.map((x) => `${mmss(x.at)}\t${x.name}\t${x.n}\t${x.note ?? ''}`),
  ],
  'tsv minutes': (r) => [
    'Exercise\tReps\tMinutes\tNotes',
    ...r.map((x) => `${x.name}\t${x.n}\t${minutes(x)}\t${x.note ?? ''}`),
  ],
  'tsv duration': (r) => ['Exercise\tDuration\tReps', ...r.map((x) => `${x.name}\t${mmss(x.s)}\t${x.n}`)],
  'csv head': (r) => ['Time,Exercise,Reps,Notes', ...r.map((x) => `${mmss(x.at)},${x.name},${x.n},${x.note ?? ''}`)],
  'csv quoted': (r) => ['"Time","Exercise","Reps"', ...r.map((x) => `"${mmss(x.at)}","${x.name}","${x.n}"`)],
  'csv minutes': (r) => ['Exercise,Minutes,Reps', ...r.map((x) => `${x.name},${minutes(x)},${x.n}`)],
  ssv: (r) => ['Time;Exercise;Reps;Notes', ...r.map((x) => `${mmss(x.at)};${x.name};${x.n};${x.note ?? ''}`)],
  'ssv minutes': (r) => ['Exercise; Min; Reps', ...r.map((x) => `${x.name}; ${minutes(x)}; ${x.n}`)],
  'pipe no head': eachAs((x) => `${mmss(x.at)} | ${x.name} | ${x.n}`),
  'pipe dur': eachAs((x) => `${x.name} | ${x.n} | ${minutes(x)} min`),
  slash: eachAs((x) => `${mmss(x.at)} / ${one(x)}`),
  fixed: (r) => [
    'Time   Exercise             Reps',
    ...r.map((x) => `${mm2(x.at).padEnd(7)}${x.name.padEnd(21)}${x.n}`),
  ],
  'fixed min': (r) => [
    'Exercise             Reps         Min',
    ...r.map((x) => `${x.name.padEnd(21)}${x.n.padEnd(13)}${minutes(x)}`),
  ],
  'numbered time': (r) => r.map((x, i) => `${i + 1}. ${mm2(x.at)} ${one(x)}`),
  'numbered dur': (r) => r.map((x, i) => `${i + 1}. ${one(x)} (${minutes(x)} min)`),
  'dur line above': (r) => r.flatMap((x) => [`${mmss(x.at)}`, one(x), '']),
  'time line above no gap': (r) => r.flatMap((x) => [`${mm2(x.at)}`, one(x)]),
  'name then range line': (r) => r.flatMap((x) => [one(x), `${mm2(x.at)} - ${mm2(x.at + x.s)}`, '']),
  'dur line below': (r) => r.flatMap((x) => [one(x), `${minutes(x)} minutes`, '']),
};

/** Layouts whose minutes are those of the class twice as long. */
const ON_THE_CLOCK =
  /mm?:ss|table time|table range|tsv head|csv head|csv quoted|^ssv$|no head|slash|^fixed$|numbered time|line above|range line|duration/;

function stepsOf(plan: ClassPlan): ClassPlan['sections'][number]['steps'] {
  return plan.sections.flatMap(({ steps }) => steps);
}

describe.each([
  ['with counts', COUNTED],
  ['by their times alone', TIMED],
])('a column of times %s', (_, rows) => {
  it.each(Object.entries(LAYOUTS))('%s', (name, layout) => {
    const { plan } = readScript(countingIds('h'), ['Harbour class', '', ...layout(rows)].join('\n'));
    const steps = stepsOf(plan);
    const longer = ON_THE_CLOCK.test(name) ? 1 : 2;
    const found = rows.slice(1, -1).map((row) => {
      const step = steps.find((candidate) => candidate.name.toLowerCase().startsWith(row.name.toLowerCase()));
      const timed = row.rounds === undefined;
      if (isMovement(step))
        return {
          name: row.name,
          still: false,
          ...(timed ? { seconds: step.pacedBy === 'clock' ? step.seconds : null } : { rounds: step.rounds }),
          sides: row.sides ? step.sides : undefined,
        };
      return { name: row.name, still: step?.kind === 'silence', seconds: step?.kind === 'silence' ? step.seconds : null, sides: undefined }; // prettier-ignore
    });
    expect(found).toEqual(
      rows.slice(1, -1).map((row) => ({
        name: row.name,
        still: /quietly/.test(row.name),
        ...(row.rounds === undefined ? { seconds: row.s * longer } : { rounds: row.rounds }),
        sides: row.sides,
      })),
    );
    // What is told at the start and at the end is no movement.
    expect(steps.filter(isMovement).map((step) => step.name)).not.toContain('Welcome and intro');
    expect(steps.filter((step) => isMovement(step) || step.kind === 'silence')).toHaveLength(6);
  });
});

describe('parts in a column of times', () => {
  const titles = (...lines: string[]): string[] =>
    readScript(countingIds('h'), ['Harbour class', '', ...lines].join('\n')).plan.sections.map(({ title }) => title);

  it('are sections where most lines name one', () => {
    expect(titles('0:00 Welcome', '2:00 Warm-up', '8:00 Main', '20:00 Standing quietly', '25:00 Closing')).toEqual(
      expect.arrayContaining(['Welcome', 'Warm-up', 'Main']),
    );
  });

  it('are steps among steps, and hold none of the others', () => {
    const steps = ['2:00 Shoulder rolls x8', '4:00 Hip circles x6', '7:00 Shake out', '10:00 Rowing x8'];
    expect(titles('0:00 Welcome and intro', ...steps, '15:00 Thank you')).toEqual(['Main set']);
  });
});
