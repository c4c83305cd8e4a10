import { itemAt } from '@/core/units';
import { describe, expect, it } from 'vitest';
import { stepsInOrder, type MovementStep, type Step } from '@/core/plan';
import { readScript, type LineKind } from '.';
import { findCounts } from './counts';

let count = 0;
const newId = (): string => `p${++count}`;

const PASTED = `Harbour morning

WELCOME
Good morning, and welcome to the hall.
Stay within seventy per cent.
(pause 5 s)

Warm up:
1. Shoulder circles, 5 each way
2. Shake out for a minute or so
- Feet apart, hip width

Main set
=========
3) Raising the lamp x6
   in: wrists rise
   out: wrists sink
4) Turning the lighthouse - 3 times each side, starting right
   Inhale as you turn, exhale as you come home.
5) Heron on the piling, four times on the left, then the right
   Breathe in, the knee floats up (hold 3 s)
   Breathe out, set it down.
6) Push the boat for two to three minutes
7) Sway in your own time for 90 seconds

Closing
Stand quietly for two minutes
Thank you for standing with me.`;

function stepsOf(text: string, put?: ReadonlyMap<number, LineKind>): Step[] {
  return stepsInOrder(readScript(newId, text, put).plan).map(({ step }) => step);
}

const movement = (steps: readonly Step[], name: string): MovementStep => {
  const step = steps.find((one) => one.name === name);
  if (step?.kind !== 'movement')
    throw new Error(`no movement ${name} among ${steps.map((one) => one.name).join(', ')}`);
  return step;
};

describe('a pasted script', () => {
  const { plan, lines } = readScript(newId, PASTED);
  const steps = stepsInOrder(plan).map(({ step }) => step);

  it('finds the title, the sections and their parts in a class', () => {
    expect(plan.title).toBe('Harbour morning');
    expect(plan.sections.map(({ title, role }) => [title, role])).toEqual([
      ['WELCOME', 'welcome'],
      ['Warm up', 'loosening'],
      ['Main set', 'main'],
      ['Closing', 'closing'],
    ]);
  });

  it('reads counts, sides and times', () => {
    expect(movement(steps, 'Shoulder circles')).toMatchObject({
      sides: 'both-directions',
      rounds: 5,
      preferredRounds: 5,
    });
    expect(movement(steps, 'Shake out')).toMatchObject({ pacedBy: 'clock', preferredSeconds: 60 });
    expect(movement(steps, 'Raising the lamp')).toMatchObject({ sides: 'together', rounds: 6 });
    expect(movement(steps, 'Turning the lighthouse')).toMatchObject({
      sides: 'alternating',
      rounds: 3,
      startSide: 'right',
    });
    expect(movement(steps, 'Heron on the piling')).toMatchObject({ sides: 'one-then-other', rounds: 4 });
    expect(movement(steps, 'Push the boat')).toMatchObject({
      pacedBy: 'clock',
      minSeconds: 120,
      preferredSeconds: 150,
      maxSeconds: 180,
    });
    expect(movement(steps, 'Sway')).toMatchObject({ pacedBy: 'own-pace', preferredSeconds: 90 });
  });

  it('reads breaths, holds and what is said', () => {
    const lamp = movement(steps, 'Raising the lamp');
    expect(lamp.pattern.map(({ kind, action, full }) => [kind, action, full])).toEqual([
      ['inhale', 'wrists rise', 'In, wrists rise.'],
      ['exhale', 'wrists sink', 'Out, wrists sink.'],
    ]);
    const turning = movement(steps, 'Turning the lighthouse');
    expect(turning.pattern.map(({ kind, full }) => [kind, full])).toEqual([
      ['inhale', 'Inhale as you turn.'],
      ['exhale', 'Exhale as you come home.'],
    ]);
    const heron = movement(steps, 'Heron on the piling');
    expect(heron.pattern.map(({ kind, seconds }) => [kind, seconds])).toEqual([['inhale', null], ['hold', 3], ['exhale', null]]); // prettier-ignore
    expect(steps[0]).toMatchObject({ kind: 'talk', lines: [{ pauseSeconds: 1.5 }, { pauseSeconds: 5 }] });
  });

  it('knows quiets and changes of feet', () => {
    expect(steps.find((step) => step.kind === 'transition')?.name).toBe('Feet apart, hip width');
    expect(steps.find((step) => step.kind === 'silence')).toMatchObject({ name: 'Stand quietly', seconds: 120 });
  });

  it('says of each line how it was taken, in order', () => {
    expect(lines).toHaveLength(PASTED.split('\n').length);
    expect(lines.map((line) => line.number)).toEqual(lines.map((_, index) => index + 1));
    expect(itemAt(lines, 0).kind).toBe('title');
    expect(lines.filter((line) => line.kind === 'movement')).toHaveLength(7);
  });

  it('takes a line as a person puts it', () => {
    const text = 'Evening\n\n## Main\nLet the arms hang';
    expect(stepsOf(text)[0]).toMatchObject({ kind: 'talk' });
    expect(itemAt(readScript(newId, text).lines, 3).unsure).toBe(true);
    expect(stepsOf(text, new Map([[4, 'movement']]))[0]).toMatchObject({ kind: 'movement', name: 'Let the arms hang' });
    expect(stepsOf(text, new Map([[4, 'nothing']]))).toEqual([]);
  });

  it('makes a class of anything at all', () => {
    for (const text of [
      '',
      '\n\n',
      '<script>alert(1)</script>',
      '###### ######',
      ')))(((',
      'x'.repeat(100_000),
      '- '.repeat(2000),
    ]) {
      expect(readScript(newId, text).plan.sections.length, text.slice(0, 20)).toBeGreaterThan(0);
    }
  });
});

describe('counts in ordinary writing', () => {
  it.each([
    ['three times', { rounds: 3 }, ''],
    ['Lift x 6', { rounds: 6 }, 'Lift'],
    ['Lift (6x)', { rounds: 6 }, 'Lift'],
    ['Lift, 9 rounds', { rounds: 9 }, 'Lift'],
    ['Sweep 5 each way', { rounds: 5, sides: 'both-directions' }, 'Sweep'],
    ['Bow 3 times each side', { rounds: 3, sides: 'alternating' }, 'Bow'],
    ['Bow on each side', { sides: 'alternating' }, 'Bow'],
    ['Stand for two minutes', { seconds: [120, 90, 180] }, 'Stand'],
    ['Stand 20 s', { seconds: [20, 15, 30] }, 'Stand'],
    ['Stand one minute and a half', { seconds: [90, 68, 135] }, 'Stand'],
    ['Nine winds', {}, 'Nine winds'],
    ['Embrace the moon', {}, 'Embrace the moon'],
  ])('%s', (text, counts, rest) => {
    expect(findCounts(text)).toMatchObject({ counts, rest });
    expect(Object.keys(findCounts(text).counts)).toEqual(Object.keys(counts));
  });
});
