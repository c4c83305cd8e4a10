import type { Fitted, FitOptions, NotFitted, Proposals } from '@/core/pacing';
import type { ClassPlan } from '@/core/plan';
import type { OnProgress } from '../hired';

/** One length of a class, fitted from its source. */
export type LengthFit = { readonly lengthId: string; readonly plan: ClassPlan; readonly fit: Fitted | NotFitted };

/** A newer question makes the worker give the running one up: that one is answered with `null`. */
export interface FitWorker {
  fit(plan: ClassPlan, held: FitOptions['held']): Promise<Fitted | NotFitted | null>;
  /** Tells how many of the ways are fitted, as a share. */
  propose(plan: ClassPlan, onProgress: OnProgress): Promise<Proposals | null>;
  lengths(plan: ClassPlan, onProgress: OnProgress): Promise<readonly LengthFit[] | null>;
}
