import { itemAt } from '@/core/units';
import { describe, expect, it } from 'vitest';
import { stepsInOrder } from '@/core/plan';
import { readScript } from '@/core/plain-script';
import { countingIds } from '../support/chance';

/** Each step of a script as `kind name`, with its rounds or seconds, and what is said in talks. */
function understood(text: string): string[] {
  return stepsInOrder(readScript(countingIds(), text).plan).map(({ step }) => {
    if (step.kind === 'talk') return `talk: ${step.lines.map((line) => line.text).join(' / ')}`;
    if (step.kind === 'movement')
      return `${step.name} ${step.pacedBy === 'breath' ? `x${step.rounds}` : `${step.seconds} s`}`;
    return `${step.kind} ${step.name}`;
  });
}

const under = (line: string): string[] => understood(`# Part\n${line}`);

describe('a unit needs a number and a word of its own', () => {
  it.each([
    'Let the arms hang as if they were wet rope.',
    'Stand here as the tide goes out',
    'I am with you.',
    'As you are, so am I.',
    'Take a second to look around the hall.',
    'Come as a guest, sit as a friend.',
    'A moment is enough.',
  ])('%j is said, and is no movement', (line) => {
    expect(under(line)).toEqual([`talk: ${line}`]);
  });

  it.each([
    ['- Rowing home for 90 s', 'Rowing home 90 s'],
    ['- Rowing home 2m', 'Rowing home 120 s'],
    ['- Rowing home, two minutes', 'Rowing home 120 s'],
    ['- Rowing home for about a minute', 'Rowing home 60 s'],
    ['- Rowing home, half a minute', 'Rowing home 30 s'],
    ['- Rowing home 2-3 minutes', 'Rowing home 150 s'],
  ])('%j is a movement by the clock', (line, found) => {
    expect(under(line)).toEqual([found]);
  });

  it.each([
    ['Holding up the lamp x3', 'Holding up the lamp x3'],
    ['1. Hold the ball, 4 times', 'Hold the ball x4'],
    ['- Holding the tide back x5', 'Holding the tide back x5'],
  ])('%j keeps its name', (line, found) => {
    expect(under(line)).toEqual([found]);
  });

  it('a rest in the breath is still read', () => {
    const { plan } = readScript(
      countingIds(),
      '# Part\n1. Heron x2\nBreathe in, the knee floats up (hold 3 s)\nBreathe out.',
    );
    const { step } = itemAt(stepsInOrder(plan), 0);
    expect(step.kind === 'movement' && step.pattern.map(({ kind, seconds }) => [kind, seconds])).toEqual([
      ['inhale', null],
      ['hold', 3],
      ['exhale', null],
    ]);
  });

  it.each([
    ['Harbour morning (24 min)', 'Harbour morning', 1440],
    ['Evening ebb, 11 minutes', 'Evening ebb', 660],
    // Nothing tells a length: as long as three breaths take.
    ['Harbour morning', 'Harbour morning', 27],
  ])('%j at the top is a title with its length', (line, title, targetSeconds) => {
    const { plan } = readScript(countingIds(), `${line}\n\n1. Raising the lamp x3`);
    expect([plan.title, plan.targetSeconds, stepsInOrder(plan).length]).toEqual([title, targetSeconds, 1]);
  });
});
