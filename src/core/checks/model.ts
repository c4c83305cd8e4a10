import {
  isMovement as isMovementStep,
  type ClassPlan,
  type Edit,
  type MovementStep,
  type Section,
  type Step,
  type StepText,
} from '@/core/plan';
import type { Term } from '@/core/words';
import type { Cue, TimedPhase, TimedStep, Timeline } from '@/core/timeline';

export const GRAVITIES = ['must', 'should', 'could'] as const;
/** Whether a finding has to be put right, should be, or could be better. */
export type Gravity = (typeof GRAVITIES)[number];

export const CHECK_GROUPS = ['time', 'count', 'side', 'safety', 'flow', 'words'] as const;
export type CheckGroup = (typeof CHECK_GROUPS)[number];

/** A way to put a finding right: an edit, or the proposals of the fit. */
export type Fix = { readonly kind: 'edit'; readonly edit: Edit } | { readonly kind: 'fit' };

/** The figures and texts that findings are worded with. */
export type FactName =
  | 'breath'
  | 'caution'
  | 'count'
  | 'from'
  | 'gap'
  | 'grade'
  | 'held'
  | 'lead'
  | 'min'
  | 'left'
  | 'levels'
  | 'max'
  | 'movements'
  | 'versions'
  | 'multiple'
  | 'name'
  | 'off'
  | 'one'
  | 'other'
  | 'over'
  | 'parts'
  | 'percent'
  | 'plainer'
  | 'planned'
  | 'right'
  | 'round'
  | 'rounds'
  | 'said'
  | 'style'
  | 'seconds'
  | 'section'
  | 'seen'
  | 'side'
  | 'stance'
  | 'target'
  | 'term'
  | 'text'
  | 'times'
  | 'to'
  | 'token'
  | 'view'
  | 'wanted'
  | 'words'
  | 'written';
export type Facts = Readonly<Partial<Record<FactName, string | number>>>;

/** What a check found, with its figures; sentences live in `src/messages`. */
export interface Found {
  /** `null` where it is about the whole class. */
  readonly stepId: string | null;
  /** The line it is about, where there is one. */
  readonly cueId?: string;
  /** Tells it from others of the same check in the same step; may be left out. */
  readonly detail?: string;
  readonly facts?: Facts;
  readonly fix?: Fix | null;
}

export interface Finding extends Found {
  readonly check: string;
  readonly group: CheckGroup;
  readonly gravity: Gravity;
  readonly detail: string;
  readonly facts: Facts;
  readonly fix: Fix | null;
}

/** A step with everything that a check looks at. Times are of the whole class. */
export interface StepContext {
  readonly step: Step;
  readonly section: Section;
  readonly timed: TimedStep;
  readonly cues: readonly Cue[];
  readonly phases: readonly TimedPhase[];
  /** Every text of the step, tokens not filled. */
  readonly texts: readonly StepText[];
  /** Everything said in it, small letters, tokens filled. */
  readonly said: string;
  /** Whether it is a movement that was done before, by its name. */
  readonly again: boolean;
}

export interface MovementContext extends StepContext {
  readonly step: MovementStep;
}

export interface ClassContext {
  readonly plan: ClassPlan;
  readonly timeline: Timeline;
  /** Every step that is performed, in order. */
  readonly steps: readonly StepContext[];
  /** The studio's own terms beside the house list. */
  readonly ownTerms: readonly Term[];
}

interface CheckHead {
  /** A name that never changes: findings set aside are known by it. */
  readonly name: string;
  readonly group: CheckGroup;
  readonly gravity: Gravity;
}

/**
 * A check of one step by itself, which may look at nothing else of the class than its style, voice and pace: so its
 * findings hold for as long as these and the step do.
 */
export interface StepCheck extends CheckHead {
  readonly of: 'step';
  readonly find: (step: StepContext, plan: ClassPlan) => readonly Found[];
}

/** A check that looks at the class as a whole. */
export interface ClassCheck extends CheckHead {
  readonly of: 'class';
  readonly find: (context: ClassContext) => readonly Found[];
}

export type Check = StepCheck | ClassCheck;

export function isMovement(context: StepContext): context is MovementContext {
  return isMovementStep(context.step);
}

/** An edit as a fix; `null` where there is none. */
export function fixBy(edit: Edit | null): Fix | null {
  return edit ? { kind: 'edit', edit } : null;
}
