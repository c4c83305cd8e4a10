import { planAfter, planAtLength, type ClassPlan, type Length } from '@/core/plan';
import { fitting, type Fitted, type NotFitted } from './fit';
import { runThrough } from './solve';

/** A class at one of its lengths: the plan landed on that target, or as near as it stands when nothing fits. */
export interface FittedLength {
  readonly plan: ClassPlan;
  readonly fit: Fitted | NotFitted;
}

/** Fits one length of a class from its source, in small pieces. */
export function* fittingLength(source: ClassPlan, length: Length): Generator<void, FittedLength> {
  const plan = planAtLength(source, length);
  const fit = yield* fitting(plan, plan.targetSeconds, { way: length.way });
  return { plan: planAfter(plan, fit.feasible ? fit.edit : null), fit };
}

/** The same in one go. */
export function fitLength(source: ClassPlan, length: Length): FittedLength {
  return runThrough(fittingLength(source, length));
}
