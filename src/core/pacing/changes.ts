import {
  contractOf,
  findStep,
  isMovement,
  LIMITS,
  planAfter,
  setFields,
  setPlan,
  stepMilliseconds,
  stepPaces,
  stepsInOrder,
  timesPerformed,
  type ClassPlan,
  type Edit,
  type Step,
  type Tempo,
} from '@/core/plan';
import { itemAt, sameTime, toSeconds, type Seconds } from '@/core/units';
import type { FitProblem } from './model';
import type { Choice } from './search';
import { stretch } from './tail';
import { shareOut } from './ties';

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
  const edits: (Edit | null)[] = [];
  const breathSeconds = choice.tenths / 10;
  if (!sameTime(breathSeconds, plan.pace.breathSeconds)) {
    edits.push(setPlan('pace', { ...plan.pace, breathSeconds }));
  }
  const steps = new Map(stepsInOrder(plan).map(({ step }) => [step.id, step]));
  const skip = (stepId: string, out: boolean): void => {
    const step = steps.get(stepId);
    if (step) edits.push(setFields(step, { skipped: out }));
  };
  problem.items.forEach((item, index) => {
    const { rounds, out } = itemAt(choice.picks, index);
    for (const member of item.members) skip(member, out);
    const step = steps.get(item.stepId);
    if (out || !isMovement(step)) return;
    if (item.kind.what === 'rounds') {
      for (const { stepId } of item.tied) {
        const one = steps.get(stepId);
        if (isMovement(one)) edits.push(setFields(one, { rounds }));
      }
    } else if (item.kind.what === 'clock' && item.kind.pinnedTo === null) {
      edits.push(
        settingNumbers(step, {
          seconds: countedSeconds((rounds * (item.unitMilliseconds[choice.at] ?? 0)) / (item.tied[0]?.times ?? 1)),
        }),
      );
    }
  });
  const lengths = stretch(choice.elastic, problem.tolerance, choice.remainder) ?? [];
  choice.elastic.forEach((item, index) => {
    for (const { part, milliseconds } of shareOut(item, lengths[index] ?? 0)) {
      const step = steps.get(part.stepId);
      const once = Math.floor(milliseconds / part.times);
      if (step) edits.push(settingNumbers(step, contractOf(step).stretched(step, once, plan.voice)));
    }
  });
  const decided = new Set(problem.items.flatMap((item) => item.members));
  for (const step of steps.values()) {
    if (!decided.has(step.id) && !step.pinned) skip(step.id, problem.absent.has(step.id));
  }
  return edits.filter((edit) => edit !== null);
}

/** Sets the fields whose numbers differ by more than arithmetic does. */
function settingNumbers<One extends Step>(step: One, fields: Partial<One>): Edit | null {
  const differs = (Object.keys(fields) as (keyof One)[]).some((field) => {
    const [now, then] = [step[field], fields[field]];
    return typeof now === 'number' && typeof then === 'number' ? Math.abs(now - then) >= 1e-9 : now !== then;
  });
  return differs ? setFields(step, fields) : null;
}

/** A counted time as a step can hold it; rounds are found from it again. */
function countedSeconds(milliseconds: number): Seconds {
  const { min, max } = LIMITS.countedSeconds;
  return Math.min(max, Math.max(min, toSeconds(milliseconds)));
}

/** What edits of a fit change, with the seconds of each; they add up exactly. */
export function changesOf(plan: ClassPlan, edits: readonly Edit[]): FitChange[] {
  const changes: FitChange[] = [];
  const breathEdit = edits.find((edit) => edit.kind === 'set-plan');
  const breathed = breathEdit ? planAfter(plan, breathEdit) : plan;
  const after = planAfter(breathed, { kind: 'together', edits: edits.filter((edit) => edit !== breathEdit) });
  const paces = stepPaces(plan);
  const lengthOf = (step: Step, of: ClassPlan): number =>
    timesPerformed(step) * stepMilliseconds(step, paces.get(step.id), of.pace.breathSeconds, of.voice);
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
    const pace = paces.get(now.id) ?? NO_PACE;
    const tempoIn = (of: ClassPlan): Tempo => ({ voice: of.voice, breathSeconds: of.pace.breathSeconds, pace });
    const change = changeOfStep([now, tempoIn(plan)], [then, tempoIn(after)]);
    if (change) changes.push({ ...change, stepId: now.id, seconds });
  }
  return changes;
}

/** Of steps whose length no breath changes. */
const NO_PACE = { multiplier: 1, inhaleShare: 0.5 };

function changeOfStep(
  [now, tempoNow]: readonly [Step, Tempo],
  [then, tempoThen]: readonly [Step, Tempo],
): Pick<FitChange, 'what' | 'from' | 'to'> | null {
  if (now.skipped !== then.skipped) {
    return then.skipped ? { what: 'left-out', from: 1, to: 0 } : { what: 'brought-back', from: 0, to: 1 };
  }
  const contract = contractOf(now);
  const wish = contract.wish(now);
  const wished = contractOf(then).wish(then);
  if (!wish || !wished) return null;
  const counted = contract.counted(now, tempoNow);
  if (!counted) return { what: wish.what, from: wish.value, to: wished.value };
  const [from, to] = [counted.rounds, contractOf(then).counted(then, tempoThen)?.rounds ?? 0];
  if (wish.what === 'time') return { what: 'clock', from, to };
  if (from !== to) return { what: 'rounds', from, to };
  // After rounds that are led, the time at one's own pace.
  const timed = isMovement(now) && isMovement(then) && now.seconds !== then.seconds;
  return timed ? { what: 'time', from: now.seconds, to: then.seconds } : null;
}
