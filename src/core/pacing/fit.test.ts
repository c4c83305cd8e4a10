import { describe, expect, it } from 'vitest';
import {
  applyEdit,
  emptyPlan,
  findStep,
  makeMovement,
  makeSilence,
  makeSection,
  makeTalk,
  type ClassPlan,
  type Step,
} from '@/core/plan';
import { expandPlan } from '@/core/timeline';
import { fitPlan, reachOf } from '.';

let count = 0;
const newId = (): string => `f${++count}`;

function planOf(targetSeconds: number, steps: Step[], pace: Partial<ClassPlan['pace']> = {}): ClassPlan {
  const plan = emptyPlan(newId, 'Sample', targetSeconds, 9);
  return { ...plan, pace: { ...plan.pace, ...pace }, sections: [makeSection(newId, 'main', steps)] };
}

const movement = (part: Parameters<typeof makeMovement>[2] = {}): Step =>
  makeMovement(newId, 'Movement', { preferredRounds: 4, minRounds: 2, maxRounds: 8, ...part });

function fittedPlan(plan: ClassPlan): ClassPlan {
  const fit = fitPlan(plan);
  if (!fit.feasible) throw new Error(`no fit: ${fit.reason}`);
  const applied = fit.edit ? applyEdit(plan, fit.edit) : null;
  return applied?.ok ? applied.value.plan : plan;
}

describe('fitting a class', () => {
  it('lands within half a second and says what it changed', () => {
    const plan = planOf(150, [
      movement(),
      movement({ sides: 'alternating' }),
      makeSilence(newId, 'Quiet', { preferredSeconds: 30, minSeconds: 10, maxSeconds: 60 }),
    ]);
    const fit = fitPlan(plan);
    expect(fit.feasible && Math.abs(fit.runtimeSeconds - 150)).toBeLessThan(0.5);
    expect(expandPlan(fittedPlan(plan)).runtimeSeconds).toBeCloseTo(fit.feasible ? fit.runtimeSeconds : 0, 6);
  });

  it('changes nothing in a class that is on its target as asked for', () => {
    const fit = fitPlan(planOf(72, [movement(), movement()]));
    expect(fit).toMatchObject({ feasible: true, cost: 0, changes: [], edit: null });
  });

  it('says what changed of a movement in what leads it: whole rounds of a clock, rounds of breath', () => {
    const clocked = { pacedBy: 'clock', preferredSeconds: 63, minSeconds: 30, maxSeconds: 120, seconds: 63 } as const;
    const changes = (step: Step, targetSeconds: number) => {
      const fit = fitPlan(planOf(targetSeconds, [step], { pinned: true }));
      return fit.feasible ? fit.changes.map(({ what, from, to }) => [what, from, to]) : fit.reason;
    };
    expect(changes(movement(clocked), 90)).toEqual([['clock', 7, 10]]);
    expect(changes(movement(), 54)).toEqual([['rounds', 4, 6]]);
  });

  it('leaves alone what is pinned', () => {
    const pinned = movement({ pinned: true });
    const quiet = makeSilence(newId, 'Quiet', { preferredSeconds: 30, pinned: true });
    const plan = planOf(129, [pinned, movement(), quiet], { pinned: true });
    const after = fittedPlan(plan);
    expect(findStep(after, pinned.id)?.step).toEqual(pinned);
    expect(findStep(after, quiet.id)?.step).toEqual(quiet);
    expect(after.pace).toEqual(plan.pace);
  });

  it('keeps to multiples and bounds', () => {
    const threes = movement({ preferredRounds: 3, rounds: 3, multiple: 3, minRounds: 3, maxRounds: 9 });
    const plan = planOf(180, [threes, movement()]);
    const step = findStep(fittedPlan(plan), threes.id)?.step;
    expect(step?.kind === 'movement' && step.rounds % 3).toBe(0);
    expect(step?.kind === 'movement' && step.rounds).toBeLessThanOrEqual(9);
  });

  it('goes back to what was asked for when the target does', () => {
    const plan = planOf(72, [movement(), movement()]);
    const away = fittedPlan({ ...plan, targetSeconds: 100 });
    expect(fittedPlan({ ...away, targetSeconds: 72 })).toEqual(plan);
  });

  it('gives the same answer every time', () => {
    const plan = planOf(200, [
      movement(),
      movement(),
      movement(),
      makeSilence(newId, 'Quiet', { preferredSeconds: 20 }),
    ]);
    expect(fitPlan(plan)).toEqual(fitPlan(structuredClone(plan)));
  });

  it('keeps the closing breath inside the bounds too', () => {
    const plan = planOf(250, [movement(), movement(), movement()], {
      closingRatio: 1.3,
      minBreathSeconds: 7,
      maxBreathSeconds: 13,
    });
    const { pace } = fittedPlan(plan);
    expect(pace.breathSeconds * pace.closingRatio).toBeLessThanOrEqual(13.0001);
  });

  it('says that a target lies below or above the reach, and what would be enough', () => {
    const steps = [
      movement(),
      movement({ pinned: true }),
      makeSilence(newId, 'Quiet', { preferredSeconds: 60, minSeconds: 40, maxSeconds: 80 }),
      makeTalk(newId, 'Talk', ['Welcome.']),
    ];
    const plan = planOf(60, steps);
    const { shortestSeconds, longestSeconds } = reachOf(plan);
    const low = fitPlan(plan);
    expect(low).toMatchObject({ feasible: false, reason: 'below-reach', shortestSeconds, longestSeconds });
    expect(!low.feasible && low.loosen.length).toBeGreaterThan(0);
    const high = fitPlan(plan, 1000);
    expect(high).toMatchObject({ feasible: false, reason: 'above-reach' });
    for (const target of [shortestSeconds - 20, longestSeconds + 20]) {
      const aimed = { ...plan, targetSeconds: target };
      const refused = fitPlan(aimed);
      const loosened = applyEdit(aimed, {
        kind: 'together',
        edits: refused.feasible ? [] : refused.loosen.map((one) => one.edit),
      });
      expect(loosened.ok && fitPlan(loosened.value.plan).feasible, `target ${target}`).toBe(true);
    }
  });

  it('names the nearest length where whole rounds leave a hole', () => {
    const plan = planOf(40, [movement({ preferredRounds: 4, rounds: 4 })], { pinned: true });
    const fit = fitPlan(plan);
    expect(fit).toMatchObject({ feasible: false, reason: 'between-rounds', nearestSeconds: 36 });
  });

  it('has nothing to fit in an empty class', () => {
    expect(fitPlan(planOf(600, []))).toMatchObject({ feasible: false, shortestSeconds: 0, longestSeconds: 0 });
  });
});
