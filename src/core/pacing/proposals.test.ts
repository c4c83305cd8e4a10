import { firstItems, itemAt } from '@/core/units';
import { describe, expect, it } from 'vitest';
import {
  applyEdit,
  emptyPlan,
  makeLength,
  makeMovement,
  makeSilence,
  makeSection,
  makeTalk,
  planMilliseconds,
  withLengthPin,
  type ClassPlan,
  type Edit,
  type Step,
} from '@/core/plan';
import { expandPlan } from '@/core/timeline';
import { fitLength, fitPlan, fitting, proposeFits, reachOf } from '.';

let count = 0;
const newId = (): string => `q${++count}`;

function planOf(targetSeconds: number, steps: readonly Step[], pace: Partial<ClassPlan['pace']> = {}): ClassPlan {
  const plan = emptyPlan(newId, 'Sample', targetSeconds, 9);
  return { ...plan, pace: { ...plan.pace, ...pace }, sections: [makeSection(newId, 'main', steps)] };
}

const movement = (part: Parameters<typeof makeMovement>[2] = {}): Step =>
  makeMovement(newId, 'Movement', { preferredRounds: 4, minRounds: 2, maxRounds: 8, priority: 'always', ...part });

function taken(plan: ClassPlan, edit: Edit | null): ClassPlan {
  const applied = edit ? applyEdit(plan, edit) : null;
  return applied?.ok ? applied.value.plan : plan;
}

describe('proposals', () => {
  const steps = [
    movement(),
    movement({ priority: 'low' }),
    movement(),
    makeSilence(newId, 'Quiet', { preferredSeconds: 40 }),
  ];
  const plan = planOf(120, steps);
  const found = proposeFits(plan);
  if (!found.feasible) throw new Error('no proposals');
  const byWay = new Map(found.proposals.flatMap(({ ways, fit }) => ways.map((way) => [way, fit])));

  it('keep what they say, and all land', () => {
    expect([...byWay.keys()].sort()).toEqual(['balanced', 'keep-breath', 'keep-rounds', 'skip-steps']);
    expect(byWay.get('keep-rounds')?.changes.some((change) => change.what === 'rounds')).toBe(false);
    expect(byWay.get('keep-breath')?.changes.some((change) => change.what === 'breath')).toBe(false);
    expect(byWay.get('skip-steps')?.changes.some((change) => change.what === 'left-out')).toBe(true);
    for (const { fit } of found.proposals) {
      expect(Math.abs(expandPlan(taken(plan, fit.edit)).runtimeSeconds - 120)).toBeLessThan(0.5);
    }
  });

  it('tell the seconds of each change, and they add up to the difference', () => {
    for (const { fit } of found.proposals) {
      const sum = fit.changes.reduce((total, change) => total + change.seconds, 0);
      expect(sum).toBeCloseTo(fit.runtimeSeconds - planMilliseconds(plan) / 1000, 6);
    }
  });

  it('are one where two ways choose the same', () => {
    const same = proposeFits(planOf(72, [movement(), movement()]));
    expect(same.feasible && same.proposals.map(({ ways }) => ways.length)).toEqual([4]);
  });
});

describe('movements led by the clock and at their own pace', () => {
  it('fill a time with whole rounds, whatever the breath', () => {
    const clock = movement({
      pacedBy: 'clock',
      preferredSeconds: 60,
      minSeconds: 40,
      maxSeconds: 90,
      sides: 'alternating',
    });
    const plan = planOf(150, [clock, movement(), makeSilence(newId, 'Quiet', { preferredSeconds: 40 })]);
    const fit = fitPlan(plan);
    if (!fit.feasible) throw new Error(fit.reason);
    const after = taken(plan, fit.edit);
    const timed = itemAt(expandPlan(after).steps, 0);
    const length = timed.endSeconds - timed.startSeconds;
    expect(Number.isInteger(timed.rounds)).toBe(true);
    expect(length).toBeGreaterThanOrEqual(40);
    expect(length).toBeLessThanOrEqual(90);
    expect(length).toBeCloseTo(timed.rounds * timed.roundSeconds, 6);
    // By hand: rounds follow from the time when the breath changes.
    const slower = expandPlan({ ...after, pace: { ...after.pace, breathSeconds: after.pace.breathSeconds * 2 } });
    expect(itemAt(slower.steps, 0).rounds).toBeLessThan(timed.rounds);
  });

  it('stretch at their own pace, with the call-back before the end of each side', () => {
    const own = movement({
      pacedBy: 'own-pace',
      preferredSeconds: 60,
      minSeconds: 30,
      maxSeconds: 120,
      sides: 'both-directions',
      lastRoundLine: 'And come back.',
    });
    const plan = planOf(100, [own]);
    const fit = fitPlan(plan);
    expect(fit.feasible && fit.changes.map((change) => change.what)).toEqual(['time']);
    const timeline = expandPlan(taken(plan, fit.feasible ? fit.edit : null));
    expect(Math.abs(timeline.runtimeSeconds - 100)).toBeLessThan(0.5);
    expect(timeline.phases.filter((phase) => phase.kind === 'free').map((phase) => phase.side)).toEqual([
      'one-way',
      'other-way',
    ]);
    const calls = timeline.cues.filter((cue) => cue.source.part === 'lastRoundLine');
    // With eight seconds to come back in.
    expect(calls.map((cue) => cue.dueSeconds - cue.endSeconds)).toEqual([8, 8]);
  });
});

describe('talks with a tempo', () => {
  it('are said slower or quicker within their bounds, line by line, to the millisecond', () => {
    const talk = {
      ...makeTalk(newId, 'Talk', ['Stand easy.', 'Let the shoulders hang.']),
      minTempo: 0.9,
      maxTempo: 1.25,
    };
    const plain = planMilliseconds(planOf(60, [talk])) / 1000;
    for (const target of [plain * 0.95, plain * 1.2]) {
      const plan = planOf(target, [talk, movement({ pinned: true })]);
      const aimed = { ...plan, targetSeconds: target + 36 };
      const fit = fitPlan(aimed);
      if (!fit.feasible) throw new Error(fit.reason);
      const timeline = expandPlan(taken(aimed, fit.edit));
      expect(Math.abs(timeline.runtimeSeconds - aimed.targetSeconds)).toBeLessThan(0.5);
      expect(timeline.runtimeSeconds).toBeCloseTo(fit.runtimeSeconds, 9);
    }
  });
});

describe('what a person has just set', () => {
  it('is left alone by the fit that follows', () => {
    const steps = [movement(), movement(), movement()];
    const plan = planOf(108, steps);
    const edit: Edit = { kind: 'set-step', stepId: itemAt(steps, 0).id, field: 'rounds', value: 8 };
    const after = taken(plan, edit);
    const fit = fitPlan(after, 108, { held: { stepIds: [itemAt(steps, 0).id], breath: true } });
    if (!fit.feasible) throw new Error(fit.reason);
    const landed = taken(after, fit.edit);
    expect(itemAt(landed.sections, 0).steps[0]).toMatchObject({ rounds: 8 });
    expect(landed.pace.breathSeconds).toBe(9);
    expect(Math.abs(expandPlan(landed).runtimeSeconds - 108)).toBeLessThan(0.5);
  });
});

describe('lengths from one source', () => {
  it('land on their own targets with their own pins, and follow an edit of the source', () => {
    const steps = [
      movement(),
      movement({ priority: 'low' }),
      movement({ priority: 'middle' }),
      makeSilence(newId, 'Q', {}),
    ];
    const plan = planOf(150, steps);
    const [short] = firstItems(withLengthPin([makeLength(newId, 'short', 80, 'skip-steps')], '', '', {}), 1);
    const fitted = fitLength(plan, short);
    expect(fitted.fit.feasible).toBe(true);
    expect(itemAt(fitted.plan.sections, 0).steps.some((step) => step.skipped)).toBe(true);
    expect(Math.abs(expandPlan(fitted.plan).runtimeSeconds - 80)).toBeLessThan(0.5);
    const [pinned] = firstItems(withLengthPin([short], short.id, itemAt(steps, 0).id, { rounds: 6 }), 1);
    expect(itemAt(fitLength(plan, pinned).plan.sections, 0).steps[0]).toMatchObject({ rounds: 6, skipped: false });
    const renamed = taken(plan, { kind: 'set-step', stepId: itemAt(steps, 0).id, field: 'name', value: 'Renamed' });
    expect(itemAt(itemAt(fitLength(renamed, short).plan.sections, 0).steps, 0).name).toBe('Renamed');
  });
});

describe('the least set of bounds to loosen', () => {
  it('is as few as can be, no further than needed, and the class then fits', () => {
    const steps = [4, 5, 6].map((preferredRounds) => movement({ preferredRounds, minRounds: 4, maxRounds: 6 }));
    const plan = planOf(90, steps, { minBreathSeconds: 9, maxBreathSeconds: 9 });
    const fit = fitPlan(plan);
    if (fit.feasible) throw new Error('it should not fit');
    expect(fit).toMatchObject({ reason: 'below-reach', enough: true });
    // 108 s at least; one movement from 4 to 2 rounds gains the 18 s.
    expect(fit.loosen).toMatchObject([{ what: 'rounds', from: 4, to: 2, gainSeconds: 18 }]);
    const loosened = taken(plan, { kind: 'together', edits: fit.loosen.map((one) => one.edit) });
    expect(fitPlan(loosened).feasible).toBe(true);
    for (const one of fit.loosen) {
      const others = fit.loosen.filter((other) => other !== one).map((other) => other.edit);
      expect(fitPlan(taken(plan, { kind: 'together', edits: others })).feasible).toBe(false);
    }
  });

  it('asks for the time that is missing, where there is a bound in that size', () => {
    const wave = movement({ preferredRounds: 6, minRounds: 6, maxRounds: 6 });
    const quiet = makeSilence(newId, 'Quiet', { preferredSeconds: 40, minSeconds: 40, maxSeconds: 60 });
    const plan = planOf(84, [wave, quiet], { minBreathSeconds: 9, maxBreathSeconds: 9 });
    const fit = fitPlan(plan);
    // 94 s at least: a round is nine seconds, and two of them are eighteen.
    expect(!fit.feasible && fit.loosen).toMatchObject([{ what: 'time', stepId: quiet.id, from: 40, to: 30 }]);
  });

  it('asks for a shorter time of own pace after counted rounds', () => {
    const part = {
      preferredRounds: 3,
      minRounds: 3,
      maxRounds: 3,
      preferredSeconds: 60,
      minSeconds: 60,
      maxSeconds: 90,
    };
    const wave = movement({ ...part, pacedBy: 'breath-then-own-pace' });
    const fit = fitPlan(planOf(72, [wave], { minBreathSeconds: 9, maxBreathSeconds: 9 }));
    expect(!fit.feasible && fit.loosen).toMatchObject([{ what: 'time', from: 60, to: 45 }]);
  });

  it('takes pins out where only they hold it', () => {
    const plan = planOf(400, [movement({ pinned: true }), movement({ pinned: true })], { pinned: true });
    const fit = fitPlan(plan);
    expect(!fit.feasible && fit.loosen.length).toBeGreaterThan(0);
    expect(!fit.feasible && fit.loosen.every((one) => one.what === 'pin')).toBe(true);
  });
});

describe('a fit that is given up', () => {
  it('stops between its pieces', () => {
    const plan = planOf(
      500,
      Array.from({ length: 14 }, () => movement()),
    );
    const search = fitting(plan);
    let pieces = 0;
    while (!search.next().done && pieces < 1) pieces++;
    expect(pieces).toBe(1);
    search.return(undefined as never);
    expect(search.next().done).toBe(true);
  });
});

describe('faults', () => {
  it.each([
    ['bounds that contradict each other', { minRounds: 6, maxRounds: 3 }],
    ['a multiple that no bound allows', { multiple: 7, minRounds: 2, maxRounds: 6 }],
    [
      'a clock with bounds that no round fills',
      { pacedBy: 'clock', minSeconds: 1, maxSeconds: 2, preferredSeconds: 1 },
    ],
  ] as const)('%s leave the step as it is and fit the rest', (_, part) => {
    const odd = movement(part);
    const quiet = makeSilence(newId, 'Quiet', { preferredSeconds: 30, maxSeconds: 90 });
    const plan = { ...planOf(100, [odd, movement(), quiet]), landingSeconds: 0 };
    const fit = fitPlan(plan);
    expect(fit.feasible, JSON.stringify(fit)).toBe(true);
    const after = taken(plan, fit.feasible ? fit.edit : null);
    expect(Math.abs(expandPlan(after).runtimeSeconds - 100)).toBeLessThan(1);
  });

  it('a breath whose bounds leave nothing keeps the present one', () => {
    const plan = planOf(72, [movement(), movement()], { minBreathSeconds: 12, maxBreathSeconds: 10 });
    expect(fitPlan(plan)).toMatchObject({ feasible: true, edit: null });
  });

  it('steps of no length, everything pinned, a second, ten hours', () => {
    const empty = makeTalk(newId, 'Silent', []);
    expect(fitPlan(planOf(36, [empty, movement()]))).toMatchObject({ feasible: true });
    const pinned = planOf(36, [movement({ pinned: true })], { pinned: true });
    expect(fitPlan(pinned)).toMatchObject({ feasible: true, edit: null });
    expect(fitPlan(pinned, 40)).toMatchObject({ feasible: false, reason: 'above-reach' });
    expect(fitPlan(pinned, 1)).toMatchObject({ feasible: false, reason: 'below-reach' });
    const long = fitPlan(planOf(72, [movement(), movement()]), 36_000);
    expect(long).toMatchObject({ feasible: false, reason: 'above-reach', enough: false });
    expect(!long.feasible && long.loosen.every((one) => one.gainSeconds > 0)).toBe(true);
  });

  it('five hundred steps', () => {
    const steps = Array.from({ length: 500 }, (_, at) =>
      at % 5 === 4 ? makeSilence(newId, 'Quiet', {}) : movement({ priority: at % 3 === 0 ? 'low' : 'always' }),
    );
    const sections = [0, 1, 2].map((at) => makeSection(newId, 'main', steps.slice(at * 170, at * 170 + 170)));
    const plan = { ...planOf(600, []), sections, landingSeconds: 0 };
    const { shortestSeconds, longestSeconds } = reachOf(plan);
    const target = Math.round((shortestSeconds + longestSeconds) / 2);
    const fit = fitPlan(plan, target);
    expect(fit.feasible && fit.proven).toBe(true);
    expect(Math.abs(expandPlan(taken(plan, fit.feasible ? fit.edit : null)).runtimeSeconds - target)).toBeLessThan(1);
    const none = fitPlan(plan, Math.round(shortestSeconds * 0.98));
    expect(none).toMatchObject({ feasible: false, enough: true });
  }, 60_000);
});
