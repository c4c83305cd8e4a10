import type { ClassPlan, Edit, Dismissed } from '@/core/plan';
import type { Finding } from './model';

const same = (one: Dismissed, finding: Finding): boolean =>
  one.check === finding.check && one.stepId === finding.stepId && one.detail === finding.detail;

/** Why a finding was set aside; `null` where it was not. */
export function dismissalReason(plan: ClassPlan, finding: Finding): string | null {
  return plan.dismissed.find((one) => same(one, finding))?.reason ?? null;
}

/** Sets a finding aside with a reason, or takes it up again with `null`. */
export function dismissEdit(plan: ClassPlan, finding: Finding, reason: string | null): Edit {
  const others = plan.dismissed.filter((one) => !same(one, finding));
  const { check, stepId, detail } = finding;
  const value = reason === null ? others : [...others, { check, stepId, detail, reason }];
  return { kind: 'set-plan', field: 'dismissed', value: value.map((one) => ({ ...one })) };
}
