import type { Fitted, FitOptions, NotFitted, Proposals } from '@/core/pacing';
import type { ClassPlan } from '@/core/plan';

/** What is asked of the worker; a newer request makes it give the running one up. */
export type FitRequest =
  | { readonly kind: 'fit'; readonly id: number; readonly plan: ClassPlan; readonly held: FitOptions['held'] }
  | { readonly kind: 'propose'; readonly id: number; readonly plan: ClassPlan }
  | { readonly kind: 'lengths'; readonly id: number; readonly plan: ClassPlan };

/** One length of a class, fitted from its source. */
export type LengthFit = { readonly lengthId: string; readonly plan: ClassPlan; readonly fit: Fitted | NotFitted };

export type FitReply =
  | { readonly kind: 'fitted'; readonly id: number; readonly fit: Fitted | NotFitted }
  | { readonly kind: 'proposed'; readonly id: number; readonly proposals: Proposals }
  | { readonly kind: 'lengths'; readonly id: number; readonly lengths: readonly LengthFit[] }
  | { readonly kind: 'given-up'; readonly id: number };
