import type { ClassPlan } from '@/core/plan';
import { toMilliseconds, toSeconds, type Milliseconds, type Seconds } from '@/core/units';
import { ChoiceBuffer, roundsMilliseconds, writeChoices } from './choices';
import type { FitProblem } from './model';
import { makeProblem } from './problem';

/** The shortest and longest a plan can be within its bounds and pins, what may be left out left out, in seconds. */
export interface Reach {
  readonly shortestSeconds: Seconds;
  readonly longestSeconds: Seconds;
}

export function reachOf(plan: ClassPlan): Reach {
  const { shortest, longest } = reachOfProblem(makeProblem(plan, toMilliseconds(plan.targetSeconds)));
  return { shortestSeconds: toSeconds(shortest), longestSeconds: toSeconds(longest) };
}

const buffer = new ChoiceBuffer();

/** The least and most that a problem can take at one breath length, in milliseconds. */
export function extremesAt(
  problem: FitProblem,
  at: number,
): { readonly shortest: Milliseconds; readonly longest: Milliseconds } {
  let shortest = problem.fixed;
  let longest = problem.fixed;
  for (const part of problem.elastic) {
    if (part.kind === 'landing') continue;
    shortest += part.min;
    longest += part.max;
  }
  for (const item of problem.items) {
    let min = item.base;
    let max = item.base;
    for (const part of item.elastic) {
      min -= part.preferred - part.min;
      max += part.max - part.preferred;
    }
    if (item.kind.what === 'rounds') {
      const { rounds } = item.kind;
      const unit = item.unitMilliseconds[at] ?? 0;
      min += roundsMilliseconds(item, at, 0, unit);
      max += roundsMilliseconds(item, at, rounds.length - 1, unit);
    } else if (item.kind.what === 'clock') {
      writeChoices(item, at, problem.weights, buffer);
      min += (buffer.milliseconds[buffer.out + 1] ?? 0) - item.base;
      max += (buffer.milliseconds[buffer.size - 1] ?? 0) - item.base;
    }
    shortest += item.outCost === null ? min : Math.min(0, min);
    longest += max;
  }
  return { shortest, longest };
}

/** The same over every breath length: clock-led steps are not monotone in the breath. */
export function reachOfProblem(problem: FitProblem): {
  readonly shortest: Milliseconds;
  readonly longest: Milliseconds;
} {
  let shortest = Infinity;
  let longest = -Infinity;
  problem.breaths.forEach((_, at) => {
    const found = extremesAt(problem, at);
    shortest = Math.min(shortest, found.shortest);
    longest = Math.max(longest, found.longest);
  });
  return { shortest, longest };
}
