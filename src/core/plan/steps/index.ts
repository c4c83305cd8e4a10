import type { NewId } from '@/core/document';
import { takenAs } from '@/core/units';
import type { StepContract } from './contract';
import { movement } from './movement';
import type { MovementStep } from './movement/schema';
import { silence } from './silence';
import type { SilenceStep } from './silence/schema';
import { talk } from './talk';
import type { TalkStep } from './talk/schema';
import { transition } from './transition';
import type { TransitionStep } from './transition/schema';

/*
 * The kinds of step, all of them. What only walks steps asks here; a new kind is a folder beside this file and an entry
 * in each of these lists.
 */

export { makeMovement, stepOf } from './movement/make';
export { makeSilence } from './silence';
export { makeTalk } from './talk';
export { makeTransition } from './transition';
export type { MovementStep, SilenceStep, TalkStep, TransitionStep };

export type Step = MovementStep | TalkStep | SilenceStep | TransitionStep;
export type StepKind = Step['kind'];
export type StepOf<Kind extends StepKind> = Extract<Step, { readonly kind: Kind }>;

type Contracts = { readonly [Kind in StepKind]: StepContract<StepOf<Kind>> };

const CONTRACTS: Contracts = { movement, talk, silence, transition };

/** Every kind, the commonest first. */
export const STEP_KINDS = Object.keys(CONTRACTS) as readonly StepKind[];

/** What the kind of a step says about it. */
export function contractOf<One extends Step>(step: One): StepContract<One> {
  // A step and its kind's contract belong together; the compiler does not follow that through a union.
  return takenAs<StepContract<One>>(CONTRACTS[step.kind]);
}

/** A new step of a kind, with the commonest numbers. */
export function makeStep(newId: NewId, kind: StepKind, name = ''): Step {
  return CONTRACTS[kind].make(newId, name);
}

/** A step of a kind as a script begins it: with nothing in it yet. */
export function blankStep(newId: NewId, kind: StepKind, name: string): Step {
  return CONTRACTS[kind].blank(newId, name);
}

export function isMovement(step: Step | null | undefined): step is MovementStep {
  return step?.kind === 'movement';
}

export function isTalk(step: Step | null | undefined): step is TalkStep {
  return step?.kind === 'talk';
}

export function isSilence(step: Step | null | undefined): step is SilenceStep {
  return step?.kind === 'silence';
}
