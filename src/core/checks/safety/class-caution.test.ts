import { describe, expect, it } from 'vitest';
import { checkPlan } from '@/core/checks';
import { readScript } from '@/core/plain-script';
import { isTalk, planAfter, stepsInOrder } from '@/core/plan';
import { countingIds } from '../../../../tests/support/chance';

/** The steps of a class, by kind, after the caution for the whole class was put in; where it is said. */
function fixed(script: string): { readonly kinds: readonly string[]; readonly at: number } {
  const { plan } = readScript(countingIds('c'), script);
  const fix = checkPlan(plan).find(({ check }) => check === 'class-caution')?.fix;
  if (fix?.kind !== 'edit') throw new Error('no fix');
  const steps = stepsInOrder(planAfter(plan, fix.edit)).map(({ step }) => step);
  return {
    kinds: steps.map(({ kind }) => kind),
    at: steps.findIndex((step) => isTalk(step) && step.lines.some(({ text }) => /^Stay within/.test(text))),
  };
}

describe('the caution for the whole class', () => {
  it('is said in the talk that opens it', () => {
    expect(fixed('Class\n\nWelcome\nGood morning.\n\nMain\n- Rowing x6')).toEqual({
      kinds: ['talk', 'movement'],
      at: 0,
    });
  });

  it('is never said behind what it is about', () => {
    const { kinds, at } = fixed('Class\n\nMain\n- Rowing x6\n\nClosing\nThank you all.');
    expect(kinds).toEqual(['talk', 'movement', 'talk']);
    expect(at).toBe(0);
  });
});
