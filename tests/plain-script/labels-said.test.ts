import { describe, expect, it } from 'vitest';
import { isMovement, type MovementStep } from '@/core/plan';
import { readScript } from '@/core/plain-script';
import { itemAt } from '@/core/units';
import { countingIds } from '../support/chance';

/*
 * A movement told by labels, each in the words that people have for it: what is done, how often, how long, on which side,
 * what is said of it, how it is breathed, and with what caution.
 */

/** The only step of a script, a movement. */
function onlyStep(...lines: string[]): MovementStep {
  const { plan } = readScript(countingIds('l'), ['Class', '', ...lines].join('\n'));
  const steps = plan.sections.flatMap((section) => section.steps);
  expect(steps.map(({ kind }) => kind)).toEqual(['movement']);
  return itemAt(steps.filter(isMovement), 0);
}
const below = (line: string): MovementStep => onlyStep('1. Lift the Water x6', `   ${line}`);

describe('what is done', () => {
  it.each([
    'Exercise: Lift the Water',
    'Movement: Lift the Water',
    'Name: Lift the Water',
    'Exercise 1: Lift the Water',
    '1. Lift the Water',
    'Form: Lift the Water',
    'Step: Lift the Water',
    'Activity: Lift the Water',
    'What: Lift the Water',
    'EXERCISE: LIFT THE WATER',
    'Exercise – Lift the Water',
    '**Exercise:** Lift the Water',
    'Exercise name: Lift the Water',
    'Move 3: Lift the Water',
    'Pose: Lift the Water',
  ])('“%s”', (head) => {
    const { name, rounds } = onlyStep(head, 'Reps: 6');
    expect([name.toLowerCase(), rounds]).toEqual(['lift the water', 6]);
  });
});

describe('how often', () => {
  it.each([
    'Reps: 6',
    'reps 6',
    'Reps = 6',
    'Reps - 6',
    'Repetitions: 6',
    'Rounds: 6',
    'Repeat: 6',
    'Repeat: 6 times',
    'Times: 6',
    'Number: 6',
    'How many: 6',
    'Count: 6',
    'No. of reps: 6',
    'Number of repetitions: 6',
    'Sets: 1 x 6',
    'Dose: 6',
    'Amount: 6x',
    'Reps: six',
    'Reps: 6x',
    'Reps: x6',
    'reps: 6 rounds',
    'Breaths: 6',
    'REPS: 6',
    'Volume: 6 reps',
    'Quantity: 6',
    'Frequency: 6 times',
    '6 reps',
    'x6',
  ])('“%s”', (line) => {
    expect(onlyStep('1. Lift the Water', `   ${line}`)).toMatchObject({ pacedBy: 'breath', rounds: 6 });
  });
});

describe('how long', () => {
  it.each([
    'Time: 2 min',
    'Duration: 2 min',
    'Length: 2 min',
    'How long: 2 min',
    'For: 2 min',
    'Timing: 2 min',
    'Lasts: 2 min',
    'Dur: 2 min',
    'Time – 2 min',
    'Time = 2 min',
    'time 2 min',
    'Minutes: 2',
    'Mins: 2',
    'Duration (min): 2',
    'Time: 120 s',
    'Time: 2:00',
    'TIME: 2 MIN',
    'Seconds: 120',
    'Approx time: 2 min',
    '2 min',
  ])('“%s”', (line) => {
    expect(onlyStep('1. Lift the Water', `   ${line}`)).toMatchObject({ pacedBy: 'clock', preferredSeconds: 120 });
  });
});

describe('on both sides', () => {
  it.each([
    'Sides: both',
    'Side: both sides',
    'Each side',
    'both sides',
    'Sides: L and R',
    'Left and right',
    'Sides: alternate',
    'alternate sides',
    'Repeat on the other side',
    'Other side too',
    'Both legs',
    'Side: each',
  ])('“%s”', (line) => {
    expect(below(line).sides).not.toBe('together');
  });
});

describe('what is said of it', () => {
  it.each([
    'Cue: soft knees',
    'Cues: soft knees',
    'Note: soft knees',
    'Notes: soft knees',
    'Instruction: soft knees',
    'Instructions: soft knees',
    'Description: soft knees',
    'How: soft knees',
    'Say: soft knees',
    'Script: soft knees',
    'Teaching: soft knees',
    'Coaching: soft knees',
    'Detail: soft knees',
    'Details: soft knees',
    'Tip: soft knees',
    'Tips: soft knees',
    'Remember: soft knees',
    'Focus: soft knees',
    'Key: soft knees',
    'Key points: soft knees',
    'Attention: soft knees',
    'Alignment: soft knees',
    'Intention: soft knees',
    'Image: a still pond',
    'Imagery: a still pond',
    'Purpose: loosen the back',
    'Benefit: loosens the back',
    'Aim: loose knees',
    'Explanation: soft knees',
    'Comment: soft knees',
    'Why: loosens the back',
    'Look for: locked knees',
    'Verbal cue: soft knees',
    'Common errors: locked knees',
    'Correct: locked knees',
    'Music: slow',
    'Equipment: chair',
    'Props: none',
  ])('“%s”', (line) => {
    const step = below(line);
    expect(step.rounds).toBe(6);
    expect(JSON.stringify(step)).toContain(line.replace(/^.*?: /, ''));
  });
});

describe('how it is breathed', () => {
  it.each([
    'Breath: in up, out down',
    'Breathing: in up, out down',
    'Breathing: inhale up, exhale down',
    'Breath - in up / out down',
    'Inhale: up',
    'In: up',
    'In-breath: up',
    'Breath in: up',
    'Breathing in: up',
    'Inhalation: up',
    'IN: UP',
    'In = up',
  ])('“%s”', (line) => {
    const { pattern } = below(line);
    expect(itemAt(pattern, 0).kind).toBe('inhale');
    expect(JSON.stringify(pattern).toLowerCase()).toContain('up');
  });
});

describe('with what caution', () => {
  it.each([
    'Caution: bad knees',
    'Cautions: bad knees',
    'Caution – bad knees',
    'Warning: bad knees',
    'Contraindications: bad knees',
    'Contraindication: bad knees',
    'Safety: bad knees',
    'Safety note: bad knees',
    'Avoid: bad knees',
    'Risk: bad knees',
    'Risks: bad knees',
    'Care: bad knees',
    'Not for: bad knees',
    'Precautions: bad knees',
    'C/I: bad knees',
    'Health: bad knees',
    'Be careful: bad knees',
    'Watch out for: bad knees',
  ])('“%s”', (line) => {
    expect(below(line).moments.caution).toContain('bad knees');
  });
});

describe('a label without its amount', () => {
  it.each([
    'Set: Cloud hands',
    'Reps: as you like',
    'How many: nobody counts',
    'Volume: low',
    'Frequency: daily',
    'Number: anybody',
    'Amount: as you like',
  ])('is no amount in “%s”', (line) => {
    const { lines } = readScript(countingIds('l'), ['Class', '', '1. Lift the Water x6', `   ${line}`].join('\n'));
    expect(itemAt(lines, 3).kind).not.toBe('setting');
    expect(itemAt(lines, 3).words).not.toBe('');
  });
});
