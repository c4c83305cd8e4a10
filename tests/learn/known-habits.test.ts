import { describe, expect, it } from 'vitest';
import { knownTake, predictionsOf, proposalsOf, usualOf, type KnownTake } from '@/core/learn';
import { applyEdit, readPlan, type ClassPlan } from '@/core/plan';
import { expandPlan } from '@/core/timeline';
import { demoClasses } from '@/demo/classes';
import { firstItems, itemAt, Random } from '@/core/units';
import { give, type Manner } from '../support/instructor';

/* Synthetic instructors of known habits: what is learned from their takes is what they were made with. */

const plans = demoClasses()
  .map(({ plan }) => plan)
  .filter(({ sections }) => sections.length > 2);

function instructor(chance: Random): Manner {
  return {
    syllablesPerMinute: 150 + 90 * chance.next(),
    breathSeconds: 0,
    teaching: 0.9 + 0.6 * chance.next(),
    quiet: 0.9 + 0.3 * chance.next(),
    lost: 4 * chance.next(),
    uneven: 0.08,
  };
}

describe('what is learned from takes', () => {
  it('predicts the runtime within 2 % after three takes, for every demo class and four instructors each', () => {
    const errors: number[] = [];
    const blind: number[] = [];
    plans.forEach((plan, which) => {
      for (let seed = 1; seed <= 4; seed++) {
        const chance = new Random(100 * which + seed);
        const breathSeconds = plan.pace.breathSeconds * (0.85 + 0.3 * chance.next());
        const manner = { ...instructor(chance), breathSeconds };
        const takes: KnownTake[] = [1, 2, 3, 4].map(() => knownTake({ plan, reading: give(plan, manner, chance) }));
        const told = predictionsOf(takes);
        expect(itemAt(told, 0).predictedSeconds).toBeNull();
        const { plannedSeconds, predictedSeconds, actualSeconds } = itemAt(told, 3);
        const off = Math.abs((predictedSeconds ?? 0) / (actualSeconds ?? 0) - 1);
        expect(off, `${plan.title}, seed ${seed}`).toBeLessThan(0.02);
        errors.push(off);
        blind.push(Math.abs(plannedSeconds / (actualSeconds ?? 0) - 1));
      }
    });
    const worst = (all: readonly number[]): string => `${(100 * Math.max(...all)).toFixed(2)} %`;
    console.log(
      `${errors.length} instructors: off by ${worst(errors)} at most after three takes, planned ${worst(blind)}`,
    );
    // Without learning they would be far off, else the bar says nothing.
    expect(Math.max(...blind)).toBeGreaterThan(0.08);
  }, 240_000);

  it('measures voice, breath and teaching, and proposes them one by one', () => {
    const [plan] = firstItems(plans, 1);
    const manner: Manner = {
      syllablesPerMinute: 0.85 * plan.voice.syllablesPerMinute,
      breathSeconds: plan.pace.breathSeconds + 0.6,
      teaching: 1.5,
      quiet: 1,
      lost: 3,
      uneven: 0.04,
    };
    const takes = [1, 2].map((seed) => knownTake({ plan, reading: give(plan, manner, new Random(seed)) }));
    const usual = usualOf(takes);
    expect(Math.abs((usual.syllablesPerMinute ?? 0) / manner.syllablesPerMinute - 1)).toBeLessThan(0.04);
    expect(Math.abs((usual.breathSeconds ?? 0) - manner.breathSeconds)).toBeLessThan(0.15);
    const proposals = proposalsOf(plan, usual, plan.targetSeconds);
    expect(new Set(proposals.map(({ kind }) => kind))).toEqual(new Set(['voice', 'breath', 'teach', 'target']));
    let changed: ClassPlan = plan;
    for (const { edit } of proposals) {
      const applied = applyEdit(changed, edit);
      if (!applied.ok) throw new Error(applied.problem.code);
      changed = applied.value.plan;
    }
    expect(readPlan(changed).ok).toBe(true);
    // Each is asked once: with all of them taken, none is left.
    expect(proposalsOf(changed, usual, plan.targetSeconds)).toEqual([]);
    const real = itemAt(takes, 0).habits.classSeconds ?? 0;
    const remaining = expandPlan(changed).runtimeSeconds * (1 + usual.beyond);
    expect(Math.abs(remaining / real - 1)).toBeLessThan(0.02);
  });

  it('proposes nothing to somebody who gives the class as planned, and nothing from a take in which nothing was heard', () => {
    const [plan] = firstItems(plans, 1);
    const manner: Manner = {
      syllablesPerMinute: plan.voice.syllablesPerMinute,
      breathSeconds: plan.pace.breathSeconds,
      teaching: 1,
      quiet: 1,
      lost: 0,
      uneven: 0.02,
    };
    const reading = give(plan, manner, new Random(5));
    expect(proposalsOf(plan, usualOf([knownTake({ plan, reading })]), plan.targetSeconds)).toEqual([]);
    const silent = { ...reading, cues: reading.cues.map((cue) => ({ ...cue, actualStart: null, actualEnd: null })) };
    expect(proposalsOf(plan, usualOf([knownTake({ plan, reading: silent })]), plan.targetSeconds)).toEqual([]);
    // One line alone says nothing of how long the class was; two do.
    const firstSaid = (count: number) => ({
      ...reading,
      cues: [...reading.cues.slice(0, count), ...silent.cues.slice(count)],
    });
    expect(knownTake({ plan, reading: silent }).habits.classSeconds).toBeNull();
    expect(knownTake({ plan, reading: firstSaid(1) }).habits.classSeconds).toBeNull();
    expect(knownTake({ plan, reading: firstSaid(2) }).habits.classSeconds).toBeGreaterThan(0);
  });
});
