import { fitNearest, type FitChange } from '@/core/pacing';
import {
  isMovement,
  isTalk,
  maySkip,
  planAfter,
  setFields,
  sourceStepId,
  stepPaces,
  stepsInOrder,
  type ClassPlan,
  type Edit,
  type MovementStep,
} from '@/core/plan';
import { expandPlan, type Timeline } from '@/core/timeline';
import type { Seconds } from '@/core/units';

/*
 * What to change in what is left of a class so that it still ends when it should: the same exact fit as at the desk,
 * with everything that was performed, and all that must not change, held as it is.
 */

/** Where a performance stands. */
export interface Standing {
  /** In the plan as it is performed now. */
  readonly placeSeconds: Seconds;
  /** Since it began. */
  readonly elapsedSeconds: Seconds;
  /** When it should end, from its beginning. */
  readonly targetSeconds: Seconds;
  /** Seconds that pass for each planned one; 1 where that is not known. */
  readonly rate?: number;
}

/** A change of what is left, and where the class ends with it. */
export interface Replan {
  /** The plan as it is performed from now on; up to the end of the step that runs it is as it was. */
  readonly plan: ClassPlan;
  readonly timeline: Timeline;
  readonly edit: Edit;
  readonly changes: readonly FitChange[];
  /** What the breath of what is left is multiplied by. */
  readonly breathFactor: number;
  /** How late it is without the change, and with it; less than 0 is early. */
  readonly lateSeconds: Seconds;
  readonly lateAfterSeconds: Seconds;
}

/** Late or early by less is left alone: a share of what is left, which is not known better, and so many seconds. */
const WORTH = { share: 0.004, seconds: 2.5 } as const;

/** Whether a performance is so late, or so early, that a change is worth its disturbance. */
export function isWorthChanging(timeline: Timeline, standing: Standing): boolean {
  const left = timeline.runtimeSeconds - standing.placeSeconds;
  return Math.abs(lateBy(timeline, standing)) > Math.max(WORTH.seconds, WORTH.share * left);
}

/** Breath of what is left, times this: never by more than a tenth at once, and only where the rest does not do. */
const SLOWER = [1, 1.05, 1.1] as const;
const QUICKER = [1, 0.95, 0.9] as const;

/** How much later than it should a performance ends, were nothing changed. */
export function lateBy(
  timeline: Timeline,
  { placeSeconds, elapsedSeconds, targetSeconds, rate = 1 }: Standing,
): Seconds {
  return elapsedSeconds + rate * (timeline.runtimeSeconds - placeSeconds) - targetSeconds;
}

/**
 * The least change of what is left that ends the class on its target, or as near to it as can be; `null` where nothing
 * that may change would bring it nearer. Rounds, silences and clock-led times change within their bounds, steps are
 * left out by their priority; never the step that runs, what is tied to it, a block whose one side was done, a
 * caution, the arrival or the closing.
 */
export function replan(plan: ClassPlan, timeline: Timeline, standing: Standing): Replan | null {
  const { placeSeconds, elapsedSeconds, targetSeconds, rate = 1 } = standing;
  const lateSeconds = lateBy(timeline, standing);
  const held = frozenSteps(plan, timeline, placeSeconds);
  const wanted = placeSeconds + (targetSeconds - elapsedSeconds) / rate;
  let nearest: Omit<Replan, 'timeline'> | null = null;
  for (const breathFactor of lateSeconds > 0 ? QUICKER : SLOWER) {
    const breath = breathEdits(plan, held, breathFactor);
    if (breath === null) break;
    const paced = breath.length > 0 ? planAfter(plan, { kind: 'together', edits: breath }) : plan;
    const fit = fitNearest(withPinned(paced, held), wanted, { held: { stepIds: [], breath: true } });
    if (!fit) continue;
    const edits = [...breath, ...(fit.edit ? [fit.edit] : [])];
    if (edits.length === 0) continue;
    const after = fit.edit ? planAfter(paced, fit.edit) : paced;
    const lateAfterSeconds = elapsedSeconds + rate * (fit.runtimeSeconds - placeSeconds) - targetSeconds;
    const found: Omit<Replan, 'timeline'> = {
      plan: after,
      edit: { kind: 'together', edits },
      changes: fit.changes,
      breathFactor,
      lateSeconds,
      lateAfterSeconds,
    };
    if (!nearest || Math.abs(lateAfterSeconds) < Math.abs(nearest.lateAfterSeconds) - LITTLE) nearest = found;
    if (Math.abs(lateAfterSeconds) <= LITTLE) break;
  }
  if (!nearest || Math.abs(nearest.lateAfterSeconds) >= Math.abs(lateSeconds) - LITTLE) return null;
  return { ...nearest, timeline: expandPlan(nearest.plan) };
}

/** Seconds that are not worth a breath. */
const LITTLE: Seconds = 1;

/** The plan as the fit sees it: what is frozen is pinned, and the landing is as near as a clock shows. */
function withPinned(plan: ClassPlan, frozen: ReadonlySet<string>): ClassPlan {
  const sections = plan.sections.map((section) => ({
    ...section,
    steps: section.steps.map((step) => (frozen.has(step.id) ? { ...step, pinned: true } : step)),
  }));
  return { ...plan, landingSeconds: LITTLE, sections };
}

/** Ids of steps, as written, that a change of what is left must not touch. */
export function frozenSteps(plan: ClassPlan, timeline: Timeline, placeSeconds: Seconds): ReadonlySet<string> {
  const begun = new Set(
    timeline.steps
      .filter(
        ({ startSeconds, endSeconds }) =>
          startSeconds <= placeSeconds && (endSeconds > startSeconds || startSeconds < placeSeconds),
      )
      .map(({ step }) => sourceStepId(step)),
  );
  const steps = stepsInOrder(plan);
  const blocks = new Set<string>();
  const ties = new Set<string>();
  for (const { step } of steps) {
    if (!begun.has(step.id)) continue;
    if (step.blockId !== null) blocks.add(step.blockId);
    if (step.tieId !== null) ties.add(step.tieId);
  }
  const frozen = steps.filter(({ step, section }) => {
    if (begun.has(step.id) || section.role === 'closing') return true;
    if ((step.blockId !== null && blocks.has(step.blockId)) || (step.tieId !== null && ties.has(step.tieId)))
      return true;
    // What is spoken takes the time it takes; it may still be left out.
    return isTalk(step) && !maySkip(step, section.role);
  });
  return new Set(frozen.map(({ step }) => step.id));
}

/** The breath of what is left, times a factor; `null` where that takes any of it out of the class's bounds. */
function breathEdits(plan: ClassPlan, held: ReadonlySet<string>, factor: number): Edit[] | null {
  if (factor === 1) return [];
  const { breathSeconds, minBreathSeconds, maxBreathSeconds, pinned } = plan.pace;
  if (pinned) return null;
  const paces = stepPaces(plan);
  const edits: Edit[] = [];
  const left = stepsInOrder(plan).flatMap(({ step }) => (isMovement(step) && !held.has(step.id) ? [step] : []));
  for (const step of left) {
    const breath = breathSeconds * (paces.get(step.id)?.multiplier ?? 1);
    const inside = (seconds: number): boolean =>
      seconds >= minBreathSeconds - 1e-6 && seconds <= maxBreathSeconds + 1e-6;
    if (inside(breath) && !inside(breath * factor)) return null;
    const edit = setFields(step, { paceMultiplier: times(step, factor) });
    if (edit) edits.push(edit);
  }
  return edits.length > 0 ? edits : null;
}

function times({ paceMultiplier }: MovementStep, factor: number): number {
  return Math.round(100 * paceMultiplier * factor) / 100;
}
