import { describe, expect, it } from 'vitest';
import { phaseSeconds } from '@/core/breath';
import {
  addPhase,
  joinPhases,
  lengthenPhase,
  makeContent,
  makeLibraryMovement,
  moveBorder,
  movePhase,
  PRIORITIES,
  readMovement,
  removePhase,
  splitPhase,
  STANCES,
  type Phase,
} from '@/core/movement';
import { fitLength, proposeFits, reachOf } from '@/core/pacing';
import {
  applyEdit,
  type ClassPlan,
  companionsOf,
  comparePlans,
  type Edit,
  fillGapsEdit,
  FIT_WAYS,
  landingSecondsOf,
  makeLength,
  maySkip,
  performedSteps,
  planMilliseconds,
  readPlan,
  skipEdit,
  stanceGaps,
  stepPaces,
  stepsInOrder,
} from '@/core/plan';
import { expandPlan } from '@/core/timeline';
import { itemAt, Random } from '@/core/units';
import { countingIds } from '../support/chance';
import { randomPlan } from '../support/random-plan';

/* Properties that hold for any class; a failure names its seed. */

const seeds = (count: number): number[] => Array.from({ length: count }, (_, at) => at + 1);
const plans = (seed: number, steps = 12): [Random, ClassPlan] => {
  const chance = new Random(seed);
  return [chance, randomPlan(chance, { steps, breathTenths: 4, choicesAtMost: 5 })];
};

function edited(plan: ClassPlan, edit: Edit): ClassPlan {
  const applied = applyEdit(plan, edit);
  if (!applied.ok) throw new Error(applied.problem.code);
  return applied.value.plan;
}

describe('any class', () => {
  it('is as long on its timeline as by the sum of its steps, section by section without a gap', () => {
    for (const seed of seeds(120)) {
      const [, plan] = plans(seed);
      const timeline = expandPlan(plan);
      expect(timeline.runtimeSeconds, `seed ${seed}`).toBeCloseTo(planMilliseconds(plan) / 1000, 9);
      timeline.steps.slice(1).forEach((step, at) => {
        expect(step.startSeconds, `seed ${seed}`).toBe(itemAt(timeline.steps, at).endSeconds);
      });
      for (const [at, { step }] of performedSteps(plan).entries()) {
        const timed = itemAt(timeline.steps, at);
        if (step.skipped) expect(timed.endSeconds, `seed ${seed}`).toBe(timed.startSeconds);
        // What is shown of a step's breath is what it was counted with: its own, its section's, or the profile's.
        const pace = stepPaces(plan).get(step.id);
        if (pace) expect(timed.inhaleShare, `seed ${seed}`).toBe(pace.inhaleShare);
      }
    }
  });

  it('has every stance meet once the proposed transitions are in, and stays a valid plan', () => {
    for (const seed of seeds(60)) {
      const [chance, plan] = plans(seed);
      const sections = plan.sections.map((section) => ({
        ...section,
        steps: section.steps.map((step) =>
          step.kind === 'movement'
            ? { ...step, stanceStart: chance.pick([...STANCES, null]), stanceEnd: chance.pick([...STANCES, null]) }
            : step,
        ),
      }));
      const stood = { ...plan, sections };
      const gaps = stanceGaps(stood);
      const filled = edited(stood, fillGapsEdit(countingIds('g'), gaps));
      expect(stanceGaps(filled), `seed ${seed}`).toEqual([]);
      expect(stepsInOrder(filled).length, `seed ${seed}`).toBe(stepsInOrder(stood).length + gaps.length);
      expect(readPlan(filled).ok, `seed ${seed}`).toBe(true);
    }
  });

  it('leaves a step out with all that goes with it and nothing else, and has it back by the inverse', () => {
    for (const seed of seeds(60)) {
      const [chance, plan] = plans(seed);
      const { step } = chance.pick(stepsInOrder(plan));
      const applied = applyEdit(plan, skipEdit(plan, step.id, true));
      if (!applied.ok) throw new Error(`seed ${seed}`);
      const together = new Set([step.id, ...(companionsOf(plan).get(step.id) ?? []).map((one) => one.id)]);
      for (const { step: after } of stepsInOrder(applied.value.plan)) {
        const before = stepsInOrder(plan).find((one) => one.step.id === after.id)?.step;
        expect(after.skipped, `seed ${seed}`).toBe(together.has(after.id) ? true : before?.skipped);
      }
      expect(edited(applied.value.plan, applied.value.inverse), `seed ${seed}`).toEqual(plan);
    }
  });

  it('is told as unchanged beside itself, and as changed beside an edit of it', () => {
    for (const seed of seeds(60)) {
      const [chance, plan] = plans(seed);
      expect(comparePlans(plan, structuredClone(plan)), `seed ${seed}`).toEqual([]);
      const { step } = chance.pick(stepsInOrder(plan));
      const renamed = edited(plan, { kind: 'set-step', stepId: step.id, field: 'name', value: `${step.name} again` });
      expect(
        comparePlans(plan, renamed).map((change) => change.code),
        `seed ${seed}`,
      ).toEqual(['step-changed']);
      const without = edited(plan, { kind: 'remove-step', stepId: step.id });
      expect(comparePlans(plan, without), `seed ${seed}`).toContainEqual({ code: 'step-removed', name: step.name });
      expect(comparePlans(without, plan), `seed ${seed}`).toContainEqual({ code: 'step-added', name: step.name });
    }
  });
});

describe('any fit', () => {
  it('leaves out no arrival, no closing, no caution and nothing that is always kept', () => {
    for (const seed of seeds(40)) {
      const [, plan] = plans(seed);
      const roles = ['arrival', 'closing'] as const;
      const sections = plan.sections.map((section, at) => ({ ...section, role: itemAt(roles, at % 2) }));
      for (const of of [plan, { ...plan, sections }]) {
        const { shortestSeconds, longestSeconds } = reachOf(of);
        const found = proposeFits(
          of,
          Math.max(10, Math.round(shortestSeconds + 0.2 * (longestSeconds - shortestSeconds))),
        );
        if (!found.feasible) continue;
        const companions = new Set([...companionsOf(of).values()].flat().map((step) => step.id));
        for (const { fit } of found.proposals) {
          const after = fit.edit ? edited(of, fit.edit) : of;
          for (const { step, section } of stepsInOrder(after)) {
            if (!step.skipped || step.pinned || companions.has(step.id)) continue;
            expect(maySkip(step, section.role), `seed ${seed}: ${step.id}`).toBe(true);
          }
        }
      }
    }
  });

  it('makes every length within the reach land on its target, whatever its way', () => {
    let landed = 0;
    for (const seed of seeds(60)) {
      const [chance, drawn] = plans(seed, 10);
      // Half of them have to land on the second.
      const source = { ...drawn, landingSeconds: seed % 2 === 0 ? 0 : null };
      const { shortestSeconds, longestSeconds } = reachOf(source);
      const target = Math.max(10, Math.round(shortestSeconds + chance.next() * (longestSeconds - shortestSeconds)));
      const { plan, fit } = fitLength(source, makeLength(countingIds('l'), 'One', target, chance.pick(FIT_WAYS)));
      if (!fit.feasible) {
        expect(fit.reason, `seed ${seed}`).toBe('between-rounds');
        continue;
      }
      landed++;
      const off = Math.abs(expandPlan(plan).runtimeSeconds - target);
      expect(off, `seed ${seed}`).toBeLessThan(1 + landingSecondsOf(plan, target));
    }
    expect(landed).toBeGreaterThan(45);
  });

  it('keeps a priority’s order: what is left out by itself costs no more than what stays in its place', () => {
    // Two alike but for their priority: only the one that goes first is left out when one has to go.
    for (const [first, second] of [
      [0, 1],
      [1, 2],
      [2, 3],
    ] as const) {
      const newId = countingIds('p');
      const [high, low] = [PRIORITIES[first], PRIORITIES[second]];
      const alike = (id: string, priority: (typeof PRIORITIES)[number]) => ({
        ...makeContent(newId, id, { priority, preferredRounds: 4, minRounds: 4, maxRounds: 4 }),
        kind: 'movement' as const,
        id,
        rounds: 4,
        seconds: 60,
        pinned: false,
        skipped: false,
        blockId: null,
        tieId: null,
        view: 'front' as const,
        intro: 'full' as const,
        source: null,
      });
      const [, base] = plans(1, 2);
      const pace = { ...base.pace, breathSeconds: 9, pinned: true, closingRatio: 1 };
      const section = { ...itemAt(base.sections, 0), role: 'main' as const, paceMultiplier: null, inhaleShare: null };
      const plan = { ...base, pace, sections: [{ ...section, steps: [alike('a', high), alike('b', low)] }] };
      const found = proposeFits(plan, 36);
      if (!found.feasible) throw new Error('no fit');
      for (const { fit } of found.proposals) {
        expect(fit.changes.map(({ what, stepId }) => `${what} ${stepId}`)).toEqual(['left-out b']);
      }
    }
  });
});

describe('any breath pattern', () => {
  it('stays one that the library takes, whatever a hand does to it', () => {
    for (const seed of seeds(80)) {
      const chance = new Random(seed);
      const newId = countingIds(`s${seed}-`);
      const pace = { breathSeconds: chance.whole(60, 140) / 10, inhaleShare: chance.whole(30, 60) / 100 };
      let pattern: readonly Phase[] = makeContent(newId, 'x').pattern;
      for (let turn = 0; turn < 40; turn++) {
        const at = chance.whole(0, pattern.length - 1);
        const act = chance.whole(0, 6);
        if (act === 0)
          pattern = addPhase(newId, pattern, chance.pick(['inhale', 'exhale', 'hold', 'free'] as const), at);
        else if (act === 1) pattern = splitPhase(newId, pattern, at, pace);
        else if (act === 2) pattern = joinPhases(pattern, at, pace);
        else if (act === 3) pattern = movePhase(pattern, at, chance.pick([-1, 1] as const));
        else if (act === 4) pattern = removePhase(pattern, at);
        else if (act === 5) pattern = lengthenPhase(pattern, at, chance.whole(-20, 20) / 10, pace);
        else pattern = moveBorder(pattern, at, chance.whole(-30, 30) / 10, pace);
        expect(pattern.length, `seed ${seed}`).toBeGreaterThan(0);
        expect(
          pattern.every((phase) => phaseSeconds(phase, pace) > 0),
          `seed ${seed}`,
        ).toBe(true);
      }
      const judged = readMovement(makeLibraryMovement(makeContent(newId, 'x', { pattern })));
      expect(judged.ok, `seed ${seed}: ${JSON.stringify(judged)}`).toBe(true);
    }
  });
});
