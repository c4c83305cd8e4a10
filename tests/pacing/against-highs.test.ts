import { describe, expect, it } from 'vitest';
import { besideHighs } from '../support/beside-highs';

const PLANS = 120;

/* The long run, 2 000 plans, is `npm run check-fits`. */
describe('the fit beside HiGHS, an exact mixed-integer solver', () => {
  it(`costs the same on ${PLANS} seeded random plans that use every feature, and lands where it says`, async () => {
    let feasible = 0;
    let worst = 0;
    for (let seed = 1; seed <= PLANS; seed++) {
      const found = await besideHighs(seed);
      expect(found.gap, `seed ${seed}`).toBeLessThan(2e-6);
      expect(found.proven, `seed ${seed}`).toBe(true);
      expect(found.offSeconds, `seed ${seed}`).toBeLessThan(1 + found.landingSeconds);
      expect(found.brokenPromise, `seed ${seed}`).toBeLessThan(1e-3);
      if (found.feasible) feasible++;
      worst = Math.max(worst, found.gap);
    }
    console.log(`${PLANS} plans, ${feasible} feasible, worst gap to HiGHS ${worst.toExponential(1)}`);
    expect(feasible).toBeGreaterThanOrEqual(100);
  }, 300_000);
});
