import { describe, expect, it } from 'vitest';
import { makeProblem, reachOf, solve } from '@/core/pacing';
import { cheapestOfAll } from '../support/brute-force';
import { Random } from '@/core/units';
import { randomPlan } from '../support/random-plan';

describe('the fit beside brute force', () => {
  it('costs exactly the same on 300 small seeded plans', () => {
    let feasible = 0;
    for (let seed = 1000; seed < 1300; seed++) {
      const chance = new Random(seed);
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
