import { describe, expect, it } from 'vitest';
import { readScript } from '@/core/plain-script';
import { isMovement, stepsInOrder } from '@/core/plan';
import { countingIds } from '../support/chance';

/*
 * Lines at times of a movement that is paced by time, in as many ways as people write them below it. Common practice, no
 * published source.
 */

const MOVEMENTS = [
  'Cloud hands 3 min, own pace', '- Shake 3 min', '2. Rowing for three minutes', 'Free practice: 3 min', 'Walk the rail (3 min, own pace)',
  'Cloud hands x4 together, then 3 min on your own', 'Swing the arms, 3:00', '### Free flow, 3 min',
]; // prettier-ignore
const SMALL = ['let the eyes follow', 'soften the belly', 'a little lower'];
const LARGE = ['Let the eyes follow.', 'Soften the belly.', 'A little lower.'];
const SECONDS = [30, 75, 120];
const CLOCK = ['0:30', '1:15', '2:00'];

/** `T` is the seconds, `C` the minutes and seconds, `X` what is said. */
const BEFORE = [
  '  T s: X', '  at T s: X', '  at T s, X', '  (after T s) X', '  [after T s] X', '  (at T s) X', '  C X', '  C: X', '  C - X', '  [C] X',
  '  (C) X', '  @C X', '  - C X', '  - (C) X', '  T s in: X', 'at T s: X', '(after T s) X',
]; // prettier-ignore
const BEHIND = ['  X (C)', '  X at C', '  X after T s', '  X (after T s)', '  X @ C'];

function lines(form: string, words: readonly string[]): string {
  return words
    .map((text, at) =>
      form
        .replace('T', String(SECONDS[at]))
        .replace('C', CLOCK[at] ?? '')
        .replace('X', /X$/.test(form) ? text : text.replace('.', '')),
    )
    .join('\n');
}

function isRead(movement: string, below: string): boolean {
  const script = `Morning - 20 min\n\nMain set\n- Rowing x6\n  in: arms rise\n  out: arms sink\n\nSecond set\n${movement}\n${below}\n\nClosing\nThank you all.`;
  const [, step, last, ...others] = stepsInOrder(readScript(countingIds('t'), script).plan).map((one) => one.step);
  if (!isMovement(step) || last?.kind !== 'talk' || others.length > 0) return false;
  const said = step.during.map(({ on, number, text }) => `${on} ${number} ${text.toLowerCase().replace('.', '')}`);
  return said.join() === SMALL.map((text, at) => `time ${SECONDS[at] ?? 0} ${text}`).join();
}

function wrong(forms: readonly string[], words: readonly string[]): string[] {
  return forms.flatMap((form) =>
    MOVEMENTS.filter((movement) => !isRead(movement, lines(form, words))).map((movement) => `${movement}: ${form}`),
  );
}

describe('lines at times of a movement by time', () => {
  it('are said then, with the time before them', () => {
    expect(wrong(BEFORE, SMALL)).toEqual([]);
    expect(wrong(BEFORE, LARGE)).toEqual([]);
  });

  it('are said then, with the time behind them', () => {
    expect(wrong(BEHIND, SMALL)).toEqual([]);
  });

  it('are steps where they name what is done', () => {
    const { plan } = readScript(countingIds('n'), 'Class\n\nMain set\n- Flow 10 min\n  - Rowing (2:00)\n  - Bow to the tide (4:00)\n  - Cloud hands (3:00)'); // prettier-ignore
    const names = stepsInOrder(plan).map(({ step }) => step.name);
    expect(names).toEqual(['Rowing', 'Bow to the tide', 'Cloud hands']);
  });

  it('are none behind the end of the movement', () => {
    const { plan } = readScript(countingIds('e'), 'Class\n\nMain set\n- Shake 1 min\n  at 90 s: softer');
    const [step] = stepsInOrder(plan).map((one) => one.step);
    expect(isMovement(step) && step.during).toEqual([]);
  });
});
