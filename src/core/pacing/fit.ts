import { findStep, type ClassPlan, type Edit, type Json } from '@/core/plan';
import { sameTime, toMilliseconds, toSeconds, type Seconds } from '@/core/units';
import { shownCost } from './cost';
import { loosenings, type Loosening } from './loosen';
import { makeProblem, TOLERANCE, type FitProblem } from './problem';
import { reachOfProblem, type Reach } from './reach';
import { solve, type Solution } from './solve';
import { stretchQuiets } from './tail';

/** One thing a fit changed, with what it does to the runtime by itself. */
export interface FitChange {
  readonly what: 'breath' | 'rounds' | 'quiet';
  readonly stepId: string | null;
  readonly from: number;
  readonly to: number;
}

export interface Fitted extends Reach {
  readonly feasible: true;
  readonly runtimeSeconds: Seconds;
  /** As stated in `docs/pacing.md`; 0 when everything is as it was asked for. */
  readonly cost: number;
  readonly proven: boolean;
  readonly changes: readonly FitChange[];
  /** The edit that takes the fit; `null` when nothing changes. */
  readonly edit: Edit | null;
}

export interface NotFitted extends Reach {
  readonly feasible: false;
  /** Outside the reach, or in a hole between lengths that whole rounds can make. */
  readonly reason: 'below-reach' | 'above-reach' | 'between-rounds';
  /** In a hole: the runtime nearest to the target that can be had. */
  readonly nearestSeconds: Seconds | null;
  readonly loosen: readonly Loosening[];
}

/** The widest the target may be missed by, in milliseconds: just under the second that a fit promises. */
const WIDEST = 999;

/**
 * Fits a plan to its target (or another, in seconds): whole rounds, equal on both sides, in their bounds and
 * multiples; the breath on a grid of 0.1 s in its bounds; quiets in theirs; nothing that is pinned. Ends within a
 * second of the target at the least cost, or says why it cannot.
 */
export function fitPlan(plan: ClassPlan, targetSeconds: Seconds = plan.targetSeconds): Fitted | NotFitted {
  const target = toMilliseconds(targetSeconds);
  const problem = makeProblem(plan, target);
  const { shortest, longest } = reachOfProblem(problem);
  const reach: Reach = { shortestSeconds: toSeconds(shortest), longestSeconds: toSeconds(longest) };
  for (const tolerance of [TOLERANCE, WIDEST]) {
    const tried = { ...problem, tolerance };
    const solution = solve(tried);
    if (solution) return fitted(plan, tried, solution, reach);
  }
  const reason = target < shortest ? 'below-reach' : target > longest ? 'above-reach' : 'between-rounds';
  return {
    feasible: false,
    ...reach,
    reason,
    nearestSeconds: reason === 'between-rounds' ? nearest(problem) : null,
    loosen: loosenings(plan, target),
  };
}

/** The reachable runtime nearest to a target that lies in a hole. */
function nearest(problem: FitProblem): Seconds | null {
  for (let tolerance = 2 * WIDEST; tolerance < problem.target; tolerance *= 2) {
    const widened = { ...problem, tolerance };
    const solution = solve(widened);
    if (solution) return toSeconds(runtimeOf(widened, solution));
  }
  return null;
}

function runtimeOf(problem: FitProblem, { choice }: Solution): number {
  const lengths = stretchQuiets(problem, choice.remainder) ?? [];
  const elastic = problem.elastic.reduce((total, item) => total + item.preferred, 0);
  return problem.target - choice.remainder - elastic + lengths.reduce((total, length) => total + length, 0);
}

function fitted(plan: ClassPlan, problem: FitProblem, solution: Solution, reach: Reach): Fitted {
  const { choice, proven } = solution;
  const changes: FitChange[] = [];
  const edits: Edit[] = [];
  const breathSeconds = choice.tenths / 10;
  if (!sameTime(breathSeconds, plan.pace.breathSeconds)) {
    changes.push({ what: 'breath', stepId: null, from: plan.pace.breathSeconds, to: breathSeconds });
    const pace: Json = { ...plan.pace, breathSeconds };
    edits.push({ kind: 'set-plan', field: 'pace', value: pace });
  }
  const set = (what: 'rounds' | 'quiet', stepId: string, field: 'rounds' | 'seconds', to: number): void => {
    const step = findStep(plan, stepId)?.step;
    const from = step?.kind === 'movement' ? step.rounds : step?.kind === 'quiet' ? step.seconds : to;
    if (sameTime(from, to)) return;
    changes.push({ what, stepId, from, to });
    edits.push({ kind: 'set-step', stepId, field, value: to });
  };
  problem.items.forEach((item, index) => set('rounds', item.stepId, 'rounds', choice.rounds[index]));
  const lengths = stretchQuiets(problem, choice.remainder) ?? [];
  problem.elastic.forEach((item, index) => set('quiet', item.stepId, 'seconds', toSeconds(lengths[index])));
  return {
    feasible: true,
    ...reach,
    runtimeSeconds: toSeconds(runtimeOf(problem, solution)),
    cost: shownCost(choice.cost),
    proven,
    changes,
    edit: edits.length > 0 ? { kind: 'together', edits } : null,
  };
}
