import { describe, expect, it } from 'vitest';
import { isMovement } from '@/core/plan';
import { readScript } from '@/core/plain-script';
import { countingIds } from '../support/chance';

/*
 * More than one step in a line, each with its amount, between twenty-two marks and words in five kinds of lines; with rests,
 * asides and amounts in front; and several with one amount for each.
 */

const NAMES = ['Rowing', 'Cloud hands', 'Lift the Sky', 'shake out', 'hip circles', 'Push the wave'];
const AMOUNTS = [
  ['x8', 'r8'], ['6 times', 'r6'], ['(4x)', 'r4'], ['2 min', 's120'],
  ['4 each side', 'r4'], ['for a minute', 's60'], ['10 reps', 'r10'], ['30 s', 's30'],
] as const; // prettier-ignore
const BETWEEN = [
  '. ', '; ', ', ', ', then ', ' and then ', ' and ', ' + ', ' / ', ' // ', ' | ', ' → ', ' -> ', ' > ', ' ... ', ' - ',
  ' – ', ' • ', ' · ', '\t', ' & ', '. Then ', '. Next ', ', followed by ', ', finally ',
]; // prettier-ignore
const LINES: Readonly<Record<string, (steps: string) => string>> = {
  alone: (steps) => steps,
  'in a list': (steps) => `- ${steps}`,
  'behind a label': (steps) => `Main: ${steps}`,
  'with a stop': (steps) => `${steps}.`,
  'in a sentence': (steps) => `We do ${steps}.`,
};

function stepsIn(line: string): string {
  const { plan } = readScript(
    countingIds('s'),
    ['Harbour class', '', 'Warm up', 'Arm swings x20', line, 'Pull the rope x6'].join('\n'),
  );
  return plan.sections
    .flatMap(({ steps }) => steps)
    .filter((step) => step.kind !== 'talk' && !/Arm swings|Pull the rope/.test(step.name))
    .map((step) => {
      const name = step.name.toLowerCase();
      if (isMovement(step)) return `${name} ${step.pacedBy === 'breath' ? `r${step.rounds}` : `s${step.seconds}`}`;
      return `${name} s${step.kind === 'silence' ? step.seconds : ''}`;
    })
    .join('; ');
}

const each = <One>(all: readonly One[], at: number): One => all[at % all.length] as One;

describe.each(Object.entries(LINES))('several steps in a line %s', (_, written) => {
  it.each(BETWEEN)('between “%s”', (between) => {
    for (const many of [2, 3])
      for (let first = 0; first < 8; first++) {
        const steps = Array.from({ length: many }, (__, at) => ({
          name: each(NAMES, first + at * 2),
          amount: each(AMOUNTS, first * 3 + at * 5 + (many === 3 ? 1 : 0)),
        }));
        const line = written(steps.map(({ name, amount }) => `${name} ${amount[0]}`).join(between));
        expect([line, stepsIn(line)]).toEqual([line, steps.map(({ name, amount }) => `${name.toLowerCase()} ${amount[1]}`).join('; ')]); // prettier-ignore
      }
  });
});

const WITH_MORE: readonly (readonly [line: (mark: string) => string, steps: string])[] = [
  [(s) => `8x Rowing${s}6x Cloud hands`, 'rowing r8; cloud hands r6'],
  [(s) => `8 x Rowing${s}2 min shake out`, 'rowing r8; shake out s120'],
  [(s) => `8 Rowing${s}6 Cloud hands`, 'rowing r8; cloud hands r6'],
  [(s) => `2 min shake out${s}1 min sway`, 'shake out s120; sway s60'],
  [(s) => `Rowing x8${s}rest 30 s${s}Cloud hands x6`, 'rowing r8; rest s30; cloud hands r6'],
  [(s) => `Rowing x8${s}stand still 1 min${s}Cloud hands x6`, 'rowing r8; stand still s60; cloud hands r6'],
  [(s) => `Rowing x8 (soft knees)${s}Cloud hands x6 (long arms)`, 'rowing r8; cloud hands r6'],
  [(s) => `Rowing 8${s}Cloud hands 6${s}Lift the Sky 8`, 'rowing r8; cloud hands r6; lift the sky r8'],
  [(s) => `Rowing (8)${s}Cloud hands (6)`, 'rowing r8; cloud hands r6'],
  [(s) => `Rowing: 8${s}Cloud hands: 6`, 'rowing r8; cloud hands r6'],
  [(s) => `Rowing - 8 times${s}Cloud hands - 6 times`, 'rowing r8; cloud hands r6'],
  [(s) => `arms 30 s${s}legs 30 s`, 'arms s30; legs s30'],
  [(s) => `wrists x5 each way${s}ankles x5 each way`, 'wrists r5; ankles r5'],
  [(s) => `Crane 30 s each leg${s}Tree 20 s each leg`, 'crane s60; tree s40'],
];
const MARKS = [', ', '; ', ' / ', ' - ', ' → ', '. ', ' | ', ' + ', ' and ', ', then '];
const ALIKE: readonly (readonly [line: string, steps: string])[] = [
  ['Shoulders, hips, knees (8 each)', 'shoulders r8; hips r8; knees r8'],
  ['Shoulders, hips and knees, 8 times each', 'shoulders r8; hips r8; knees r8'],
  ['Shoulders, hips, knees: 1 min each', 'shoulders s60; hips s60; knees s60'],
  ['1 min each: shoulders, hips, knees', 'shoulders s60; hips s60; knees s60'],
  ['8 each: shoulders, hips, knees', 'shoulders r8; hips r8; knees r8'],
  ['8 of each: shoulders, hips, knees', 'shoulders r8; hips r8; knees r8'],
  ['Circles (8 each): wrists, elbows, shoulders', 'circles: wrists r8; circles: elbows r8; circles: shoulders r8'],
  [
    'Joint circles: wrists, elbows, shoulders, 8 each',
    'joint circles: wrists r8; joint circles: elbows r8; joint circles: shoulders r8',
  ],
  ['Rowing x8 then rest 30 s', 'rowing r8; rest s30'],
  ['Rowing x 8 + 2 min rest', 'rowing r8; rest s120'],
  ['Rowing and Cloud hands, 8 of each', 'rowing r8; cloud hands r8'],
  ['Rowing & Cloud hands x8 each', 'rowing r8; cloud hands r8'],
  ['Rowing, Cloud hands: both 8 times', 'rowing r8; cloud hands r8'],
  ['Rowing x8, pause 10 s', 'rowing r8; silence s10'],
];

/** Two steps of one amount that "and" joins may be one; asides among "and" and "+" are not yet told apart. */
const NOT_YET = new Set([
  'Rowing - 8 times - Cloud hands - 6 times',
  'Rowing x8 (soft knees) + Cloud hands x6 (long arms)',
  'Rowing x8 (soft knees) and Cloud hands x6 (long arms)',
  'Rowing 8 and Cloud hands 6 and Lift the Sky 8',
  'Rowing: 8 and Cloud hands: 6',
  'arms 30 s and legs 30 s',
  'wrists x5 each way and ankles x5 each way',
]);

describe('several steps in a line', () => {
  it.each(WITH_MORE.flatMap(([line, steps]) => MARKS.map((mark) => [line(mark), steps] as const)))(
    '%s',
    (line, steps) => {
      if (NOT_YET.has(line)) expect(stepsIn(line)).not.toBe(steps);
      else expect(stepsIn(line)).toBe(steps);
    },
  );

  it.each(ALIKE)('with one amount for each: %s', (line, steps) => {
    expect(stepsIn(line)).toBe(steps);
  });
});
