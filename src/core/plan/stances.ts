import type { NewId } from '@/core/document';
import type { Stance } from '@/core/movement';
import type { Seconds } from '@/core/units';
import type { Edit } from './edit';
import type { ClassPlan } from './schema';
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

/** What is usually said, and how long it takes, to come to a stance. Common practice, no published source. */
const ARRIVING: Readonly<Record<Stance, { readonly name: string; readonly line: string; readonly seconds: Seconds }>> =
  {
    'feet-together': { name: 'Feet together', line: 'Step the feet together.', seconds: 4 },
    'hip-width': { name: 'Feet apart', line: 'Step the feet as wide as your hips.', seconds: 4 },
    wide: { name: 'Feet wide', line: 'Step the feet wide, toes over the same line as the knees.', seconds: 6 },
    'left-forward': { name: 'Left foot forward', line: 'Step the left foot forward.', seconds: 6 },
    'right-forward': { name: 'Right foot forward', line: 'Step the right foot forward.', seconds: 6 },
    'one-leg': { name: 'Onto one leg', line: 'Shift onto one leg, a wall or a chair at hand.', seconds: 6 },
    seated: { name: 'Sit down', line: 'Sit down, at the front of the seat, feet flat.', seconds: 15 },
    lying: { name: 'Lie down', line: 'Lie down, in your own time.', seconds: 30 },
  };

/** The transition proposed for a gap; it goes when the step after it goes. */
export function transitionFor(newId: NewId, gap: StanceGap): TransitionStep {
  const { name, line, seconds } = ARRIVING[gap.to];
  return makeTransition(newId, name, seconds, line, { stance: gap.to, goesWith: 'next' });
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
