import { boundAt, hullsOf, type Bound } from './bound';
import type { FitProblem } from './problem';
import { searchBreath, type Choice, type SearchEffort } from './search';

export interface Solution {
  readonly choice: Choice;
  /** Whether nothing cheaper exists; false only when the search had to give labels up. */
  readonly proven: boolean;
  /** Nothing can cost less than this, in billionths. */
  readonly bound: number;
}

/** First cutoff above the least bound, and how much wider each next one is. */
const FIRST_ROOM = 1e7;
const WIDER = 4;

/**
 * The cheapest choice of breath, rounds and quiets that lands on the target; `null` when there is none. Exact: breath
 * lengths are taken in the order of their bound and left unopened above the cutoff, and the first pass that finds
 * anything has found the best. Ties: the breath nearest to the preferred, then the shorter one; then, movement by
 * movement, rounds nearest to the preferred, then the fewer.
 */
export function solve(problem: FitProblem): Solution | null {
  const hulls = hullsOf(problem);
  const bounds = problem.breaths
    .map((breath) => boundAt(problem, hulls, breath))
    .filter((bound): bound is Bound => bound !== null);
  if (bounds.length === 0) return null;
  const order = bounds.map((_, index) => index).sort((a, b) => bounds[a].cost - bounds[b].cost || a - b);
  const least = bounds[order[0]].cost;
  const dearest = costOfEverything(problem);
  const effort: SearchEffort = { labels: 0, cut: false };
  for (let room = FIRST_ROOM; ; room *= WIDER) {
    let cutoff = Math.min(least + room, dearest);
    let best: { readonly choice: Choice; readonly index: number } | null = null;
    for (const index of order) {
      if (bounds[index].cost > cutoff + 0.5) break;
      const choice = searchBreath(problem, bounds[index], cutoff, effort);
      if (!choice) continue;
      const better =
        best === null || choice.cost < best.choice.cost || (choice.cost === best.choice.cost && index < best.index);
      if (better) best = { choice, index };
      cutoff = Math.min(cutoff, choice.cost);
    }
    if (best) return { choice: best.choice, proven: !effort.cut, bound: effort.cut ? least : best.choice.cost };
    if (least + room >= dearest) return null;
  }
}

/** More than any choice can cost. */
function costOfEverything(problem: FitProblem): number {
  const rounds = problem.items.reduce(
    (total, item) => total + Math.max(...item.choices.map((choice) => choice.cost)),
    0,
  );
  const quiets = problem.elastic.reduce((total, item) => total + item.costPerMillisecond * (item.most - item.least), 0);
  return rounds + quiets + Math.max(...problem.breaths.map((breath) => breath.cost)) + 1;
}
