import type { ClassPlan, Edit, Dismissed } from '@/core/plan';
import type { Finding } from './model';

const same = (one: Dismissed, finding: Finding): boolean =>
  one.check === finding.check && one.stepId === finding.stepId && one.detail === finding.detail;

/** Why a finding was set aside; `null` where it was not. */
export function dismissalReason(plan: ClassPlan, finding: Finding): string | null {
  return plan.dismissed.find((one) => same(one, finding))?.reason ?? null;
}

/** Sets findings aside with a reason, or takes them up again with `null`. */
export function dismissEdit(plan: ClassPlan, findings: readonly Finding[], reason: string | null): Edit {
  const others = plan.dismissed.filter((one) => !findings.some((finding) => same(one, finding)));
  const added = findings.map(({ check, stepId, detail }) => ({ check, stepId, detail, reason: reason ?? '' }));
  const value = reason === null ? others : [...others, ...added];
  return { kind: 'set-plan', field: 'dismissed', value: value.map((one) => ({ ...one })) };
}
