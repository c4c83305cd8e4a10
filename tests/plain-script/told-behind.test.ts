import { describe, expect, it } from 'vitest';
import { isMovement, type ClassPlan } from '@/core/plan';
import { readScript } from '@/core/plain-script';
import { countingIds } from '../support/chance';

/*
 * What is told behind a step in its line, in twenty ways, set apart from it by thirty-two marks: the step has its name and
 * its amount, and no word of what is told is lost.
 */

const NAMES = ['Rowing', 'Cloud hands', 'Lift the Sky'];
const AMOUNTS: readonly (readonly [written: string, meant: string])[] = [
  ['x8', 'r8'],
  ['8 times', 'r8'],
  ['(8x)', 'r8'],
  ['for two minutes', 's120'],
  ['2 min', 's120'],
  ['4 each side', 'r4'],
  ['x 8 reps', 'r8'],
  ['6-8 times', 'r7'],
  ['30 s each leg', 's60'],
  ['[8]', 'r8'],
  ['8x', 'r8'],
];
const TAILS = [
  'Keep the elbows low',
  'elbows low',
  'Soft knees',
  'feel the feet',
  'Smile',
  'let the breath follow',
  'stay low if the knees allow',
  'Watch your knees',
  'do not force it',
  'like pulling silk',
  'shoulders down, jaw loose',
  'inhale up, exhale down',
  'breathe out on the pull',
  'Easier: seated',
  'Caution: sore knees',
  'smaller if the shoulder hurts',
  'slowly',
  'eyes follow the hand',
  'I count aloud',
  'last two with eyes closed',
];
const MARKS: Readonly<Record<string, (tail: string) => string>> = {
  stop: (t) => `. ${t.charAt(0).toUpperCase()}${t.slice(1)}.`,
  stop2: (t) => `. ${t}`,
  semi: (t) => `; ${t}`,
  comma: (t) => `, ${t}`,
  dash: (t) => ` - ${t}`,
  endash: (t) => ` – ${t}`,
  emdash: (t) => `—${t}`,
  colon: (t) => `: ${t}`,
  slash: (t) => ` / ${t}`,
  slashes: (t) => ` // ${t}`,
  pipe: (t) => ` | ${t}`,
  dots: (t) => ` ... ${t}`,
  dots2: (t) => `... ${t}`,
  ell: (t) => `… ${t}`,
  bang: (t) => `! ${t.charAt(0).toUpperCase()}${t.slice(1)}!`,
  paren: (t) => ` (${t})`,
  square: (t) => ` [${t}]`,
  arrow: (t) => ` → ${t}`,
  arrow2: (t) => ` -> ${t}`,
  fat: (t) => ` => ${t}`,
  quote: (t) => ` "${t}"`,
  curly: (t) => ` “${t}”`,
  star: (t) => ` *${t}*`,
  hash: (t) => ` # ${t}`,
  eq: (t) => ` = ${t}`,
  gt: (t) => ` > ${t}`,
  tab: (t) => `\t${t}`,
  note: (t) => ` (note: ${t})`,
  nb: (t) => ` NB ${t}`,
  cue: (t) => `. Cue: ${t}`,
  say: (t) => `. Say "${t}"`,
  and: (t) => ` + ${t}`,
};

/** Of so many lines for each mark. */
const WRONG_AT_MOST = 14;
/** Of all that are written here, without a mark and with a word lost. */
const LOST_AT_MOST = 0;

function classWith(line: string): { readonly plan: ClassPlan; readonly unsure: boolean } {
  const { plan, lines } = readScript(
    countingIds('t'),
    ['Harbour class', '', 'Main', 'Push the wave x6', line, 'Pull the wave x6'].join('\n'),
  );
  return { plan, unsure: lines[4]?.unsure === true };
}

function amountOf(plan: ClassPlan): readonly string[] {
  return plan.sections
    .flatMap(({ steps }) => steps)
    .filter((step) => (isMovement(step) || step.kind === 'silence') && !/the wave$/.test(step.name))
    .map((step) => {
      const timed = step.kind === 'silence' || (isMovement(step) && step.pacedBy !== 'breath');
      return `${step.name.toLowerCase()} ${timed ? `s${step.seconds}` : `r${isMovement(step) ? step.rounds : ''}`}`;
    });
}

/** The words of what is told, but for those that a label or a breath says otherwise. */
function wordsOf(tail: string): readonly string[] {
  return tail
    .toLowerCase()
    .replace(/^(?:easier|caution): /, '')
    .split(/[^\p{L}']+/u)
    .filter((word) => word !== '' && !/^(?:inhale|exhale|breathe|out|in|slowly)$/.test(word));
}

const LINES = Object.entries(MARKS).map(([mark, tailed]) => ({
  mark,
  lines: TAILS.flatMap((tail) =>
    AMOUNTS.map(([amount, meant], at) => {
      const name = NAMES[at % NAMES.length] ?? '';
      return { line: `${name} ${amount}${tailed(tail)}`, want: `${name.toLowerCase()} ${meant}`, tail };
    }),
  ),
}));

describe('what is told behind a step', () => {
  it.each(LINES)('$mark', ({ lines }) => {
    const lost: string[] = [];
    const wrong = lines.filter(({ line, want, tail }) => {
      const { plan, unsure } = classWith(line);
      const written = JSON.stringify(plan).toLowerCase();
      const missing = wordsOf(tail).some((word) => !written.includes(word));
      if (missing && !unsure) lost.push(line);
      return missing || amountOf(plan).join() !== want;
    });
    expect(lost.slice(LOST_AT_MOST)).toEqual([]);
    expect(wrong.map(({ line }) => line).slice(WRONG_AT_MOST)).toEqual([]);
  });
});
