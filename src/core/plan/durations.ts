import { inShareAlong, paceMultiplier } from '@/core/breath';
import type { Milliseconds, Seconds } from '@/core/units';
import { performedSteps, timesPerformed } from './performed';
import type { ClassPlan, Section } from './schema';
import { contractOf, isMovement, type MovementStep, type Step } from './steps';
import type { StepPace } from './steps/contract';
import type { PlanVoice } from './voice';

/*
 * How long the parts of a plan take, in whole milliseconds. The timeline and the fit both count with these, so that
 * they cannot disagree.
 */

/**
 * The pace of each movement step, by step id. The profile is laid over all movements of the plan, also those left
 * out, so that leaving one out does not change the breath of the others; a section or a step may set its own.
 */
export function stepPaces(plan: ClassPlan): ReadonlyMap<string, StepPace> {
  const movements: { readonly step: MovementStep; readonly section: Section }[] = [];
  for (const section of plan.sections) {
    for (const step of section.steps) if (isMovement(step)) movements.push({ step, section });
  }
  const count = movements.length;
  const paces = new Map(
    movements.map(({ step, section }, index): [string, StepPace] => {
      const along = section.paceMultiplier;
      const multiplier =
        along === null
          ? paceMultiplier(plan.pace, index, count, step.paceMultiplier)
          : Math.round(along * step.paceMultiplier * 100) / 100;
      const inhaleShare = step.inhaleShare ?? section.inhaleShare ?? inShareAlong(plan.pace, index, count);
      return [step.id, { multiplier, inhaleShare }];
    }),
  );
  // Both passes of a block breathe alike.
  for (const { step, source, pass } of performedSteps(plan)) {
    const pace = paces.get(source.id);
    if (pass === 2 && pace) paces.set(step.id, pace);
  }
  return paces;
}

const NO_PACE: StepPace = { multiplier: 1, inhaleShare: 0.5 };

/** The whole length of a step as it stands, 0 when it is left out. */
export function stepMilliseconds(
  step: Step,
  pace: StepPace = NO_PACE,
  breathSeconds: Seconds,
  voice: PlanVoice,
): Milliseconds {
  return step.skipped ? 0 : contractOf(step).milliseconds(step, { voice, breathSeconds, pace });
}

/** The runtime of a plan, without its cues: what the timeline ends on. */
export function planMilliseconds(plan: ClassPlan): Milliseconds {
  const paces = stepPaces(plan);
  let total = 0;
  for (const section of plan.sections) {
    for (const step of section.steps) {
      total += timesPerformed(step) * stepMilliseconds(step, paces.get(step.id), plan.pace.breathSeconds, plan.voice);
    }
  }
  return total;
}
