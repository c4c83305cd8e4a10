import { describe, expect, it } from 'vitest';
import { readScript } from '@/core/plain-script';
import { stepsInOrder, type MovementStep } from '@/core/plan';
import { countingIds } from '../support/chance';

/*
 * Postures that are held, in as many ways as people write them: the words for it, the posture, and how both sides are
 * told. Beside a name, and below it. Common practice, no published source.
 */

const POSTURES = ['The great ball', 'Horse stance', 'Embrace the tree', 'Heron stance', 'Standing post', 'Arms overhead', 'Low bow stance', 'Hugging the moon', 'Warrior at the gate']; // prettier-ignore
/** `{N}` where the name opens the line, `{n}` where it stands in it. */
const FORMS = `
  {N}, hold 45 s | {N} - hold for 45 seconds | {N}: hold 45 sec | {N}, held 45 s | {N} (hold, 45 s) | {N} (held for 45 seconds)
  {N}, 45 s still | {N}, still for 45 s | {N}, hold still 45 s | Hold {n} for 45 seconds | Hold {n} 45 s | Hold: {N}, 45 s
  {N} hold, 45 s | Stay in {n} for 45 seconds | Stay in {n}, 45 s | {N}, stay 45 s | {N} - stay there 45 s
  {N}, static, 45 s | {N} static hold 45s | Static: {N} 45s | {N}, 45 s, no movement | {N}, no moving, 45 s
  {N}, motionless for 45 s | Hold still in {n}, 45 s | {N} 45 s hold | {N} — 45-second hold | 45 s hold: {N}
  45 seconds of {n}, held | {N}. Hold it for 45 seconds. | {N}. Stay here for 45 seconds. | {N}, and hold for 45 s
  Sink into {n} and hold, 45 s | Sink into {n} and stay 45 s | Come into {n} and stay for 45 seconds
  Take {n} and hold it for 45 seconds | {N} x 45 s hold | {N} 1 x 45 s hold | {N} isometric 45 s | Freeze in {n} for 45 s
`
  .trim()
  .split(/\s*[|\n]\s*/);
const SIDES = ['', ' each side', ' per side', ' on each leg', ', both sides', ' left, then right', ' left and right'];
const LED = /^(?:hold still in|hold|stay in|sink into|come into|take|freeze in) /;

const stepsOf = (...lines: string[]): MovementStep[] =>
  stepsInOrder(readScript(countingIds('h'), ['Class', '', 'Main set', ...lines].join('\n')).plan).map(
    ({ step }) => step as MovementStep,
  );

const bare = (name: string): string => name.toLowerCase().replace(LED, '').replace(/^the /, '');

describe('a posture that is held', () => {
  it.each(FORMS)('“%s”', (form) => {
    const wrong: string[] = [];
    for (const posture of POSTURES)
      for (const sides of SIDES) {
        const line = form.replace('{N}', posture).replace('{n}', posture.charAt(0).toLowerCase() + posture.slice(1));
        const told = line.endsWith('.') ? `${line.slice(0, -1)}${sides}.` : line + sides;
        const [, step, ...more] = stepsOf('1. Rowing x6', `2. ${told}`, '3. Cloud hands x6');
        const twice = sides !== '';
        const right =
          more.length === 1 &&
          step?.pacedBy === 'held' &&
          step.seconds === (twice ? 90 : 45) &&
          step.sides === (twice ? 'one-then-other' : 'together') &&
          step.teach.length === 0 &&
          bare(step.name) === bare(posture);
        if (!right) wrong.push(told);
      }
    expect(wrong).toEqual([]);
  });

  it.each([
    'hold 45 s', 'hold for 45 seconds', 'held 45 s', '45 s hold', 'stay 45 s', 'stay here for 45 seconds', 'static 45 s', 'static hold, 45 s', 'no movement, 45 s', 'hold: 45 s', 'freeze for 45 s', 'keep it for 45 s', 'remain here 45 s', 'hold (45 s)', '– hold 45 s', '(hold 45 s)', '(45 s)', '45 s',
  ])('below its name: “%s”', (line) => {
    const [, step, ...more] = stepsOf('1. Rowing x6', '2. Heron stance', `   ${line}`, '3. Cloud hands x6');
    expect(more).toHaveLength(1);
    expect(step).toMatchObject({ name: 'Heron stance', pacedBy: 'held', seconds: 45, teach: [] });
  }); // prettier-ignore

  it('within a range, each side on its own', () => {
    const [step] = stepsOf('1. Hold the barrel for 60-90 seconds each side');
    expect(step).toMatchObject({ pacedBy: 'held', minSeconds: 120, preferredSeconds: 150, maxSeconds: 180 });
  });

  it.each([
    ['Heron, still for a good minute', 60], ['Static: post, 1 min 30', 90], ['Bow, hold 1:30', 90], ['Low bow, hold a minute and a half', 90], ['Stay in the bow for a minute', 60], ['Mast, stay 1 minute 20', 80],
  ])('of minutes: “%s”', (line, seconds) => {
    expect(stepsOf(`1. ${line}`)).toMatchObject([{ pacedBy: 'held', seconds }]);
  }); // prettier-ignore

  it.each(['Stay here for thirty seconds.', 'Then keep it still for 30 s', 'hold 30 s at the end', 'on the last one stay 30 s', 'hold 30 s'])(
    'below rounds that are counted comes behind them: “%s”',
    (line) => {
      const [rowing, held, fin] = stepsOf('1. Rowing x6', `   ${line}`, '2. Fin x2');
      expect(rowing).toMatchObject({ name: 'Rowing', pacedBy: 'breath', rounds: 6 });
      expect(held).toMatchObject({ name: 'Rowing', pacedBy: 'held', seconds: 30 });
      expect(fin).toMatchObject({ name: 'Fin', rounds: 2 });
    },
  ); // prettier-ignore

  it('of a few seconds below rounds is a rest in each', () => {
    const [rowing, fin, ...more] = stepsOf('1. Rowing x6', '   hold 3 s', '2. Fin x2');
    expect(rowing).toMatchObject({ rounds: 6, pattern: [{ kind: 'inhale' }, { kind: 'hold', seconds: 3 }, { kind: 'exhale' }] }); // prettier-ignore
    expect(fin?.name).toBe('Fin');
    expect(more).toEqual([]);
  });

  it('is no silence, no game, no rest in a breath and no name', () => {
    const kinds = (line: string): string => {
      const [step] = stepsOf(line);
      return step?.kind === 'movement' ? step.pacedBy : (step?.kind ?? '');
    };
    expect(kinds('1. Stand still for 2 min')).toBe('silence');
    expect(kinds('1. Lying or sitting still: 4 minutes')).toBe('silence');
    expect(kinds('1. Silence, 2 min, no moving')).toBe('silence');
    expect(kinds('1. Freeze game, 3 min')).not.toBe('held');
    expect(kinds('1. Hold up the sky, 2 min')).toBe('clock');
    expect(kinds('1. Holding the moon 2 min')).toBe('clock');
    expect(kinds('1. Rowing x6, hold 3 s')).toBe('breath');
  });
});

describe('a time in brackets right below a name', () => {
  it('is how long it lasts, and no silence behind it', () => {
    const [rowing, heron, wave, rest] = stepsOf('1. Rowing', '   (2 min)', '2. Heron', '   (45 s each side)', '3. Wave x3', '   (20 s)'); // prettier-ignore
    expect(rowing).toMatchObject({ name: 'Rowing', seconds: 120, pacedBy: 'clock' });
    expect(heron).toMatchObject({ name: 'Heron', seconds: 90, sides: 'one-then-other' });
    expect(wave).toMatchObject({ name: 'Wave', rounds: 3 });
    expect(rest).toMatchObject({ kind: 'silence', seconds: 20 });
  });
});
