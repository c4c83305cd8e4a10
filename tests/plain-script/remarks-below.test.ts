import { describe, expect, it } from 'vitest';
import { readScript } from '@/core/plain-script';
import { isMovement, stepsInOrder } from '@/core/plan';
import { countingIds } from '../support/chance';

/*
 * A few words below a step, as they are noted between the steps of a list: they are said in it, open no part of the
 * class, and are no step.
 */

const REMARKS = [
  'Soft knees', 'Elbows low', 'Watch the wrists', 'Let go', 'Heavy arms', 'Like pulling silk', 'Slow', 'Smile', 'Breathe', 'No force',
  'Back straight', 'Long neck', 'Let the shoulders drop', 'Not too high', 'Think of water', 'As if under water', 'Thumbs soft', 'Keep it small', 'Relax', 'Stay low',
  'Ask about knees', 'Remind: soft knees', 'NB soft knees', 'Cue: soft knees',
]; // prettier-ignore
/** Words that may as well be a name: beside names without marks they are taken for one, and marked. */
const NAMES_TOO = ['Eyes on the horizon', 'Weight in the heels', 'Knees over toes', 'Small circles', 'Palms face up', 'Sink']; // prettier-ignore

const low = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);
const BULLETED = (line: string): string[] => ['- Bow x3', '- Rowing x8', line, '- Cloud hands x6'];
const NUMBERED = (line: string): string[] => ['1. Bow x3', '2. Rowing x8', line, '3. Cloud hands x6'];
const PLAIN = (line: string): string[] => ['Bow x3', 'Rowing x8', line, 'Cloud hands x6'];

type Layout = (remark: string) => readonly string[];

/** Where a remark is set apart from the names of steps. */
const SET_APART: Readonly<Record<string, Layout>> = {
  'further in': (remark) => BULLETED(`  ${remark}`),
  'further in, in small letters': (remark) => BULLETED(`  ${low(remark)}`),
  'further in, with a stop': (remark) => BULLETED(`  ${remark}.`),
  'further in, behind a dash': (remark) => NUMBERED(`   - ${remark}`),
  'further in, behind a ring': (remark) => ['• Bow x3', '• Rowing x8', `    ◦ ${remark}`, '• Cloud hands x6'],
  'further in, without marks': (remark) => PLAIN(`   ${remark}`),
  'with a stop, among numbers': (remark) => NUMBERED(`${remark}.`),
  'with a stop, without marks': (remark) => PLAIN(`${remark}.`),
  'in brackets': (remark) => PLAIN(`(${low(remark)})`),
  'in quotation marks': (remark) => PLAIN(`“${remark}”`),
  'in a group of its step': (remark) => ['Bow x3', '', 'Rowing x8', remark, '', 'Cloud hands x6'],
  'two of them in a group': (remark) => ['Bow x3', '', 'Rowing x8', remark, 'Arms like ropes', '', 'Cloud hands x6'],
};

/** Where nothing but its words tells it from a name. */
const AMONG_NAMES: Readonly<Record<string, Layout>> = {
  'as far out, among bullets': (remark) => BULLETED(remark),
  'as far out, in small letters': (remark) => BULLETED(low(remark)),
  'as far out, among numbers': (remark) => NUMBERED(remark),
  'without marks, in small letters': (remark) => PLAIN(low(remark)),
  'under headings that count': (remark) => ['### Bow (3x)', '### Rowing (8x)', remark, '### Cloud hands (6x)'],
  'under names in bold': (remark) => ['**Bow** x3', '**Rowing** x8', remark, '**Cloud hands** x6'],
};

function expectRemark(remark: string, layout: Layout): void {
  const { plan } = readScript(countingIds('r'), ['Morning - 20 min', '', 'Main set', ...layout(remark)].join('\n'));
  const steps = stepsInOrder(plan).map(({ step }) => step);
  expect(steps.map((step) => [step.name, isMovement(step) ? step.rounds : null])).toEqual([
    ['Bow', 3],
    ['Rowing', 8],
    ['Cloud hands', 6],
  ]);
  expect(plan.sections.map(({ title }) => title)).toEqual(['Main set']);
  const words = remark.replace(/^(?:Remind|Cue|NB):? /, '').toLowerCase();
  expect(JSON.stringify(steps[1]).toLowerCase()).toContain(words);
}

describe.each(Object.entries(SET_APART))('a remark %s', (_, layout) => {
  it.each([...REMARKS, ...NAMES_TOO])('“%s”', (remark) => {
    expectRemark(remark, layout);
  });
});

describe.each(Object.entries(AMONG_NAMES))('a remark %s', (_, layout) => {
  it.each(REMARKS)('“%s”', (remark) => {
    expectRemark(remark, layout);
  });

  it.each(NAMES_TOO)('“%s” is marked where it is taken for a name', (remark) => {
    const { lines } = readScript(countingIds('r'), ['Morning - 20 min', '', 'Main set', ...layout(remark)].join('\n'));
    const line = lines.find(({ text }) => text.toLowerCase().includes(remark.toLowerCase()));
    expect(line?.unsure).toBe(true);
  });
});

describe('headings that count', () => {
  it('are steps, and what is below is said in them', () => {
    const { plan } = readScript(countingIds('r'), ['# Morning', '## Main set', '### Rowing (8x)', 'Heavy arms.', '### Cloud hands, 6 times', 'Let the waist lead.'].join('\n')); // prettier-ignore
    expect(stepsInOrder(plan).map(({ step }) => [step.name, isMovement(step) ? step.rounds : null])).toEqual([
      ['Rowing', 8],
      ['Cloud hands', 6],
    ]);
  });

  it('over a list are parts', () => {
    const { plan } = readScript(countingIds('r'), ['# Morning', '## Eight pieces (x6 each)', '- Press the sky', '- Draw the bow', '## Flow (3 times)', '- Rowing x8', '- Bow x3'].join('\n')); // prettier-ignore
    expect(plan.sections.map(({ title }) => title).join('; ')).toContain('Eight pieces');
    expect(stepsInOrder(plan).map(({ step }) => step.name)).toEqual(['Press the sky', 'Draw the bow', 'Rowing', 'Bow']);
  });
});
