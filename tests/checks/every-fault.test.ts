import { itemAt } from '@/core/units';
import { describe, expect, it } from 'vitest';
import { CHECKS, checkPlan, createChecker, dismissalReason, type Finding } from '@/core/checks';
import { findStep, planAfter, readPlan, type ClassPlan } from '@/core/plan';
import { expandPlan } from '@/core/timeline';
import { demoClasses } from '@/demo/classes';
import { FAULTS } from './faults';
import { withText } from './make-faults';

const ferry = itemAt(demoClasses(), 0).plan;

/** The plan with its fault; at the length that it makes, so that the target is not what is found. */
function faulty(index: number): ClassPlan {
  const { check, make } = itemAt(FAULTS, index);
  const plan = make(ferry);
  return check === 'off-target' ? plan : { ...plan, targetSeconds: expandPlan(plan).runtimeSeconds };
}

function placed(plan: ClassPlan, findings: readonly Finding[]): string[] {
  const open = findings.filter((finding) => dismissalReason(plan, finding) === null);
  const at = ({ stepId }: Finding): string => (stepId === null ? 'class' : (findStep(plan, stepId)?.step.name ?? '?'));
  return [...new Set(open.map((finding) => `${finding.check} @ ${at(finding)}`))];
}

describe('the checks', () => {
  it('give nothing on the clean demo classes', () => {
    for (const { name, plan } of demoClasses()) {
      if (name !== 'storm-day-indoors') expect(placed(plan, checkPlan(plan)), name).toEqual([]);
    }
  });

  it('have a fault each', () => {
    expect([...new Set(FAULTS.map(({ check }) => check))].sort()).toEqual(CHECKS.map(({ name }) => name).sort());
  });

  it.each(FAULTS.map(({ check, at }, index) => [check, at ?? 'class', index] as const))(
    'find %s at %s and nothing else',
    (check, at, index) => {
      const plan = faulty(index);
      expect(readPlan(plan).ok).toBe(true);
      expect(placed(plan, checkPlan(plan))).toEqual([`${check} @ ${at}`]);
    },
  );

  it.each(FAULTS.map(({ check }, index) => [check, index] as const))('put %s right by its fix', (check, index) => {
    const plan = faulty(index);
    for (const finding of checkPlan(plan)) {
      if (finding.fix?.kind !== 'edit' || dismissalReason(plan, finding) !== null) continue;
      const mended = planAfter(plan, finding.fix.edit);
      expect(readPlan(mended).ok).toBe(true);
      const left = checkPlan(mended).filter((one) => one.check === check && one.stepId === finding.stepId);
      expect(left.filter((one) => one.detail === finding.detail)).toEqual([]);
    }
  });

  it('remember what they found and give the same as from nothing, edit after edit', () => {
    const checker = createChecker();
    for (let index = 0; index < FAULTS.length; index++) {
      const plan = faulty(index);
      const timeline = expandPlan(plan);
      expect(checker(plan, timeline)).toEqual(checkPlan(plan, timeline));
      expect(checker(ferry, expandPlan(ferry))).toEqual([]);
    }
  });

  it('ask for no explanation of the art’s own name, which everybody knows who came', () => {
    const explained = (word: string): string[] => {
      const plan = withText('Both hands rest on the lower belly.', `Both hands rest, as in all ${word}.`)(ferry);
      return checkPlan(plan).flatMap(({ check, detail }) => (check === 'term-unexplained' ? [detail] : []));
    };
    expect(explained('qigong')).toEqual([]);
    expect(explained('qi')).toEqual(['breath-energy']);
  });
});
