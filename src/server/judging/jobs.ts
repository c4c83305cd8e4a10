import { copyPlan, upToDate, type ClassPlan } from '@/core/plan';
import { judgeBody, type BodyKind } from './bodies';
import { judgePlan, recount, type RecountInput } from './documents';
import type { PlanRow } from '@/db/queries/classes';

/** A copy of a stored plan with ids of its own, under another title. */
function copyOf({ planText, title }: { readonly planText: string; readonly title: string }): PlanRow {
  const plan = upToDate(JSON.parse(planText) as ClassPlan);
  const judged = judgePlan({ ...copyPlan(() => crypto.randomUUID(), plan), title });
  if (!judged.ok) throw new Error('copyOf: a stored plan is not in order');
  return judged.value;
}

/** Work on whole documents that may take long: done beside the thread that answers requests. */
export const JOBS = {
  judge: ({ kind, bytes }: { readonly kind: BodyKind; readonly bytes: Uint8Array }) => judgeBody(kind, bytes),
  copy: copyOf,
  recount: (input: RecountInput) => recount(input),
} as const;

export type JobName = keyof typeof JOBS;
export type JobInput<Name extends JobName> = Parameters<(typeof JOBS)[Name]>[0];
export type JobOutput<Name extends JobName> = ReturnType<(typeof JOBS)[Name]>;
