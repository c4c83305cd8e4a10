import { describe, expect, it } from 'vitest';
import { fitPlan, makeProblem, reachOf, solve } from '@/core/pacing';
import { applyEdit } from '@/core/plan';
import { expandPlan } from '@/core/timeline';
import { Chance } from '../support/chance';
import { cheapestByHighs } from '../support/milp-reference';
import { randomPlan } from '../support/random-plan';

const PLANS = 120;

describe('the fit beside HiGHS, an exact mixed-integer solver', () => {
  it(`costs the same on ${PLANS} seeded random plans and lands where it says`, async () => {
    let feasible = 0;
    for (let seed = 1; seed <= PLANS; seed++) {
      const chance = new Chance(seed);
      const plan = randomPlan(chance, { steps: chance.whole(3, 16), breathTenths: 3, choicesAtMost: 6 });
      const reach = reachOf(plan);
      const target = Math.round(reach.shortestSeconds + chance.next() * (reach.longestSeconds - reach.shortestSeconds));
      const problem = makeProblem(plan, target * 1000);
      const ours = solve(problem);
      const theirs = await cheapestByHighs(problem);
      if (theirs === null || ours === null) {
        expect(ours === null, `seed ${seed}: only one of the two found a fit`).toBe(theirs === null);
        continue;
      }
      feasible++;
      expect(ours.proven, `seed ${seed}`).toBe(true);
      expect(
        Math.abs(ours.choice.cost / 1e9 - theirs),
        `seed ${seed}: ours ${ours.choice.cost / 1e9}, HiGHS ${theirs}`,
      ).toBeLessThan(2e-6);
      const fit = fitPlan(plan, target);
      if (!fit.feasible) throw new Error(`seed ${seed}: solve found a fit and fitPlan did not`);
      const applied = fit.edit ? applyEdit(plan, fit.edit) : null;
      const fittedPlan = applied?.ok ? applied.value.plan : plan;
      const { runtimeSeconds } = expandPlan(fittedPlan);
      expect(runtimeSeconds, `seed ${seed}`).toBeCloseTo(fit.runtimeSeconds, 6);
      expect(Math.abs(runtimeSeconds - target), `seed ${seed}`).toBeLessThan(1);
    }
    expect(feasible).toBeGreaterThanOrEqual(100);
  }, 300_000);
});
