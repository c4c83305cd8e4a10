import { findPerformed, type ClassPlan } from '@/core/plan';
import { expandPlan, performedName, stepAt, type TimedStep, type Timeline } from '@/core/timeline';
import { wholeMilliseconds, type Seconds } from '@/core/units';
import type { LoggedEvent, PerformanceLog } from './performance-log';
import { replayed } from './replayed';

/** When a step began, from the start of the class, and how long it took with its pauses. */
export interface StepTime {
  readonly startSeconds: Seconds;
  readonly seconds: Seconds;
}

/** One step as it was planned, as it was after the changes made while performing, and as it was performed. */
export interface StepPerformed {
  readonly step: string;
  readonly name: string;
  readonly planned: StepTime;
  /** `null` where it was dropped on the way. */
  readonly changed: StepTime | null;
  /** `null` where the prompter never stood in it. */
  readonly performed: StepTime | null;
  /** How much longer it took than planned, between both as they are shown, in whole seconds; `null` as above. */
  readonly offSeconds: Seconds | null;
}

/** Every step of a class, planned, changed and performed, by a log of the prompter. */
export function stepsPerformed(plan: ClassPlan, log: PerformanceLog): StepPerformed[] {
  const timeline = expandPlan(plan);
  const last = log.performed ? expandPlan(log.performed) : timeline;
  const actual = actualTimes(last, log.events);
  const changes = new Map(last.steps.map((one) => [one.step, timeOf(one)]));
  return timeline.steps.map((timed): StepPerformed => {
    const { step } = timed;
    const found = findPerformed(plan, step);
    const [planned, changed, performed] = [timeOf(timed), changes.get(step), actual.get(step) ?? null];
    return {
      step,
      name: found ? performedName(found, plan.style) : '',
      planned,
      changed: changed && changed.seconds > 0 ? changed : null,
      performed,
      offSeconds: performed && Math.round(performed.seconds) - Math.round(planned.seconds),
    };
  });
}

/** Whether any step was dropped, moved by half a second and more, or given another length on the way. */
export function wereChanged(steps: readonly StepPerformed[]): boolean {
  return steps.some(
    ({ planned, changed }) =>
      changed?.seconds !== planned.seconds || Math.abs(changed.startSeconds - planned.startSeconds) > 0.5,
  );
}

function timeOf({ startSeconds, endSeconds }: TimedStep): StepTime {
  return { startSeconds, seconds: endSeconds - startSeconds };
}

/** How long the prompter stood in each step, and from when; what follows the last event is not known. */
function actualTimes(timeline: Timeline, events: readonly LoggedEvent[]): ReadonlyMap<string, StepTime> {
  const times = new Map<string, StepTime>();
  const spend = (step: string, at: Seconds, seconds: Seconds): void => {
    if (seconds <= 0) return;
    const before = times.get(step);
    times.set(step, {
      startSeconds: before?.startSeconds ?? wholeMilliseconds(at),
      seconds: wholeMilliseconds((before?.seconds ?? 0) + seconds),
    });
  };
  for (const { atSeconds, placeSeconds, lastsSeconds, untilSeconds } of replayed(timeline, events).slice(0, -1)) {
    const until = Math.max(placeSeconds, Math.min(untilSeconds, timeline.runtimeSeconds));
    for (const { step, startSeconds, endSeconds } of timeline.steps) {
      const from = Math.max(startSeconds, placeSeconds);
      spend(step, atSeconds + from - placeSeconds, Math.min(endSeconds, until) - from);
    }
    // It stood there while it was paused, or waited for a hand.
    const ran = until - placeSeconds;
    const where = stepAt(timeline, Math.max(placeSeconds, until - 0.001));
    if (where) spend(where.step, atSeconds + ran, lastsSeconds - ran);
  }
  return times;
}
