import type { Leg } from '@/core/words';
import type { ClassPlan, Section } from './schema';
import { contractOf, isMovement, type Step } from './steps';

/*
 * A plan as it is performed. Neighbours of one block are written once and performed twice, the second time on the other
 * side: their second passes have ids of their own, made from those of the steps they repeat.
 */

/** What the id of a second pass ends in; no id of a document has it. */
const SECOND = '~2';

/** One step as it is performed. */
export interface PerformedStep {
  /** As performed: in the second pass of a block with sides and stances turned, and with an id of its own. */
  readonly step: Step;
  readonly section: Section;
  /** As written. */
  readonly source: Step;
  readonly pass: 1 | 2;
  /** The side of the block it stands in; `null` outside one. */
  readonly side: Leg | null;
}

/** The id of the step as it is written. */
export function sourceStepId(stepId: string): string {
  return stepId.endsWith(SECOND) ? stepId.slice(0, -SECOND.length) : stepId;
}

/** The id under which a step of a block is performed again. */
export function secondPassId(stepId: string): string {
  return `${stepId}${SECOND}`;
}

/** Every step in the order in which it is performed. */
export function performedSteps(plan: ClassPlan): readonly PerformedStep[] {
  return plan.sections.flatMap((section) => performedIn(section));
}

/** The steps of one section in the order in which they are performed. */
export function performedIn(section: Section): readonly PerformedStep[] {
  return blocksOf(section.steps).flatMap((block): readonly PerformedStep[] => {
    if ((block[0]?.blockId ?? null) === null)
      return block.map((step) => ({ step, section, source: step, pass: 1, side: null }));
    const side: Leg = block.find(isMovement)?.startSide ?? 'left';
    const other: Leg = side === 'left' ? 'right' : 'left';
    const first: readonly PerformedStep[] = block.map((step) => ({ step, section, source: step, pass: 1, side }));
    return [
      ...first,
      ...first.map((one): PerformedStep => ({ ...one, step: secondPass(one.source), pass: 2, side: other })),
    ];
  });
}

/** Steps that are done together: each alone, or the neighbours of one block. */
export function blocksOf(steps: readonly Step[]): readonly (readonly Step[])[] {
  const blocks: Step[][] = [];
  for (const step of steps) {
    const last = blocks.at(-1);
    if (last && step.blockId !== null && last[0]?.blockId === step.blockId) last.push(step);
    else blocks.push([step]);
  }
  return blocks;
}

/** How often a step is performed. */
export function timesPerformed(step: Step): 1 | 2 {
  return step.blockId === null ? 1 : 2;
}

/** Steps never change in place, so each is turned once. */
const seconds = new WeakMap<Step, Step>();

function secondPass(step: Step): Step {
  let turned = seconds.get(step);
  if (!turned) {
    turned = { ...contractOf(step).mirrored(step), id: secondPassId(step.id) };
    seconds.set(step, turned);
  }
  return turned;
}

/** A step by the id it is performed under; `null` where there is none. */
export function findPerformed(plan: ClassPlan, stepId: string): PerformedStep | null {
  return performedSteps(plan).find(({ step }) => step.id === stepId) ?? null;
}
