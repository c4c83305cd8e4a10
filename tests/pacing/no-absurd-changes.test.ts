import { describe, expect, it } from 'vitest';
import { fitPlan, reachOf, type Fitted } from '@/core/pacing';
import { FIT_WAYS, findStep, type ClassPlan, type Step } from '@/core/plan';
import { Random } from '@/core/units';
import { randomPlan } from '../support/random-plan';

/*
 * No fit changes a breath by more than a fifth, a count by more than half or a time by more than half of what was asked
 * for while another that does not would land as well.
 */

const SEEDS = Array.from({ length: 500 }, (_, at) => 9_000 + at);

/** Whether a fit changes anything by more than that. */
function isAbsurd(plan: ClassPlan, fit: Fitted): boolean {
  return fit.changes.some(({ what, stepId, to }) => {
    if (what === 'breath') return Math.abs(to / plan.pace.preferredBreathSeconds - 1) > 0.2 + 1e-6;
    const step = stepId === null ? null : findStep(plan, stepId)?.step;
    if (!step || step.pinned) return false;
    if (what === 'rounds' && step.kind === 'movement') return Math.abs(to / step.preferredRounds - 1) > 0.5 + 1e-6;
    const timed = what === 'time' && 'preferredSeconds' in step;
    return timed && Math.abs(to / preferredTime(step) - 1) > 0.5 + 1e-3;
  });
}

/** What a time stretches from: what was asked for, within the step's own bounds. */
function preferredTime(step: Extract<Step, { readonly preferredSeconds: number }>): number {
  return Math.min(step.maxSeconds, Math.max(step.minSeconds, step.preferredSeconds));
}

/** The same class with bounds as narrow as that, where its own leave anything of them. */
function narrowed(plan: ClassPlan): ClassPlan {
  const within = (min: number, max: number, asked: number, share: number): readonly [number, number] => {
    const [low, high] = [Math.max(min, asked * (1 - share)), Math.min(max, asked * (1 + share))];
    return low <= high ? [low, high] : [min, max];
  };
  const step = (one: Step): Step => {
    if (one.kind === 'movement') {
      const [low, high] = within(one.minRounds, one.maxRounds, one.preferredRounds, 0.5);
      const [minRounds, maxRounds] = [Math.ceil(low - 1e-9), Math.floor(high + 1e-9)];
      const some = Math.ceil(minRounds / one.multiple) * one.multiple <= maxRounds;
      const [minSeconds, maxSeconds] = within(one.minSeconds, one.maxSeconds, preferredTime(one), 0.5);
      return { ...one, ...(some ? { minRounds, maxRounds } : {}), minSeconds, maxSeconds };
    }
    if (one.kind === 'transition') return one;
    const [minSeconds, maxSeconds] = within(one.minSeconds, one.maxSeconds, preferredTime(one), 0.5);
    return { ...one, minSeconds, maxSeconds };
  };
  const { pace } = plan;
  const [minBreathSeconds, maxBreathSeconds] = within(
    pace.minBreathSeconds,
    pace.maxBreathSeconds,
    pace.preferredBreathSeconds,
    0.2,
  );
  const sections = plan.sections.map((section) => ({ ...section, steps: section.steps.map(step) }));
  return { ...plan, pace: { ...pace, minBreathSeconds, maxBreathSeconds }, sections };
}

describe('the changes of a fit', () => {
  it(`are small in ${SEEDS.length} classes wherever small ones would do`, () => {
    let absurd = 0;
    let fitted = 0;
    for (const seed of SEEDS) {
      const chance = new Random(seed);
      const plan = randomPlan(chance, {
        steps: chance.whole(3, 12),
        breathTenths: chance.whole(5, 40),
        choicesAtMost: 8,
      });
      const { shortestSeconds, longestSeconds } = reachOf(plan);
      const target = Math.max(10, Math.round(shortestSeconds + chance.next() * (longestSeconds - shortestSeconds)));
      const way = chance.pick(FIT_WAYS);
      const fit = fitPlan(plan, target, { way });
      if (!fit.feasible) continue;
      fitted++;
      if (!isAbsurd(plan, fit)) continue;
      absurd++;
      const modest = fitPlan(narrowed(plan), target, { way });
      expect(modest.feasible && !isAbsurd(plan, modest), `seed ${seed} ${JSON.stringify(fit.changes)}`).toBe(false);
    }
    expect(fitted).toBeGreaterThan(400);
    // There are classes that only a great change lands.
    expect(absurd).toBeGreaterThan(10);
  });
});
