import type { NewId } from '@/core/document';
import type { Stance } from '@/core/movement';
import type { Seconds } from '@/core/units';
import { STANCE_LINES } from '@/core/words';
import type { Edit } from './edit';
import type { ClassPlan } from './schema';
import type { Companion } from './steps/companions';
import { contractOf, makeTransition, type Step, type TransitionStep } from './steps';

/** A place where one step ends in one stance and the next begins in another, with nothing said between. */
export interface StanceGap {
  readonly sectionId: string;
  /** Place of the step in its section: the transition goes before it. */
  readonly index: number;
  readonly stepId: string;
  readonly from: Stance;
  readonly to: Stance;
}

/** Stance at the start and end of a step as it is performed; `null` where it may be any. */
export function stancesOf(step: Step): { readonly start: Stance | null; readonly end: Stance | null } {
  return contractOf(step).stances(step);
}

/** Whether a step only leads from one stance to another. */
export function leadsOn(step: Step): boolean {
  return contractOf(step).onlyLeads;
}

/**
 * Follows the stances through the steps that are performed and gives each place where a transition is missing. A
 * transition that does not say where it leads leaves the stance open.
 */
export function stanceGaps(plan: ClassPlan): StanceGap[] {
  const gaps: StanceGap[] = [];
  let now: Stance | null = null;
  for (const section of plan.sections) {
    section.steps.forEach((step, index) => {
      if (step.skipped) return;
      const { start, end } = stancesOf(step);
      if (leadsOn(step)) {
        now = end;
        return;
      }
      if (now !== null && start !== null && now !== start) {
        gaps.push({ sectionId: section.id, index, stepId: step.id, from: now, to: start });
      }
      now = end ?? start ?? now;
    });
  }
  return gaps;
}

/** How long it usually takes to come to a stance. Common practice, no published source. */
const ARRIVING: Readonly<Record<Stance, Seconds>> = {
  'feet-together': 4,
  'hip-width': 4,
  wide: 6,
  'left-forward': 6,
  'right-forward': 6,
  'one-leg': 6,
  seated: 15,
  lying: 30,
};

/** The transition that comes to a stance; it goes when its neighbour goes. */
export function arrivalAt(newId: NewId, stance: Stance, goesWith: Companion): TransitionStep {
  const { name, line } = STANCE_LINES[stance];
  return makeTransition(newId, name, ARRIVING[stance], line, { stance, goesWith });
}

/** The transition proposed for a gap; it goes when the step after it goes. */
export function transitionFor(newId: NewId, gap: StanceGap): TransitionStep {
  return arrivalAt(newId, gap.to, 'next');
}

/** The edit that puts the proposed transitions in, the last one first, so that places stay right. */
export function fillGapsEdit(newId: NewId, gaps: readonly StanceGap[]): Edit {
  return {
    kind: 'together',
    edits: [...gaps].reverse().map((gap) => ({
      kind: 'insert-step',
      sectionId: gap.sectionId,
      index: gap.index,
      step: transitionFor(newId, gap),
    })),
  };
}
