import {
  movementRoundMilliseconds,
  paceMultipliers,
  quietMilliseconds,
  quietWordsMilliseconds,
  sideChangeMilliseconds,
  sideCount,
  stepsInOrder,
  talkMilliseconds,
  teachMilliseconds,
  transitionMilliseconds,
  type ClassPlan,
  type MovementStep,
  type QuietStep,
} from '@/core/plan';
import { toMilliseconds, type Milliseconds } from '@/core/units';
import { breathCost, quietCostPerMillisecond, roundsCost } from './cost';

/** One choice of rounds for a movement. */
export interface RoundsChoice {
  readonly rounds: number;
  /** In billionths, whole. */
  readonly cost: number;
}

/** A movement whose rounds may change, or the single count it is pinned to. Choices are ordered by rounds. */
export interface RoundsItem {
  readonly stepId: string;
  readonly preferred: number;
  readonly choices: readonly RoundsChoice[];
}

/** A quiet that may stretch and shrink. */
export interface ElasticItem {
  readonly stepId: string;
  readonly least: Milliseconds;
  readonly preferred: Milliseconds;
  readonly most: Milliseconds;
  readonly costPerMillisecond: number;
}

/** One breath length with everything that follows from it. */
export interface BreathChoice {
  /** Opening breath in tenths of a second. */
  readonly tenths: number;
  readonly cost: number;
  /** For each item, the length of one count of its rounds: a round on every side. */
  readonly unitMilliseconds: Float64Array;
}

/** A plan seen by the fit: what is fixed, what may be chosen, what may stretch. */
export interface FitProblem {
  readonly target: Milliseconds;
  /** Free on either side of the target. */
  readonly tolerance: Milliseconds;
  readonly fixed: Milliseconds;
  readonly items: readonly RoundsItem[];
  readonly elastic: readonly ElasticItem[];
  /** In order of cost, then of length. */
  readonly breaths: readonly BreathChoice[];
}

/** Free around the target: just under half a second, so that the runtime still reads as the target in `m:ss`. */
export const TOLERANCE: Milliseconds = 499;

/** Makes the problem of fitting `plan` to `target`. */
export function makeProblem(plan: ClassPlan, target: Milliseconds, tolerance: Milliseconds = TOLERANCE): FitProblem {
  const multipliers = paceMultipliers(plan);
  const movements: MovementStep[] = [];
  const elastic: ElasticItem[] = [];
  let fixed = 0;
  for (const { step } of stepsInOrder(plan)) {
    if (step.kind === 'movement') {
      movements.push(step);
      fixed += teachMilliseconds(step, plan.voice) + sideChangeMilliseconds(step, plan.voice);
    } else if (step.kind === 'talk') fixed += talkMilliseconds(step, plan.voice);
    else if (step.kind === 'transition') fixed += transitionMilliseconds(step, plan.voice);
    else if (step.pinned) fixed += quietMilliseconds(step, plan.voice);
    else elastic.push(elasticOf(step, plan));
  }
  const items = movements.map(itemOf);
  const preferredTenths = Math.round(plan.pace.preferredBreathSeconds * 10);
  const breaths = breathTenths(plan).map((tenths): BreathChoice => {
    const unit = new Float64Array(movements.length);
    movements.forEach((step, index) => {
      const multiplier = multipliers.get(step.id) ?? 1;
      unit[index] = sideCount(step.sides) * movementRoundMilliseconds(step, multiplier, tenths / 10, plan.pace.inShare);
    });
    return { tenths, cost: breathCost(tenths, preferredTenths, movements.length), unitMilliseconds: unit };
  });
  breaths.sort((a, b) => a.cost - b.cost || a.tenths - b.tenths);
  return { target, tolerance, fixed, items, elastic, breaths };
}

/**
 * Opening breaths the fit may choose, in tenths: those inside the bounds at the opening and at the closing. Only the
 * present one when pinned, or when the bounds leave none.
 */
function breathTenths(plan: ClassPlan): number[] {
  const { pace } = plan;
  if (pace.pinned) return [pace.breathSeconds * 10];
  const least = Math.ceil(pace.leastBreathSeconds * 10 - 1e-6);
  const most = Math.floor(pace.mostBreathSeconds * 10 + 1e-6);
  const found: number[] = [];
  for (let tenths = least; tenths <= most; tenths++) {
    const closing = tenths * pace.closingRatio;
    if (closing >= least - 1e-6 && closing <= most + 1e-6) found.push(tenths);
  }
  return found.length > 0 ? found : [pace.breathSeconds * 10];
}

/** Rounds a movement may take: its bounds in its multiple, or its own count alone when pinned or none is left. */
export function allowedRounds(step: MovementStep): number[] {
  const found: number[] = [];
  if (!step.pinned) {
    const first = Math.ceil(step.leastRounds / step.multiple) * step.multiple;
    for (let rounds = first; rounds <= step.mostRounds; rounds += step.multiple) found.push(rounds);
  }
  return found.length > 0 ? found : [step.rounds];
}

function itemOf(step: MovementStep): RoundsItem {
  const choices = allowedRounds(step).map((rounds) => ({
    rounds,
    cost: step.pinned ? 0 : roundsCost(rounds, step.preferredRounds),
  }));
  return { stepId: step.id, preferred: step.preferredRounds, choices };
}

function elasticOf(step: QuietStep, plan: ClassPlan): ElasticItem {
  const least = Math.max(toMilliseconds(step.leastSeconds), quietWordsMilliseconds(step, plan.voice));
  const most = Math.max(least, toMilliseconds(step.mostSeconds));
  const preferred = Math.min(most, Math.max(least, toMilliseconds(step.preferredSeconds)));
  return { stepId: step.id, least, preferred, most, costPerMillisecond: quietCostPerMillisecond(preferred) };
}
