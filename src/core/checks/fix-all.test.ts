import { describe, expect, it } from 'vitest';
import { applyEdit } from '@/core/plan';
import { expandPlan } from '@/core/timeline';
import { demoClasses } from '@/demo/classes';
import { createChecker, fixAllEdit, gathered, kindOf, type Finding } from '.';

const open = (plan: Parameters<typeof expandPlan>[0], like: Finding) =>
  createChecker([])(plan, expandPlan(plan)).filter((one) => kindOf(one) === kindOf(like) && one.fix?.kind === 'edit');

describe('fixing all findings of a kind', () => {
  it('leaves none that it could fix, in one edit that is undone as one', () => {
    let fixed = 0;
    for (const { plan } of demoClasses()) {
      for (const { finding } of gathered(createChecker([])(plan, expandPlan(plan)))) {
        const before = open(plan, finding).length;
        const edit = fixAllEdit(plan, createChecker([]), finding);
        if (before === 0) {
          expect(edit).toBeNull();
          continue;
        }
        const applied = edit && applyEdit(plan, edit);
        if (!applied?.ok) throw new Error(`${finding.check}: not applied`);
        expect(open(applied.value.plan, finding).length, `${plan.title}: ${finding.check}`).toBeLessThan(before);
        const undone = applyEdit(applied.value.plan, applied.value.inverse);
        expect(undone.ok && undone.value.plan).toEqual(plan);
        fixed++;
      }
    }
    expect(fixed).toBeGreaterThan(3);
  });
});
