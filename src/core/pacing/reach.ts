import type { ClassPlan } from '@/core/plan';
import { toMilliseconds, toSeconds, type Milliseconds, type Seconds } from '@/core/units';
import { makeProblem, type FitProblem } from './problem';

/** The shortest and longest a plan can be within its bounds and pins, in seconds. */
export interface Reach {
  readonly shortestSeconds: Seconds;
  readonly longestSeconds: Seconds;
}

export function reachOf(plan: ClassPlan): Reach {
  const { shortest, longest } = reachOfProblem(makeProblem(plan, toMilliseconds(plan.targetSeconds)));
  return { shortestSeconds: toSeconds(shortest), longestSeconds: toSeconds(longest) };
}

/** The same in whole milliseconds, with the breath (in tenths) that each is reached at. */
export function reachOfProblem(problem: FitProblem): {
  readonly shortest: Milliseconds;
  readonly longest: Milliseconds;
  readonly shortestTenths: number;
  readonly longestTenths: number;
} {
  let shortest = Infinity;
  let longest = -Infinity;
  let shortestTenths = 0;
  let longestTenths = 0;
  const least = problem.elastic.reduce((total, item) => total + item.least, problem.fixed);
  const most = problem.elastic.reduce((total, item) => total + item.most, problem.fixed);
  for (const breath of problem.breaths) {
    let short = least;
    let long = most;
    problem.items.forEach((item, index) => {
      short += breath.unitMilliseconds[index] * item.choices[0].rounds;
      long += breath.unitMilliseconds[index] * item.choices[item.choices.length - 1].rounds;
    });
    if (short < shortest) [shortest, shortestTenths] = [short, breath.tenths];
    if (long > longest) [longest, longestTenths] = [long, breath.tenths];
  }
  return { shortest, longest, shortestTenths, longestTenths };
}
