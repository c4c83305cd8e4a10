import { itemAt } from '@/core/units';
import { describe, expect, it } from 'vitest';
import { fitPlan } from '@/core/pacing';
import { expandPlan, roundsPerformed } from '@/core/timeline';
import { makePhase } from '@/core/movement';
import { emptyPlan, makeMovement, makeSection, planMilliseconds, stepsInOrder, type ClassPlan } from '@/core/plan';
import { demoClasses } from '@/demo/classes';
import { demoPlan } from '../support/demo-plan';
import { countingIds } from '../support/chance';

/* Source: Chinese Health Qigong Association, Ba Duan Jin, 2007 (from memory): eight postures, each six times, three a
   side where it has sides, the last seven; about twelve minutes in all. */

describe('the eight-section set', () => {
  const plan = demoPlan('eight-section-set');

  it('has the published counts and keeps them when fitted', () => {
    for (const minutes of [9, 11, 12, 13]) {
      const fit = fitPlan(plan, minutes * 60);
      expect(fit.feasible, `${minutes} minutes`).toBe(true);
      expect(fit.feasible && fit.changes.filter((change) => change.what === 'rounds')).toEqual([]);
    }
    const { steps } = expandPlan(plan);
    const counts = stepsInOrder(plan).flatMap(({ step }, index) =>
      step.kind === 'movement' ? [roundsPerformed(step, itemAt(steps, index))] : [],
    );
    expect(counts).toEqual([6, 6, 6, 6, 6, 6, 6, 7]);
  });

  it('lands on twelve minutes at a slow-breathing pace, and stays within a tenth of it a second to either side', () => {
    expect(Math.abs(expandPlan(plan).runtimeSeconds - 720)).toBeLessThan(1);
    // Slow breathing is 4 to 10 a minute (Russo, Santarelli, O'Rourke 2017, Breathe 13:298–309): 6 to 15 s a breath.
    expect(plan.pace.breathSeconds).toBeGreaterThanOrEqual(6);
    expect(plan.pace.breathSeconds).toBeLessThanOrEqual(15);
    // "About twelve minutes" is held to a tenth, our own tolerance, over the paces around its middle.
    for (const breathSeconds of [10, 11, 12]) {
      const runtime = planMilliseconds({ ...plan, pace: { ...plan.pace, breathSeconds } }) / 1000;
      expect(Math.abs(runtime - 720), `${breathSeconds} s`).toBeLessThan(72);
    }
  });
});

/* Source: competition rules for taijiquan (from memory): 24 postures, once each, within about four to six minutes. */
describe('the 24-posture short form', () => {
  const newId = countingIds('f');
  const postures = Array.from({ length: 24 }, (_, at) =>
    makeMovement(newId, `Posture ${at + 1}`, {
      rounds: 1,
      preferredRounds: 1,
      minRounds: 1,
      maxRounds: 1,
      pinned: true,
      pattern: [makePhase(newId, { kind: 'inhale' }), makePhase(newId, { kind: 'exhale' })],
    }),
  );
  const empty = emptyPlan(newId, 'Short form', 300, 12);
  const form: ClassPlan = {
    ...empty,
    landingSeconds: 0,
    pace: { ...empty.pace, minBreathSeconds: 6, maxBreathSeconds: 15 },
    sections: [makeSection(newId, 'main', postures)],
  };

  it('once through, one breath a posture, lands anywhere within its limits at a slow breath', () => {
    for (const target of [240, 276, 300, 324, 360]) {
      const fit = fitPlan(form, target);
      expect(fit.feasible && Math.abs(fit.runtimeSeconds - target), `${target} s`).toBeLessThan(1);
      expect(fit.feasible && fit.changes.every((change) => change.what === 'breath')).toBe(true);
    }
    // Between them nothing stretches: tenths of a breath are 2.4 s apart, and the nearest is named.
    const between = fitPlan(form, 270);
    expect(between).toMatchObject({ feasible: false, reason: 'between-rounds' });
    expect(!between.feasible && Math.abs((between.nearestSeconds ?? 0) - 270)).toBeLessThan(1.3);
    // Near an adult's resonance, about 4.5 to 6.5 breaths a minute (Lehrer & Gevirtz 2014, from memory), it takes
    // between its limits without any fitting.
    for (const perMinute of [4.5, 5.5]) {
      const runtime = planMilliseconds({ ...form, pace: { ...form.pace, breathSeconds: 60 / perMinute } }) / 1000;
      expect(runtime).toBeGreaterThanOrEqual(240);
      expect(runtime).toBeLessThanOrEqual(360);
    }
  });
});

/* Facts of the trade: common practice, no published source. */
describe('the demo classes by the usual numbers', () => {
  it('breaths of 8 to 16 s and three, five or nine rounds make recorded classes of every length from 4 to 25 minutes', () => {
    const minutes: number[] = [];
    for (const { plan } of demoClasses().slice(0, 4)) {
      for (let breathSeconds = 8; breathSeconds <= 16; breathSeconds += 0.5) {
        for (const rounds of [3, 5, 9]) {
          const sections = plan.sections.map((section) => ({
            ...section,
            steps: section.steps.map((step) => (step.kind === 'movement' ? { ...step, rounds } : step)),
          }));
          const pace = { ...plan.pace, breathSeconds, closingRatio: 1 };
          minutes.push(planMilliseconds({ ...plan, pace, sections }) / 60_000);
        }
      }
    }
    for (let wanted = 4; wanted <= 25; wanted++) {
      const nearest = Math.min(...minutes.map((found) => Math.abs(found - wanted)));
      expect(nearest, `${wanted} minutes`).toBeLessThan(0.5);
    }
  });

  it('each lands within a second of its target', () => {
    for (const { name, plan } of demoClasses()) {
      const fit = fitPlan(plan);
      expect(fit.feasible && Math.abs(fit.runtimeSeconds - plan.targetSeconds), name).toBeLessThan(1);
    }
  });
});
