import { describe, expect, it } from 'vitest';
import { makeProblem, reachOf, solve, type FitProblem } from '@/core/pacing';
import { Chance } from '../support/chance';
import { randomPlan } from '../support/random-plan';

/** Every breath and every count of rounds tried; the quiets and the tolerance taken up in order of cost. */
function cheapestOfAll(problem: FitProblem): number | null {
  let best: number | null = null;
  const quiets = [...problem.elastic].sort((a, b) => a.costPerMillisecond - b.costPerMillisecond);
  const preferred = quiets.reduce((sum, quiet) => sum + quiet.preferred, problem.fixed);
  for (const breath of problem.breaths) {
    const visit = (index: number, length: number, cost: number): void => {
      if (index < problem.items.length) {
        for (const choice of problem.items[index].choices) {
          visit(index + 1, length + choice.rounds * breath.unitMilliseconds[index], cost + choice.cost);
        }
        return;
      }
      const off = problem.target - preferred - length;
      let left = Math.max(0, Math.abs(off) - problem.tolerance);
      let total = cost;
      for (const quiet of quiets) {
        const taken = Math.min(left, off > 0 ? quiet.most - quiet.preferred : quiet.preferred - quiet.least);
        total += taken * quiet.costPerMillisecond;
        left -= taken;
      }
      if (left === 0 && (best === null || total < best)) best = total;
    };
    visit(0, 0, breath.cost);
  }
  return best;
}

describe('the fit beside brute force', () => {
  it('costs exactly the same on 300 small seeded plans', () => {
    let feasible = 0;
    for (let seed = 1000; seed < 1300; seed++) {
      const chance = new Chance(seed);
      const plan = randomPlan(chance, { steps: chance.whole(1, 7), breathTenths: 3, choicesAtMost: 5 });
      const { shortestSeconds, longestSeconds } = reachOf(plan);
      // One in ten targets lies outside the reach, where both have to find nothing.
      const spread = chance.yes(0.1) ? 1.4 : 1;
      const target = Math.round(1000 * (shortestSeconds + spread * chance.next() * (longestSeconds - shortestSeconds)));
      const problem = makeProblem(plan, target);
      const best = cheapestOfAll(problem);
      expect(solve(problem)?.choice.cost ?? null, `seed ${seed}`).toBe(best);
      if (best !== null) feasible++;
    }
    expect(feasible).toBeGreaterThan(150);
  });
});
