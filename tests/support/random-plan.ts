import {
  emptyPlan,
  makeMovement,
  makePhase,
  makeQuiet,
  makeSection,
  makeTalk,
  makeTransition,
  SIDE_PLANS,
  spokenLines,
  type ClassPlan,
  type Step,
} from '@/core/plan';
import { countingIds, type Chance } from './chance';

export interface RandomPlanSize {
  readonly steps: number;
  /** How many tenths the breath may go either way. */
  readonly breathTenths: number;
  readonly choicesAtMost: number;
}

/** A random plan that uses every feature of the fit: sides, multiples, pins, own seconds, profile, quiets. */
export function randomPlan(chance: Chance, size: RandomPlanSize): ClassPlan {
  const newId = countingIds();
  const breath = chance.whole(70, 110) / 10;
  const plan = emptyPlan(newId, `Random ${chance.seed}`, 600, breath);
  const steps: Step[] = [];
  for (let index = 0; index < size.steps; index++) {
    const kind = chance.next();
    if (kind < 0.62) steps.push(randomMovement(chance, newId, size.choicesAtMost));
    else if (kind < 0.76) {
      const preferredSeconds = chance.whole(15, 90);
      steps.push(
        makeQuiet(newId, 'Quiet', {
          preferredSeconds,
          seconds: preferredSeconds,
          leastSeconds: chance.whole(5, preferredSeconds),
          mostSeconds: chance.whole(preferredSeconds, 150),
          pinned: chance.yes(0.25),
          openingLine: chance.yes(0.5) ? 'Stand, and let the breath be.' : '',
        }),
      );
    } else if (kind < 0.9) steps.push(makeTalk(newId, 'Talk', ['Feet a hand’s width apart.', 'Knees easy.']));
    else steps.push(makeTransition(newId, 'Feet together', chance.whole(3, 8), 'Step in.'));
  }
  const ratio = chance.yes(0.4) ? chance.whole(80, 140) / 100 : 1;
  const base = { ...plan, sections: [makeSection(newId, 'main', steps)] };
  return {
    ...base,
    pace: {
      ...plan.pace,
      closingRatio: ratio,
      leastBreathSeconds: Math.max(2, Math.round(Math.min(1, ratio) * (breath * 10 - size.breathTenths)) / 10),
      mostBreathSeconds: Math.round(Math.max(1, ratio) * (breath * 10 + size.breathTenths)) / 10,
      pinned: chance.yes(0.15),
    },
  };
}

function randomMovement(chance: Chance, newId: () => string, choicesAtMost: number): Step {
  const multiple = chance.pick([1, 1, 1, 2, 3]);
  const least = multiple * chance.whole(1, 2);
  const most = least + multiple * chance.whole(0, choicesAtMost - 1);
  const preferredRounds = chance.whole(least, most);
  return makeMovement(newId, 'Movement', {
    sides: chance.pick(SIDE_PLANS),
    preferredRounds,
    rounds: preferredRounds,
    leastRounds: least,
    mostRounds: most,
    multiple,
    pinned: chance.yes(0.15),
    paceMultiplier: chance.pick([1, 1, 1, 0.75, 1.25]),
    teach: chance.yes(0.5) ? spokenLines(newId, ['Watch one, then join in.']) : [],
    pattern: [
      makePhase(newId, { kind: 'in' }),
      ...(chance.yes(0.3) ? [makePhase(newId, { kind: 'rest', share: null, seconds: 1.5 })] : []),
      makePhase(newId, { kind: 'out' }),
      ...(chance.yes(0.2)
        ? [makePhase(newId, { kind: 'in', share: 0.4 }), makePhase(newId, { kind: 'out', share: 0.6 })]
        : []),
    ],
  });
}
