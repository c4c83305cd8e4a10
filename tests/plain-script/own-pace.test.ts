import { describe, expect, it } from 'vitest';
import { readScript } from '@/core/plain-script';
import { isMovement, stepsInOrder, type MovementStep } from '@/core/plan';
import { itemAt } from '@/core/units';
import { countingIds } from '../support/chance';

/*
 * How a movement is paced and breathed where nothing leads its breath, in as many words as people have for it: at one's
 * own pace, led rounds first and then alone, called back from that, with a breath of one's own, by nose or mouth.
 */

const forms = (all: string): readonly string[] => all.split('|').map((one) => one.trim());

/** The movement "Rowing" among two others, with lines below it. */
function rowing(line: string, ...below: readonly string[]): MovementStep {
  const script = ['Morning - 20 min', '', 'Main set', '- Bow x3', `- ${line}`, ...below.map((one) => `  ${one}`), '- Cloud hands x6']; // prettier-ignore
  const steps = stepsInOrder(readScript(countingIds('o'), script.join('\n')).plan).map(({ step }) => step);
  expect(steps.map(({ name }) => name)).toEqual(['Bow', 'Rowing', 'Cloud hands']);
  const step = itemAt(steps, 1);
  if (!isMovement(step)) throw new Error('no movement');
  return step;
}

describe('a movement at one’s own pace', () => {
  it.each(
    forms(
      "Rowing 2 min, own pace|Rowing, own pace, 2 min|Rowing - 2 minutes at their own pace|Rowing 2 min in own time|Rowing (own pace, 2 min)|Rowing 2 min on their own|Rowing 2 mins self-paced|Rowing 2' free|Rowing at your own speed for two minutes|Rowing unguided 2 min|Rowing, everyone in their own rhythm, 2 min|Rowing 2 min by themselves|Rowing 2 min, no cues|Rowing alone 2 min|Rowing freely 2 min|Rowing, no counting, 2 min|Rowing 2 min uncounted|Rowing 2 min individually|Rowing 2 min own practice",
    ),
  )('“%s”', (line) => {
    expect(rowing(line)).toMatchObject({ pacedBy: 'own-pace', seconds: 120 });
  });
});

describe('some rounds led, then on their own', () => {
  it.each(
    forms(
      "Rowing x4, then 2 min on their own|Rowing, 4 together, then 2 minutes on your own|Rowing: 4 led, then 2 min own pace|Rowing 4x then own pace for 2 min|Rowing x4 together then 2 min at own pace|Rowing x4, 2 min own pace|Rowing x4 then everyone at their own pace 2 min|Rowing - four together, then two minutes in their own time|Rowing 4 rounds, then 2 mins free|Rowing, lead 4, then let them go on alone for 2 min|Rowing x4, continue alone 2 min|Rowing x4 with me, 2 min alone|Rowing x4 guided + 2 min own pace|Rowing: lead 4 rounds then 2 min unguided|Rowing x4 & 2 min own rhythm|Rowing x4 together / 2 min own pace|Rowing x 4 then 2' self-paced|Rowing - 4 counted, 2 min uncounted|Rowing x4 (led), then 2 min by themselves|Rowing x4, then carry on on your own for 2 minutes",
    ),
  )('“%s”', (line) => {
    expect(rowing(line)).toMatchObject({ pacedBy: 'breath-then-own-pace', rounds: 4, seconds: 120 });
  });
});

describe('people are called back', () => {
  it.each(
    forms(
      'call back 20 s before the end|call back: 20 s|call them back 20 s before the end|call back at 20 s|call back 20 seconds before|Call them back with 20 s to go|bring them back 20 s before the end|callback 20s|20 s before the end call them back|with 20 s left, call them back|ring the bell 20 s before the end',
    ),
  )('“%s”', (line) => {
    expect(rowing('Rowing 2 min, own pace', line).callBackLeadSeconds).toBe(20);
  });

  it.each([
    'call back: two more, then rest',
    'Call back - “two more, then rest”',
    'bring them back: two more, then rest',
  ])('“%s”: with those words', (line) => {
    expect(rowing('Rowing 2 min, own pace', line).lastRoundLine).toBe('two more, then rest');
  });
});

describe('a breath of one’s own', () => {
  it.each(
    forms(
      'natural breath|breathe naturally|breath free|free breathing|natural breathing|breathing: natural|Breath: natural|breathe as you like|normal breathing|breathing normally|let the breath go its own way|no breath cues|breath: free|own breath|(natural breath)',
    ),
  )('“%s” leads none', (line) => {
    for (const one of [rowing('Rowing x8', line), rowing('Rowing x8', 'Soft knees.', line)]) {
      expect(one).toMatchObject({ rounds: 8, pacedBy: 'breath' });
      expect(one.pattern.map(({ kind }) => kind)).toEqual(['free']);
    }
  });

  it('leaves a breath that is written', () => {
    const step = rowing('Rowing x8', 'in: arms rise', 'out: arms sink', 'breathe naturally');
    expect(step.pattern.map(({ kind }) => kind)).toEqual(['inhale', 'exhale']);
  });

  it('is said as well where it is a sentence', () => {
    expect(rowing('Rowing x8', 'Breathe naturally.').teach.map(({ text }) => text)).toEqual(['Breathe naturally.']);
    expect(rowing('Rowing x8', 'breathe naturally').teach).toEqual([]);
  });
});

describe('by nose or mouth', () => {
  it.each(
    forms(
      'in through the nose, out through the mouth|in nose, out mouth|inhale nose / exhale mouth|nose in, mouth out|breathe out through the mouth|out through the mouth|mouth exhale|breath: nose/mouth|In through the nose and out through the mouth.',
    ),
  )('“%s”: out by the mouth', (line) => {
    expect(rowing('Rowing x8', line)).toMatchObject({ breathWay: 'nose-mouth', rounds: 8 });
  });

  it.each(forms('nose only|breathe through the nose|in and out through the nose|nose breathing'))('“%s”', (line) => {
    expect(rowing('Rowing x8', line).breathWay).toBe('nose');
  });

  it('adds no breath to one that is written', () => {
    const step = rowing('Rowing x8', 'in through the nose, out through the mouth', 'in: arms rise', 'out: arms sink');
    expect(step.pattern.map(({ action }) => action)).toEqual(['arms rise', 'arms sink']);
  });
});

describe('what is none of these', () => {
  it.each([
    'Correct them individually.',
    'Stand alone for a moment.',
    'Bring the arms back.',
    'The bell rings far away.',
    'Let the nose soften.',
  ])('“%s” is said as it stands', (line) => {
    const step = rowing('Rowing x8', line);
    expect(step).toMatchObject({ pacedBy: 'breath', breathWay: null });
    expect(step.teach.map(({ text }) => text)).toEqual([line]);
  });
});
