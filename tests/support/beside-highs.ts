import { fitPlan, makeProblem, reachOf, solve } from '@/core/pacing';
import { applyEdit, FIT_WAYS, landingSecondsOf, planMilliseconds } from '@/core/plan';
import { expandPlan } from '@/core/timeline';
import { Random } from '@/core/units';
import { cheapestByHighs } from './milp-reference';
import { randomPlan } from './random-plan';

/** What came of fitting one random plan by our solver and by HiGHS. */
export interface Beside {
  readonly seed: number;
  readonly feasible: boolean;
  /** How far apart the two costs are; infinite when only one of the two found a fit. */
  readonly gap: number;
  readonly proven: boolean;
  /** How far the fitted plan's timeline is from the target, in seconds; 0 where nothing fits. */
  readonly offSeconds: number;
  /** How far it may be, at a cost. */
  readonly landingSeconds: number;
  /** How far the timeline is from the length the fit promised, in milliseconds. */
  readonly brokenPromise: number;
}

/** Fits the random plan of a seed by both. */
export async function besideHighs(seed: number): Promise<Beside> {
  const chance = new Random(seed);
  const drawn = randomPlan(chance, { steps: chance.whole(3, 16), breathTenths: 3, choicesAtMost: 6 });
  // Half of them have to land on the second.
  const plan = { ...drawn, landingSeconds: seed % 2 === 0 ? 0 : null };
  const way = chance.pick(FIT_WAYS);
  const { shortestSeconds, longestSeconds } = reachOf(plan);
  const target = Math.max(10, Math.round(shortestSeconds + chance.next() * (longestSeconds - shortestSeconds)));
  const problem = makeProblem(plan, target * 1000, { way });
  const ours = solve(problem);
  const theirs = await cheapestByHighs(problem);
  const none = { seed, feasible: false, proven: true, offSeconds: 0, landingSeconds: 0, brokenPromise: 0 };
  if (ours === null || theirs === null) return { ...none, gap: ours === null && theirs === null ? 0 : Infinity };
  const gap = Math.abs(ours.choice.cost / 1e9 - theirs);
  const fit = fitPlan(plan, target, { way });
  if (!fit.feasible) return { ...none, gap: Infinity };
  const applied = fit.edit ? applyEdit(plan, fit.edit) : null;
  const landed = applied?.ok ? applied.value.plan : plan;
  const { runtimeSeconds } = expandPlan(landed);
  return {
    seed,
    feasible: true,
    gap,
    proven: ours.proven,
    offSeconds: Math.abs(runtimeSeconds - target),
    landingSeconds: landingSecondsOf(plan, target),
    brokenPromise: Math.max(
      Math.abs(runtimeSeconds - fit.runtimeSeconds) * 1000,
      Math.abs(planMilliseconds(landed) - runtimeSeconds * 1000),
    ),
  };
}
