import { itemAt } from '@/core/units';
import { Bounding, type Bound } from './bound';
import type { FitProblem } from './model';
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
 * The cheapest choice of breath, rounds, steps left out and elastic times that lands on the target; `null` when there
 * is none. Exact: breath lengths are taken in the order of their bound and left unopened above the cutoff, and the
 * first pass that finds anything has found the best. Ties: the breath nearest to the preferred, then the shorter one;
 * then, step by step, what costs less by itself, then fewer rounds, then leaving out. Yields now and then, so that it
 * can be given up.
 */
export function* solving(problem: FitProblem): Generator<void, Solution | null> {
  const bounding = new Bounding(problem);
  const bounds = problem.breaths.map((_, at) => bounding.at(at)).filter((bound): bound is Bound => bound !== null);
  if (bounds.length === 0) return null;
  const rank = rankOf(problem);
  const order = [...bounds].sort((a, b) => a.cost - b.cost || (rank[a.at] ?? 0) - (rank[b.at] ?? 0));
  const min = itemAt(order, 0).cost;
  const dearest = bounding.costOfEverything();
  const effort: SearchEffort = { labels: 0, cut: false };
  for (let room = FIRST_ROOM; ; room *= WIDER) {
    let cutoff = Math.min(min + room, dearest);
    let best: Choice | null = null;
    for (const bound of order) {
      if (bound.cost > cutoff + 0.5) break;
      yield;
      const choice = yield* searchBreath(problem, bounding, bound, cutoff, effort);
      if (!choice) continue;
      const better =
        best === null ||
        choice.cost < best.cost ||
        (choice.cost === best.cost && (rank[choice.at] ?? 0) < (rank[best.at] ?? 0));
      if (better) best = choice;
      cutoff = Math.min(cutoff, choice.cost);
    }
    if (best) return { choice: best, proven: !effort.cut, bound: effort.cut ? min : best.cost };
    if (min + room >= dearest) return null;
  }
}

/** The same in one go. */
export function solve(problem: FitProblem): Solution | null {
  return runThrough(solving(problem));
}

/** Runs a search that yields to its end. */
export function runThrough<Value>(search: Generator<void, Value>): Value {
  for (;;) {
    const step = search.next();
    if (step.done) return step.value;
  }
}

/** Place of each breath length: nearest to the preferred first, the shorter of two as near. */
function rankOf(problem: FitProblem): readonly number[] {
  const order = problem.breaths.map((_, at) => at);
  const far = (at: number): number => Math.abs(itemAt(problem.breaths, at).tenths - problem.preferredTenths);
  order.sort((a, b) => far(a) - far(b) || a - b);
  const rank = new Array<number>(order.length);
  order.forEach((at, place) => (rank[at] = place));
  return rank;
}
