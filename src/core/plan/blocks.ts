import { setStep, together, type Edit } from './edit';
import { stepsInOrder } from './order';
import type { ClassPlan } from './schema';
import type { Step } from './steps';

/** Whether steps are neighbours in one section, in the order of the class: what can be one block. */
export function areNeighbours(plan: ClassPlan, stepIds: readonly string[]): boolean {
  const wanted = new Set(stepIds);
  return plan.sections.some(({ steps }) => {
    const first = steps.findIndex(({ id }) => wanted.has(id));
    return (
      first >= 0 &&
      steps.slice(first, first + wanted.size).every(({ id }) => wanted.has(id)) &&
      first + wanted.size <= steps.length
    );
  });
}

/** The edit that makes steps one block, done again on the other side, or, with no `blockId`, each a step alone. */
export function blockEdit(steps: readonly Step[], blockId: string | null): Edit | null {
  return together(steps.filter((step) => step.blockId !== blockId).map((step) => setStep(step, 'blockId', blockId)));
}

/** The steps of the block that a step stands in: its neighbours of the same; none where it stands in none. */
export function blockOf(plan: ClassPlan, step: Step): readonly Step[] {
  if (step.blockId === null) return [];
  return stepsInOrder(plan).flatMap((one) => (one.step.blockId === step.blockId ? [one.step] : []));
}
