import type { ClassPlan } from '@/core/plan';
import type { Reading } from '@/core/reading';
import { reportOf } from '@/core/report';
import { expandPlan, type Timeline } from '@/core/timeline';
import { median, wholeMilliseconds, type Seconds } from '@/core/units';

/** A take of a class, with the plan that it was read against. */
export interface TakenClass {
  readonly plan: ClassPlan;
  readonly reading: Reading;
}

/** What one take tells of the person who gave it. */
export interface Habits {
  readonly syllablesPerMinute: number | null;
  /** The opening breath as it was really led. */
  readonly breathSeconds: Seconds | null;
  /** Teaching of each step, by its id. */
  readonly teachSeconds: ReadonlyMap<string, Seconds>;
  /** The class from its beginning to its end: what the recording has before and after it is not counted. */
  readonly classSeconds: Seconds | null;
}

/** A take with what it tells, read once. */
export interface KnownTake {
  readonly plan: ClassPlan;
  readonly habits: Habits;
}

export function knownTake(taken: TakenClass): KnownTake {
  return { plan: taken.plan, habits: habitsOf(taken) };
}

/** Reads the habits of a person from a take; what too little was heard of is `null` or not there. */
function habitsOf({ plan, reading }: TakenClass): Habits {
  const timeline = expandPlan(plan);
  const report = reportOf(timeline, reading);
  const ratios = report.steps.flatMap(({ breathPlannedSeconds, breathActualSeconds }) =>
    breathPlannedSeconds !== null && breathActualSeconds !== null ? [breathActualSeconds / breathPlannedSeconds] : [],
  );
  const teach = report.steps.flatMap(({ step, teachTakenSeconds }) =>
    teachTakenSeconds === null ? [] : ([[step, teachTakenSeconds]] as const),
  );
  return {
    syllablesPerMinute: report.syllablesPerMinute,
    breathSeconds: ratios.length > 0 ? plan.pace.breathSeconds * median(ratios) : null,
    teachSeconds: new Map(teach),
    classSeconds: classSeconds(timeline, reading),
  };
}

/** From where the class begins before its first line said to where it ends after its last. */
function classSeconds(timeline: Timeline, { cues }: Reading): Seconds | null {
  const first = cues.find(({ actualStart }) => actualStart !== null);
  const last = cues.findLast(({ actualStart }) => actualStart !== null);
  if (!first || !last || first === last) return null;
  const head = (first.actualStart ?? 0) - first.plannedStart;
  const tail = (last.actualStart ?? 0) - last.plannedStart;
  return wholeMilliseconds(timeline.runtimeSeconds + tail - head);
}
