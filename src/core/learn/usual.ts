import {
  type ClassPlan,
  isMovement,
  type MovementStep,
  planMilliseconds,
  teachMilliseconds,
  timesPerformed,
} from '@/core/plan';
import { mean, toSeconds, wholeMilliseconds, type Seconds } from '@/core/units';
import type { Habits, KnownTake } from './habits';

/** What somebody usually does, over one take or several. */
export interface Usual {
  readonly takes: number;
  readonly syllablesPerMinute: number | null;
  readonly breathSeconds: Seconds | null;
  readonly teachSeconds: ReadonlyMap<string, Seconds>;
  /** How much longer classes take than voice, breath and teaching explain, as a share: 0.02 is two hundredths. */
  readonly beyond: number;
}

/** The mean of what takes tell; what none of them tells is `null`. */
export function usualOf(takes: readonly KnownTake[]): Usual {
  const all = takes.map(({ habits }) => habits);
  const told = {
    takes: takes.length,
    syllablesPerMinute: meanOf(all.map(({ syllablesPerMinute }) => syllablesPerMinute)),
    breathSeconds: meanOf(all.map(({ breathSeconds }) => breathSeconds)),
    teachSeconds: teachingOf(all),
    beyond: 0,
  };
  const beyond = takes.flatMap(({ plan, habits: { classSeconds } }) => {
    return classSeconds === null ? [] : [classSeconds / predictedSeconds(plan, told) - 1];
  });
  return { ...told, beyond: beyond.length > 0 ? mean(beyond) : 0 };
}

function meanOf(values: readonly (number | null)[]): number | null {
  const known = values.filter((value) => value !== null);
  return known.length > 0 ? mean(known) : null;
}

function teachingOf(all: readonly Habits[]): ReadonlyMap<string, Seconds> {
  const steps = new Set(all.flatMap(({ teachSeconds }) => [...teachSeconds.keys()]));
  return new Map(
    [...steps].map((step) => [step, mean(all.flatMap(({ teachSeconds }) => teachSeconds.get(step) ?? []))]),
  );
}

/** How long a class will likely take its instructor, from its beginning to its end. */
export function predictedSeconds(plan: ClassPlan, usual: Usual): Seconds {
  const own = inOwnVoice(plan, usual);
  const teaching = performedMovements(plan).reduce((sum, step) => {
    const taken = usual.teachSeconds.get(step.id);
    const planned = toSeconds(teachMilliseconds(step, own.voice));
    return taken === undefined || planned === 0 ? sum : sum + timesPerformed(step) * (taken - planned);
  }, 0);
  return wholeMilliseconds((toSeconds(planMilliseconds(own)) + teaching) * (1 + usual.beyond));
}

/** The movements of a plan that are performed. */
export function performedMovements(plan: ClassPlan): MovementStep[] {
  return plan.sections.flatMap(({ steps }) =>
    steps.filter((step): step is MovementStep => isMovement(step) && !step.skipped),
  );
}

/** The plan with the voice and the breath that its instructor really has. */
export function inOwnVoice(plan: ClassPlan, { syllablesPerMinute, breathSeconds }: Usual): ClassPlan {
  return {
    ...plan,
    voice: syllablesPerMinute === null ? plan.voice : { ...plan.voice, syllablesPerMinute },
    pace: breathSeconds === null ? plan.pace : { ...plan.pace, breathSeconds },
  };
}

/** What was planned for a take, what was predicted from those before it, and what then happened. */
export interface Prediction {
  readonly plannedSeconds: Seconds;
  /** `null` for the first take: nothing was known. */
  readonly predictedSeconds: Seconds | null;
  readonly actualSeconds: Seconds | null;
}

/** For takes in the order they were made, each told from those before it. */
export function predictionsOf(takes: readonly KnownTake[]): Prediction[] {
  return takes.map((take, index) => ({
    plannedSeconds: toSeconds(planMilliseconds(take.plan)),
    predictedSeconds: index === 0 ? null : predictedSeconds(take.plan, usualOf(takes.slice(0, index))),
    actualSeconds: take.habits.classSeconds,
  }));
}
