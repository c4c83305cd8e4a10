import { fitPlan, makeProblem, proposeFits, reachOf, solve } from '../src/core/pacing';
import {
  emptyPlan,
  makeMovement,
  makeSilence,
  makeSection,
  makeTalk,
  type ClassPlan,
  type Step,
} from '../src/core/plan';
import { Random } from '../src/core/units';
import { countingIds } from '../tests/support/chance';
import { cheapestByHighs } from '../tests/support/milp-reference';
import { ms, spread, type Spread } from './measure';

/** Steps of a class by all the rules of the fit: leads, leaving out, talks with a tempo, quiets; breath 7.0 to 12.0 s. */
export function hourPlan(seed: number, count = 60): ClassPlan {
  const chance = new Random(seed);
  const newId = countingIds(`h${seed}-`);
  const steps = Array.from({ length: count }, (_, index): Step => {
    const priority = chance.pick(['always', 'always', 'high', 'middle', 'low'] as const);
    if (index % 6 === 5) {
      const preferredSeconds = chance.whole(20, 60);
      return makeSilence(newId, 'Quiet', { preferredSeconds, minSeconds: 10, maxSeconds: 120, priority });
    }
    if (index % 15 === 7) {
      return {
        ...makeTalk(newId, 'Talk', ['Shake out the arms.', 'Find your place again.']),
        maxTempo: 1.2,
        priority,
      };
    }
    const preferredRounds = chance.whole(2, 7);
    return makeMovement(newId, 'Movement', {
      pacedBy: chance.pick(['breath', 'breath', 'breath', 'breath', 'breath', 'breath', 'clock', 'own-pace'] as const),
      preferredRounds,
      rounds: preferredRounds,
      minRounds: Math.max(1, preferredRounds - 2),
      maxRounds: preferredRounds + 4,
      sides: chance.pick(['together', 'together', 'alternating', 'one-then-other']),
      paceMultiplier: chance.pick([1, 1, 0.75, 1.25]),
      priority,
    });
  });
  const plan = emptyPlan(newId, 'An hour', count * 60, 9);
  const limited = { ...plan.pace, minBreathSeconds: 7, maxBreathSeconds: 12 };
  const sections = Array.from({ length: Math.ceil(count / 60) }, (_, at) =>
    makeSection(newId, 'main', steps.slice(at * 60, at * 60 + 60)),
  );
  const made = { ...plan, pace: limited, sections };
  const { shortestSeconds, longestSeconds } = reachOf(made);
  const targetSeconds = Math.min(14_400, Math.round(shortestSeconds + (longestSeconds - shortestSeconds) * 0.4));
  return { ...made, targetSeconds };
}

function measure(work: (plan: ClassPlan) => unknown, plans: readonly ClassPlan[], passes: number): Spread {
  plans.forEach(work);
  const times: number[] = [];
  for (let pass = 0; pass < passes; pass++) {
    for (const plan of plans) {
      const began = performance.now();
      work(plan);
      times.push(performance.now() - began);
    }
  }
  return spread(times);
}

/** Fits and proposals by size, beside HiGHS on one of them; the bars stand in the design. */
export async function benchFits(): Promise<void> {
  for (const size of [30, 60, 120, 240]) {
    const plans = Array.from({ length: size > 100 ? 12 : 30 }, (_, seed) => hourPlan(seed + 1, size));
    const one = measure((plan) => fitPlan(plan), plans, 4);
    const four = measure((plan) => proposeFits(plan), plans, 3);
    console.log(
      `fit, ${size} steps: one median ${ms(one.median)}, p95 ${ms(one.p95)}; ` +
        `four proposals median ${ms(four.median)}, p95 ${ms(four.p95)}`,
    );
  }
  const plan = hourPlan(1);
  const problem = makeProblem(plan, plan.targetSeconds * 1000);
  const ours = measure(() => solve(problem), [plan], 20);
  const began = performance.now();
  const theirs = await cheapestByHighs(problem);
  const highs = performance.now() - began;
  const gap = Math.abs((solve(problem)?.choice.cost ?? NaN) / 1e9 - (theirs ?? NaN));
  console.log(
    `the same 60 steps by HiGHS: ${ms(highs)}, ${Math.round(highs / ours.median)} : 1; costs differ by ${gap.toExponential(1)}`,
  );
}
