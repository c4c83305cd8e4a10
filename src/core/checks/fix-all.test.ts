import { describe, expect, it } from 'vitest';
import { applyEdit } from '@/core/plan';
import { expandPlan } from '@/core/timeline';
import { demoClasses } from '@/demo/classes';
import { createChecker, fixAllEdit } from '.';

const open = (plan: Parameters<typeof expandPlan>[0], check: string) =>
  createChecker([])(plan, expandPlan(plan)).filter((one) => one.check === check && one.fix?.kind === 'edit');

describe('fixing all findings of a kind', () => {
  it('leaves none that it could fix, in one edit that is undone as one', () => {
    let fixed = 0;
    for (const { plan } of demoClasses()) {
      const kinds = new Set(createChecker([])(plan, expandPlan(plan)).map(({ check }) => check));
      for (const check of kinds) {
        const before = open(plan, check).length;
        const edit = fixAllEdit(plan, createChecker([]), check);
        if (before === 0) {
          expect(edit).toBeNull();
          continue;
        }
        const applied = edit && applyEdit(plan, edit);
        if (!applied?.ok) throw new Error(`${check}: not applied`);
        expect(open(applied.value.plan, check).length, `${plan.title}: ${check}`).toBeLessThan(before);
        const undone = applyEdit(applied.value.plan, applied.value.inverse);
        expect(undone.ok && undone.value.plan).toEqual(plan);
        fixed++;
      }
    }
    expect(fixed).toBeGreaterThan(3);
  });
});
