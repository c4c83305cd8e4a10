import { describe, expect, it } from 'vitest';
import { fitPlan } from '@/core/pacing';
import { expandPlan, roundsPerformed } from '@/core/timeline';
import { stepsInOrder } from '@/core/plan';
import { demoClasses } from '@/demo/classes';

/* Source: Chinese Health Qigong Association, Ba Duan Jin, 2007 (from memory): eight postures, each six times, three a
   side where it has sides, the last seven; about twelve minutes in all. */

describe('the eight-section set', () => {
  const plan = demoClasses().find((demo) => demo.name === 'eight-section-set')?.plan;
  if (!plan) throw new Error('no eight-section set');

  it('has the published counts and keeps them when fitted', () => {
    for (const minutes of [9, 11, 12, 13]) {
      const fit = fitPlan(plan, minutes * 60);
      expect(fit.feasible, `${minutes} minutes`).toBe(true);
      expect(fit.feasible && fit.changes.filter((change) => change.what === 'rounds')).toEqual([]);
    }
    const { steps } = expandPlan(plan);
    const counts = stepsInOrder(plan).flatMap(({ step }, index) =>
      step.kind === 'movement' ? [roundsPerformed(step, steps[index])] : [],
    );
    expect(counts).toEqual([6, 6, 6, 6, 6, 6, 6, 7]);
  });

  it('lands on about twelve minutes at a breath within the usual 8 to 16 s (common practice, no published source)', () => {
    expect(Math.abs(expandPlan(plan).runtimeSeconds - 720)).toBeLessThan(1);
    expect(plan.pace.breathSeconds).toBeGreaterThanOrEqual(8);
    expect(plan.pace.breathSeconds).toBeLessThanOrEqual(16);
  });
});
