import { describe, expect, it } from 'vitest';
import {
  emptyPlan,
  makeMovement,
  makeSection,
  makeSilence,
  makeTalk,
  planAfter,
  stepsInOrder,
  type ClassPlan,
  type Step,
} from '@/core/plan';
import { expandPlan } from '@/core/timeline';
import { firstItems, Random } from '@/core/units';
import { countingIds } from '../../../tests/support/chance';
import { randomPlan } from '../../../tests/support/random-plan';
import { fitPlan, reachOf } from '.';

const newId = countingIds('t');

function fitted(targetSeconds: number, ...steps: Step[]): readonly Step[] {
  const empty = { ...emptyPlan(newId, 'Tied', targetSeconds), sections: [makeSection(newId, 'main', steps)] };
  const plan: ClassPlan = { ...empty, pace: { ...empty.pace, pinned: true } };
  const fit = fitPlan(plan);
  if (!fit.feasible) throw new Error(JSON.stringify(fit));
  const after = planAfter(plan, fit.edit);
  expect(Math.abs(expandPlan(after).runtimeSeconds - targetSeconds)).toBeLessThan(2.01);
  return stepsInOrder(after).map(({ step }) => step);
}

const tied = <One extends Step>(step: One): One => ({ ...step, tieId: 'tie' });
const swaying = (part: Parameters<typeof makeMovement>[2] = {}): Step =>
  makeMovement(newId, 'Swaying', { preferredRounds: 4, minRounds: 2, maxRounds: 12, ...part });
const quiet = (seconds: number): Step =>
  makeSilence(newId, 'Quiet', { preferredSeconds: seconds, minSeconds: seconds / 2, maxSeconds: 3 * seconds });

describe('what belongs together', () => {
  it('has the same rounds, where alone only one would have more', () => {
    const roundsOf = (...steps: Step[]) =>
      fitted(108, ...steps).flatMap((step) => (step.kind === 'movement' ? step.rounds : []));
    const more = { preferredRounds: 8, rounds: 8 };
    const alone = roundsOf(swaying(), swaying(more));
    expect(new Set(alone).size).toBe(2);
    const together = roundsOf(tied(swaying()), tied(swaying(more)));
    expect(new Set(together).size).toBe(1);
  });

  it('grows by the same share, each within its own bounds', () => {
    const found = fitted(150, tied(quiet(40)), tied(quiet(80)));
    const [first, second] = firstItems(
      found.flatMap((step) => (step.kind === 'silence' ? step.seconds : [])),
      2,
    );
    expect(first / 40).toBeCloseTo(second / 80, 2);
    expect(first + second).toBeCloseTo(149.5, 1);
  });

  it('stretches talks alike', () => {
    const talk = (words: string): Step => ({ ...makeTalk(newId, 'Talk', [[words, 2]]), minTempo: 0.8, maxTempo: 1.3 });
    const texts = ['Good morning, and welcome to the hall.', 'Stand where you can reach a wall, a rail or a chair.'];
    const talks = texts.map((text) => tied(talk(text)));
    const section = makeSection(newId, 'main', talks);
    const { runtimeSeconds } = expandPlan({ ...emptyPlan(newId, 'Plain', 10), sections: [section] });
    const found = fitted(Math.round(1.2 * runtimeSeconds), ...talks);
    const tempos = found.flatMap((step) => (step.kind === 'talk' ? step.tempo : []));
    expect(tempos[0]).toBeCloseTo(tempos[1] ?? 0, 2);
    expect(tempos[0]).not.toBe(1);
  });

  it('lands over random classes, tied movements with the same rounds wherever they can have them', () => {
    let landed = 0;
    for (let seed = 1; seed <= 60; seed++) {
      const chance = new Random(seed);
      const plain = randomPlan(chance, { steps: chance.whole(4, 10), breathTenths: 5, choicesAtMost: 6 });
      const sections = plain.sections.map((section) => ({
        ...section,
        steps: section.steps.map((step) => (chance.yes(0.5) ? { ...step, tieId: chance.pick(['one', 'two']) } : step)),
      }));
      const plan = { ...plain, sections };
      const { shortestSeconds, longestSeconds } = reachOf(plan);
      const target = Math.max(10, Math.round(shortestSeconds + chance.next() * (longestSeconds - shortestSeconds)));
      const fit = fitPlan(plan, target);
      if (!fit.feasible) continue;
      landed++;
      const after = planAfter(plan, fit.edit);
      expect(expandPlan(after).runtimeSeconds, `seed ${seed}`).toBeCloseTo(fit.runtimeSeconds, 6);
      expect(Math.abs(fit.runtimeSeconds - target), `seed ${seed}`).toBeLessThan(1 + Math.max(2, 0.005 * target));
    }
    expect(landed).toBeGreaterThan(45);
  });
});
