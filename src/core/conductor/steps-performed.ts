import { findPerformed, type ClassPlan } from '@/core/plan';
import { expandPlan, nextCue, performedName, stepAt, type Timeline } from '@/core/timeline';
import { itemAt, wholeMilliseconds, type Seconds } from '@/core/units';
import { movedBy } from './conductor';
import type { LoggedEvent, PerformanceLog } from './performance-log';

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
  /** `null` where it was dropped; the same object as `planned` where nothing of the class was changed. */
  readonly changed: StepTime | null;
  /** `null` where the prompter never stood in it. */
  readonly performed: StepTime | null;
}

/** Every step of a class, planned, changed and performed, by a log of the prompter. */
export function stepsPerformed(plan: ClassPlan, log: PerformanceLog): StepPerformed[] {
  const planned = expandPlan(plan);
  const last = log.performed ? expandPlan(log.performed) : planned;
  const actual = actualTimes(last, log.events);
  const changes = new Map(last.steps.map((one) => [one.step, one]));
  return planned.steps.map(({ step, startSeconds, endSeconds }): StepPerformed => {
    const found = findPerformed(plan, step);
    const time = { startSeconds, seconds: endSeconds - startSeconds };
    const then = changes.get(step);
    const kept = then && then.endSeconds > then.startSeconds;
    return {
      step,
      name: found ? performedName(found, plan.style) : '',
      planned: time,
      changed: !log.performed
        ? time
        : kept
          ? { startSeconds: then.startSeconds, seconds: then.endSeconds - then.startSeconds }
          : null,
      performed: actual.get(step) ?? null,
    };
  });
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
  let running = false;
  let waits = false;
  for (let index = 0; index + 1 < events.length; index++) {
    const { event, atSeconds, placeSeconds } = itemAt(events, index);
    if (event === 'hold' || event === 'end') running = false;
    else if (event === 'start' || event === 'go-on') running = true;
    const by = movedBy(event);
    if (by) waits = by !== 'clock';
    const lasts = itemAt(events, index + 1).atSeconds - atSeconds;
    const passed = running ? placeSeconds + lasts : placeSeconds;
    const next = waits ? nextCue(timeline, placeSeconds)?.startSeconds : undefined;
    const until = Math.min(passed, next ?? timeline.runtimeSeconds, timeline.runtimeSeconds);
    for (const { step, startSeconds, endSeconds } of timeline.steps) {
      const from = Math.max(startSeconds, placeSeconds);
      spend(step, atSeconds + from - placeSeconds, Math.min(endSeconds, until) - from);
    }
    // It stood there while it was paused, or waited for a hand.
    const stood = lasts - Math.max(0, until - placeSeconds);
    const where = stepAt(timeline, Math.max(placeSeconds, until - 0.001));
    if (where) spend(where.step, atSeconds + Math.max(0, until - placeSeconds), stood);
  }
  return times;
}
