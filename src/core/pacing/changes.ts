import {
  findStep,
  LIMITS,
  planAfter,
  roundsOf,
  stepMilliseconds,
  stepPaces,
  stepsInOrder,
  type ClassPlan,
  type Edit,
  type Step,
} from '@/core/plan';
import { sameTime, toSeconds, type Seconds } from '@/core/units';
import type { FitProblem } from './model';
import type { Choice } from './search';
import { stretch } from './tail';

/** One thing a fit changed. */
export interface FitChange {
  readonly what: 'breath' | 'rounds' | 'clock' | 'time' | 'tempo' | 'left-out' | 'brought-back';
  /** `null` for the breath of the whole class. */
  readonly stepId: string | null;
  /** Seconds of breath, rounds, seconds, or tempo; 0 and 1 where a step is left out or brought back. */
  readonly from: number;
  readonly to: number;
  /** What it does to the runtime; the changes of a fit add up to its difference. The breath counts first. */
  readonly seconds: Seconds;
}

/** The edits that make a plan what a choice says. */
export function editsOf(plan: ClassPlan, problem: FitProblem, choice: Choice): Edit[] {
  const edits: Edit[] = [];
  const breathSeconds = choice.tenths / 10;
  if (!sameTime(breathSeconds, plan.pace.breathSeconds)) {
    edits.push({ kind: 'set-plan', field: 'pace', value: { ...plan.pace, breathSeconds } });
  }
  const steps = new Map(stepsInOrder(plan).map(({ step }) => [step.id, step]));
  const set = (stepId: string, field: string, value: number | boolean): void => {
    const step = steps.get(stepId) as unknown as Readonly<Record<string, unknown>> | undefined;
    if (!step) return;
    const now = step[field];
    const same = typeof now === 'number' && typeof value === 'number' ? Math.abs(now - value) < 1e-9 : now === value;
    if (!same) edits.push({ kind: 'set-step', stepId, field, value });
  };
  problem.items.forEach((item, index) => {
    const { rounds, out } = choice.picks[index];
    for (const member of item.members) set(member, 'leftOut', out);
    if (out) return;
    if (item.kind.what === 'rounds') set(item.stepId, 'rounds', rounds);
    else if (item.kind.what === 'clock' && item.kind.pinnedTo === null) {
      set(item.stepId, 'seconds', countedSeconds(rounds * item.unitMilliseconds[choice.at]));
    }
  });
  const lengths = stretch(choice.elastic, problem.tolerance, choice.remainder) ?? [];
  choice.elastic.forEach((item, index) => {
    const step = steps.get(item.stepId);
    if (step?.kind === 'talk') {
      const plain = stepMilliseconds({ ...step, tempo: 1, leftOut: false }, undefined, 0, plan.voice);
      set(item.stepId, 'tempo', lengths[index] / plain);
    } else set(item.stepId, 'seconds', toSeconds(lengths[index]));
  });
  const decided = new Set(problem.items.flatMap((item) => item.members));
  for (const step of steps.values()) {
    if (!decided.has(step.id) && !step.pinned) set(step.id, 'leftOut', problem.absent.has(step.id));
  }
  return edits;
}

/** A counted time as a step can hold it; rounds are found from it again. */
function countedSeconds(milliseconds: number): Seconds {
  const { least, most } = LIMITS.quietSeconds;
  return Math.min(most, Math.max(least, toSeconds(milliseconds)));
}

/** What edits of a fit change, with the seconds of each; they add up exactly. */
export function changesOf(plan: ClassPlan, edits: readonly Edit[]): FitChange[] {
  const changes: FitChange[] = [];
  const breathEdit = edits.find((edit) => edit.kind === 'set-plan');
  const breathed = breathEdit ? planAfter(plan, breathEdit) : plan;
  const after = planAfter(breathed, { kind: 'together', edits: edits.filter((edit) => edit !== breathEdit) });
  const paces = stepPaces(plan);
  const lengthOf = (step: Step, of: ClassPlan): number =>
    stepMilliseconds(step, paces.get(step.id), of.pace.breathSeconds, of.voice);
  if (breathed !== plan) {
    const gain = stepsInOrder(plan).reduce((sum, { step }) => sum + lengthOf(step, breathed) - lengthOf(step, plan), 0);
    const [from, to] = [plan.pace.breathSeconds, breathed.pace.breathSeconds];
    changes.push({ what: 'breath', stepId: null, from, to, seconds: toSeconds(gain) });
  }
  const touched = new Set(edits.flatMap((edit) => (edit.kind === 'set-step' ? [edit.stepId] : [])));
  for (const { step: now } of stepsInOrder(plan)) {
    if (!touched.has(now.id)) continue;
    const then = findStep(after, now.id)?.step;
    if (!then) continue;
    const seconds = toSeconds(lengthOf(then, after) - lengthOf(now, breathed));
    const change = changeOfStep(now, then, (step, of) => {
      const pace = paces.get(step.id);
      return pace && step.kind === 'movement'
        ? roundsOf(step, pace, (of === 'now' ? plan : after).pace.breathSeconds)
        : 0;
    });
    if (change) changes.push({ ...change, stepId: now.id, seconds });
  }
  return changes;
}

function changeOfStep(
  now: Step,
  then: Step,
  rounds: (step: Step, of: 'now' | 'after') => number,
): Pick<FitChange, 'what' | 'from' | 'to'> | null {
  if (now.leftOut !== then.leftOut) {
    return then.leftOut ? { what: 'left-out', from: 1, to: 0 } : { what: 'brought-back', from: 0, to: 1 };
  }
  if (now.kind === 'talk' && then.kind === 'talk') return { what: 'tempo', from: now.tempo, to: then.tempo };
  if (now.kind === 'quiet' && then.kind === 'quiet') return { what: 'time', from: now.seconds, to: then.seconds };
  if (now.kind !== 'movement' || then.kind !== 'movement') return null;
  if (now.lead === 'own') return { what: 'time', from: now.seconds, to: then.seconds };
  const [from, to] = [rounds(now, 'now'), rounds(then, 'after')];
  if (now.lead === 'clock') return { what: 'clock', from, to };
  return from === to ? null : { what: 'rounds', from, to };
}
