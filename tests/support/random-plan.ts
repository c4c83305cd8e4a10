import type { NewId } from '@/core/document';
import {
  DURING_PLACES,
  DURING_SIDES,
  makeDuring,
  makePhase,
  PACINGS,
  PRIORITIES,
  SIDE_PLANS,
  spokenLines,
  type DuringLine,
} from '@/core/movement';
import {
  COMPANIONS,
  emptyPlan,
  makeMovement,
  makeSilence,
  makeSection,
  makeTalk,
  makeTransition,
  type ClassPlan,
  type Step,
} from '@/core/plan';
import { type Random } from '@/core/units';
import { countingIds } from './chance';

export interface RandomPlanSize {
  readonly steps: number;
  /** How many tenths the breath may go either way. */
  readonly breathTenths: number;
  readonly choicesAtMost: number;
  /** Leads, leaving out, companions, tempo, overrides: everything since version 3. On unless set. */
  readonly everything?: boolean;
}

/** A random plan that uses every feature of the fit. */
export function randomPlan(chance: Random, size: RandomPlanSize): ClassPlan {
  const newId = countingIds();
  const breath = chance.whole(70, 110) / 10;
  const plan = emptyPlan(newId, `Random ${chance.seed}`, 600, breath);
  const steps = inBlocks(
    chance,
    Array.from({ length: size.steps }, () => randomStep(chance, newId, size)),
    size,
  );
  const ratio = chance.yes(0.4) ? chance.whole(80, 140) / 100 : 1;
  const all = size.everything ?? true;
  const cut = all && steps.length > 3 ? chance.whole(1, steps.length - 1) : 0;
  const sections = [
    ...(cut > 0 ? [{ ...makeSection(newId, 'loosening', steps.slice(0, cut)), ...randomOverride(chance) }] : []),
    makeSection(newId, 'main', steps.slice(cut)),
  ];
  return {
    ...plan,
    sections,
    pace: {
      ...plan.pace,
      closingRatio: ratio,
      curve: all ? chance.pick(['straight', 'eased']) : 'straight',
      closingInhaleShare: all && chance.yes(0.3) ? chance.whole(30, 60) / 100 : plan.pace.inhaleShare,
      minBreathSeconds: Math.max(2, Math.round(Math.min(1, ratio) * (breath * 10 - size.breathTenths)) / 10),
      maxBreathSeconds: Math.round(Math.max(1, ratio) * (breath * 10 + size.breathTenths)) / 10,
      pinned: chance.yes(0.15),
    },
  };
}

function randomOverride(chance: Random): { paceMultiplier: number | null; inhaleShare: number | null } {
  return {
    paceMultiplier: chance.yes(0.3) ? chance.whole(70, 140) / 100 : null,
    inhaleShare: chance.yes(0.3) ? chance.whole(30, 60) / 100 : null,
  };
}

/** Now and then neighbours are one block, done again on the other side. */
function inBlocks(chance: Random, steps: readonly Step[], { everything = true }: RandomPlanSize): Step[] {
  let blockId: string | null = null;
  let count = 0;
  return steps.map((step) => {
    if (everything && chance.yes(0.2)) blockId = blockId === null && chance.yes(0.7) ? `block${++count}` : null;
    return { ...step, blockId };
  });
}

/** Lines over rounds, an own pace, a hold or a silence, in every place there is. */
function randomDuring(chance: Random, newId: NewId): DuringLine[] {
  return Array.from({ length: chance.whole(0, 4) }, () => {
    const on = chance.pick(DURING_PLACES);
    const text = chance.pick([
      'A little lower this time.',
      'Soft.',
      'And if the shoulders have crept up, let them go again.',
    ]);
    return makeDuring(newId, text, {
      on,
      number: on === 'anywhere' ? 0 : on === 'time' ? chance.whole(0, 90) : chance.whole(1, 5),
      side: chance.pick(DURING_SIDES),
    });
  });
}

function randomStep(chance: Random, newId: NewId, size: RandomPlanSize): Step {
  const all = size.everything ?? true;
  const kind = chance.next();
  const choice = all ? randomChoice(chance) : {};
  const accompanying = all ? { goesWith: chance.pick(COMPANIONS) } : {};
  if (kind < 0.62) return { ...randomMovement(chance, newId, size.choicesAtMost, all), ...choice };
  if (kind < 0.76) return { ...randomQuiet(chance, newId, all), ...choice, ...accompanying };
  if (kind < 0.9) {
    const talk = makeTalk(newId, 'Talk', ['Feet a hand’s width apart.', 'Knees easy.']);
    const tempo = all && chance.yes(0.4) ? { minTempo: 0.9, maxTempo: chance.pick([1, 1.1, 1.25]) } : {};
    const time =
      all && chance.yes(0.3) ? { timed: true, seconds: 30, preferredSeconds: 30, minSeconds: 20, maxSeconds: 45 } : {};
    return { ...talk, ...tempo, ...time, caution: all && chance.yes(0.1), ...choice, ...accompanying };
  }
  return makeTransition(newId, 'Feet together', chance.whole(3, 8), 'Step in.', { ...choice, ...accompanying });
}

function randomChoice(chance: Random) {
  return { priority: chance.pick(PRIORITIES), pinned: chance.yes(0.15), skipped: chance.yes(0.1) };
}

function randomQuiet(chance: Random, newId: NewId, all: boolean): Step {
  const preferredSeconds = chance.whole(15, 90);
  return makeSilence(newId, 'Quiet', {
    preferredSeconds,
    seconds: preferredSeconds,
    minSeconds: chance.whole(5, preferredSeconds),
    maxSeconds: chance.whole(preferredSeconds, 150),
    pinned: chance.yes(0.25),
    openingLine: chance.yes(0.5) ? 'Stand, and let the breath be.' : '',
    during: all ? randomDuring(chance, newId) : [],
  });
}

function randomMovement(chance: Random, newId: NewId, choicesAtMost: number, all: boolean): Step {
  const multiple = chance.pick([1, 1, 1, 2, 3]);
  const min = multiple * chance.whole(1, 2);
  const max = min + multiple * chance.whole(0, choicesAtMost - 1);
  const preferredRounds = chance.whole(min, max);
  const preferredSeconds = chance.whole(30, 120);
  return makeMovement(newId, 'Movement', {
    sides: chance.pick(SIDE_PLANS),
    pacedBy: all ? chance.pick([...PACINGS, 'breath', 'breath', 'breath']) : 'breath',
    preferredSeconds,
    minSeconds: chance.whole(20, preferredSeconds),
    maxSeconds: chance.whole(preferredSeconds, 200),
    preferredRounds,
    rounds: preferredRounds,
    minRounds: min,
    maxRounds: max,
    multiple,
    pinned: chance.yes(0.15),
    paceMultiplier: chance.pick([1, 1, 1, 0.75, 1.25]),
    inhaleShare: all && chance.yes(0.2) ? 0.4 : null,
    teach: chance.yes(0.5) ? spokenLines(newId, ['Watch one, then join in.']) : [],
    during: all && chance.yes(0.4) ? randomDuring(chance, newId) : [],
    pattern: [
      makePhase(newId, { kind: 'inhale' }),
      ...(chance.yes(0.3)
        ? [makePhase(newId, { kind: 'hold', share: null, seconds: 1.5, ...(all ? randomRounds(chance) : {}) })]
        : []),
      makePhase(newId, { kind: 'exhale' }),
      ...(chance.yes(0.2)
        ? [makePhase(newId, { kind: 'inhale', share: 0.4 }), makePhase(newId, { kind: 'exhale', share: 0.6 })]
        : []),
    ],
  });
}

/** From which round to which a phase is part of it; mostly of all. */
function randomRounds(chance: Random): { readonly fromRound: number; readonly toRound: number | null } {
  if (chance.yes(0.6)) return { fromRound: 1, toRound: null };
  const fromRound = chance.whole(1, 3);
  return { fromRound, toRound: chance.yes(0.5) ? fromRound + chance.whole(0, 2) : null };
}
