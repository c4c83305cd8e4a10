import { planAfter, planMilliseconds, type ClassPlan, type Edit, type FitWay } from '@/core/plan';
import { toMilliseconds, toSeconds, type Seconds } from '@/core/units';
import { changesOf, editsOf, type FitChange } from './changes';
import { shownCost } from './cost';
import { loosenings, type Loosening } from './loosen';
import type { FitProblem } from './model';
import { modestProblem } from './modest';
import { makeProblem, type FitOptions } from './problem';
import { reachOfProblem, type Reach } from './reach';
import { runThrough, solving, type Solution } from './solve';

export interface Fitted extends Reach {
  readonly feasible: true;
  readonly way: FitWay;
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
  /** The least set of bounds that brings the target within reach, when it lies outside and such a set exists. */
  readonly loosen: readonly Loosening[];
  /** Whether they are enough. */
  readonly enough: boolean;
}

/** The widest the target may be missed by, in milliseconds: just under the second that a fit promises. */
const WIDEST = 999;

/**
 * Fits a plan to its target (or another, in seconds): whole rounds, equal on both sides, in their bounds and
 * multiples; clock-led times in whole rounds; the breath on a grid of 0.1 s in its bounds; quiets, own pace and talks
 * in theirs; steps left out as their priority allows; nothing that is pinned. Ends within a second of the target at
 * the least cost, or says why it cannot.
 */
export function fitPlan(
  plan: ClassPlan,
  targetSeconds: Seconds = plan.targetSeconds,
  options: FitOptions = {},
): Fitted | NotFitted {
  return runThrough(fitting(plan, targetSeconds, options));
}

/** The same in small pieces, so that it can be given up between them. */
export function* fitting(
  plan: ClassPlan,
  targetSeconds: Seconds = plan.targetSeconds,
  options: FitOptions = {},
): Generator<void, Fitted | NotFitted> {
  const target = toMilliseconds(targetSeconds);
  const problem = makeProblem(plan, target, options);
  const { shortest, longest } = reachOfProblem(problem);
  const reach: Reach = { shortestSeconds: toSeconds(shortest), longestSeconds: toSeconds(longest) };
  const outside = target < shortest - WIDEST ? 'below-reach' : target > longest + WIDEST ? 'above-reach' : null;
  if (outside === null) {
    for (const tried of tries(problem)) {
      const solution = yield* solving(tried);
      if (solution) return fitted(plan, tried, solution, reach, options.way ?? 'balanced');
    }
  }
  const reason = outside ?? (target < shortest ? 'below-reach' : target > longest ? 'above-reach' : 'between-rounds');
  const nearestSeconds = reason === 'between-rounds' ? yield* nearest(plan, problem) : null;
  const { found, enough } = loosenings(plan, target, options);
  return { feasible: false, ...reach, reason, nearestSeconds, loosen: found, enough };
}

/**
 * The fit to a runtime, or to the nearest that can be had where it lies outside the reach or in a hole; `null` where
 * there is none. What to relax is not looked for.
 */
export function fitNearest(plan: ClassPlan, targetSeconds: Seconds, options: FitOptions = {}): Fitted | null {
  const asked = makeProblem(plan, toMilliseconds(targetSeconds), options);
  const { shortest, longest } = reachOfProblem(asked);
  const target = Math.min(longest, Math.max(shortest, asked.target));
  const problem = target === asked.target ? asked : makeProblem(plan, target, options);
  const reach: Reach = { shortestSeconds: toSeconds(shortest), longestSeconds: toSeconds(longest) };
  for (let tolerance = WIDEST; tolerance < 2 * target; tolerance *= 4) {
    const widened = { ...problem, tolerance };
    for (const tried of tolerance === WIDEST ? tries(problem) : [widened]) {
      const solution = runThrough(solving(tried));
      if (solution) return fitted(plan, tried, solution, reach, options.way ?? 'balanced');
    }
  }
  return null;
}

/** What is tried, one after the other: small changes alone, then any, then within the second that a fit promises. */
function tries(problem: FitProblem): FitProblem[] {
  const modest = modestProblem(problem);
  const { shortest, longest } = reachOfProblem(modest);
  const landing = problem.elastic.reduce((most, { kind, max }) => (kind === 'landing' ? max : most), problem.tolerance);
  const within = problem.target >= shortest - landing && problem.target <= longest + landing;
  return [...(within ? [modest] : []), problem, { ...problem, tolerance: WIDEST }];
}

/** The reachable runtime nearest to a target that lies in a hole. */
function* nearest(plan: ClassPlan, problem: FitProblem): Generator<void, Seconds | null> {
  for (let tolerance = 2 * WIDEST; tolerance < problem.target; tolerance *= 2) {
    const widened = { ...problem, tolerance };
    const solution = yield* solving(widened);
    if (solution)
      return toSeconds(planMilliseconds(planAfter(plan, together(editsOf(plan, widened, solution.choice)))));
  }
  return null;
}

/** Edits as one, `null` where there are none. */
function together(edits: readonly Edit[]): Edit | null {
  return edits.length > 0 ? { kind: 'together', edits } : null;
}

function fitted(plan: ClassPlan, problem: FitProblem, solution: Solution, reach: Reach, way: FitWay): Fitted {
  const { choice, proven } = solution;
  const edits = editsOf(plan, problem, choice);
  return {
    feasible: true,
    way,
    ...reach,
    runtimeSeconds: toSeconds(planMilliseconds(planAfter(plan, together(edits)))),
    cost: shownCost(choice.cost),
    proven,
    changes: changesOf(plan, edits),
    edit: together(edits),
  };
}
