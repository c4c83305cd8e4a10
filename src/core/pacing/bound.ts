import type { BreathChoice, FitProblem, RoundsChoice } from './problem';

/** What the relaxed problem at one breath length tells: no choice of whole rounds can cost less than `cost`. */
export interface Bound {
  readonly breath: BreathChoice;
  readonly cost: number;
  /** Billionths a millisecond of runtime: what a little more length would cost. */
  readonly multiplier: number;
}

interface Piece {
  readonly slope: number;
  readonly length: number;
}

/** Lower convex hulls over (rounds, cost) of every item; they do not depend on the breath. */
export function hullsOf(problem: FitProblem): readonly (readonly RoundsChoice[])[] {
  return problem.items.map((item) => lowerHull(item.choices));
}

function lowerHull(choices: readonly RoundsChoice[]): RoundsChoice[] {
  const hull: RoundsChoice[] = [];
  for (const choice of choices) {
    while (
      hull.length >= 2 &&
      slope(hull[hull.length - 2], hull[hull.length - 1]) >= slope(hull[hull.length - 2], choice)
    ) {
      hull.pop();
    }
    hull.push(choice);
  }
  return hull;
}

function slope(a: RoundsChoice, b: RoundsChoice): number {
  return (b.cost - a.cost) / (b.rounds - a.rounds);
}

/**
 * The bound at one breath length, `null` when no lengths there can reach the target. All hull pieces, the quiets'
 * two slopes and the free stretch around the target are laid end to end from the cheapest.
 */
export function boundAt(
  problem: FitProblem,
  hulls: readonly (readonly RoundsChoice[])[],
  breath: BreathChoice,
): Bound | null {
  const pieces: Piece[] = [{ slope: 0, length: 2 * problem.tolerance }];
  let shortest = problem.fixed - problem.tolerance;
  let cost = breath.cost;
  hulls.forEach((hull, index) => {
    const unit = breath.unitMilliseconds[index];
    shortest += unit * hull[0].rounds;
    cost += hull[0].cost;
    for (let at = 1; at < hull.length; at++) {
      const length = unit * (hull[at].rounds - hull[at - 1].rounds);
      pieces.push({ slope: (hull[at].cost - hull[at - 1].cost) / length, length });
    }
  });
  for (const item of problem.elastic) {
    shortest += item.least;
    cost += item.costPerMillisecond * (item.preferred - item.least);
    pieces.push({ slope: -item.costPerMillisecond, length: item.preferred - item.least });
    pieces.push({ slope: item.costPerMillisecond, length: item.most - item.preferred });
  }
  let needed = problem.target - shortest;
  if (needed < 0) return null;
  pieces.sort((a, b) => a.slope - b.slope);
  let multiplier = pieces[0].slope;
  for (const piece of pieces) {
    if (needed <= 0) break;
    const taken = Math.min(needed, piece.length);
    if (taken <= 0) continue;
    cost += taken * piece.slope;
    needed -= taken;
    multiplier = piece.slope;
  }
  return needed > 0 ? null : { breath, cost, multiplier };
}
