import type { Milliseconds } from '@/core/units';
import type { ElasticItem, FitProblem } from './problem';

/** Quiets in the order they give way: the cheapest first, then as they stand in the class. */
function byCost(elastic: readonly ElasticItem[]): ElasticItem[] {
  return [...elastic].sort((a, b) => a.costPerMillisecond - b.costPerMillisecond);
}

/**
 * The least cost, in billionths, of taking up `remainder` milliseconds (negative: giving them back) with the free
 * stretch around the target and the quiets; `null` when they cannot.
 */
export function tailCost(problem: FitProblem, remainder: Milliseconds): number | null {
  const changes = stretchQuiets(problem, remainder);
  if (!changes) return null;
  return problem.elastic.reduce(
    (total, item, index) => total + Math.abs(changes[index] - item.preferred) * item.costPerMillisecond,
    0,
  );
}

/** The length of each quiet at that least cost, in the problem's order; `null` when they cannot take it up. */
export function stretchQuiets(problem: FitProblem, remainder: Milliseconds): Milliseconds[] | null {
  let left = Math.max(0, Math.abs(remainder) - problem.tolerance);
  const lengths = new Map<ElasticItem, number>(problem.elastic.map((item) => [item, item.preferred]));
  if (left > 0) {
    for (const item of byCost(problem.elastic)) {
      const room = remainder > 0 ? item.most - item.preferred : item.preferred - item.least;
      const taken = Math.min(left, room);
      lengths.set(item, item.preferred + (remainder > 0 ? taken : -taken));
      left -= taken;
      if (left <= 0) break;
    }
  }
  return left > 0 ? null : problem.elastic.map((item) => lengths.get(item) ?? item.preferred);
}
