import { sameDocument } from '@/core/document';
import { FIT_WAYS, type ClassPlan, type FitWay } from '@/core/plan';
import { type Seconds } from '@/core/units';
import { fitting, type Fitted, type NotFitted } from './fit';
import { runThrough } from './solve';

/** One fit with the ways that lead to it: two ways that choose the same are one proposal. */
export interface Proposal {
  readonly ways: readonly FitWay[];
  readonly fit: Fitted;
}

/** Fits to choose from, the balance first; or why there is none. */
export type Proposals =
  | { readonly feasible: true; readonly proposals: readonly Proposal[] }
  | { readonly feasible: false; readonly why: NotFitted };

/** Proposals for landing a plan on its target, in small pieces; `onWay` is told how many ways are fitted. */
export function* proposing(
  plan: ClassPlan,
  targetSeconds: Seconds = plan.targetSeconds,
  onWay: (done: number) => void = () => undefined,
): Generator<void, Proposals> {
  const proposals: Proposal[] = [];
  for (const [done, way] of FIT_WAYS.entries()) {
    onWay(done);
    const fit = yield* fitting(plan, targetSeconds, { way });
    if (!fit.feasible) return { feasible: false, why: fit };
    const same = proposals.findIndex((one) => sameDocument(one.fit.edit, fit.edit));
    const known = proposals[same];
    if (known) proposals[same] = { ...known, ways: [...known.ways, way] };
    else proposals.push({ ways: [way], fit });
  }
  return { feasible: true, proposals };
}

/** The same in one go. */
export function proposeFits(plan: ClassPlan, targetSeconds: Seconds = plan.targetSeconds): Proposals {
  return runThrough(proposing(plan, targetSeconds));
}
