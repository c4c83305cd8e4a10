import { describe, expect, it } from 'vitest';
import { firstItems, itemAt, Random } from '@/core/units';
import { randomPlan } from '../../../tests/support/random-plan';
import { USUAL_STYLE } from '@/core/words';
import { makePhase, SIDE_PLANS, NO_MOMENTS, NO_SHORTS, spokenLines } from '@/core/movement';
import {
  emptyPlan,
  makeMovement,
  makeSilence,
  makeSection,
  makeTalk,
  makeTransition,
  type ClassPlan,
  type MovementStep,
  type Step,
} from '@/core/plan';
import { cueAt, expandPlan, moreRoundsSeconds, nextCue, phaseAt, stepAt } from '.';

let count = 0;
const newId = (): string => `x${++count}`;

function planOf(...steps: Step[]): ClassPlan {
  return { ...emptyPlan(newId, 'Sample', 600, 9), sections: [makeSection(newId, 'main', steps)] };
}

const turning = (part: Parameters<typeof makeMovement>[2] = {}): Step =>
  makeMovement(newId, 'Turning', {
    preferredRounds: 3,
    teach: spokenLines(newId, [['Turning. Watch one.', 2]]),
    pattern: [
      makePhase(newId, { kind: 'inhale', full: 'In, to the {side}.', short: 'In, {side}.' }),
      makePhase(newId, { kind: 'exhale' }),
    ],
    lastRoundLine: 'Last one.',
    ...part,
  });

const words = (plan: ClassPlan): string[] => expandPlan(plan).cues.map((cue) => cue.text);

describe('the timeline', () => {
  it('speaks the lines of a talk as slowly as its tempo says', () => {
    const lengthAt = (tempo: number): number => {
      const talk = makeTalk(newId, 'Talk', [['Let the shoulders hang from the neck.', 2]]);
      const cue = itemAt(expandPlan(planOf({ ...talk, tempo })).cues, 0);
      return cue.endSeconds - cue.startSeconds;
    };
    expect(lengthAt(1.2) / lengthAt(1)).toBeCloseTo(1.2, 2);
    expect(lengthAt(0.85) / lengthAt(1)).toBeCloseTo(0.85, 2);
  });

  it('covers the class without gap or overlap, and its runtime is the sum of its parts', () => {
    for (let seed = 1; seed <= 40; seed++) {
      const timeline = expandPlan(randomPlan(new Random(seed), { steps: 15, breathTenths: 4, choicesAtMost: 5 }));
      let at = 0;
      for (const phase of timeline.phases) {
        expect(phase.startSeconds, `seed ${seed}`).toBe(at);
        expect(phase.endSeconds, `seed ${seed}`).toBeGreaterThan(at);
        at = phase.endSeconds;
      }
      expect(timeline.runtimeSeconds, `seed ${seed}`).toBe(at);
      expect(timeline.sections.at(-1)?.endSeconds, `seed ${seed}`).toBe(at);
    }
  });

  it('keeps cues in order, with ids of their own, starting by their lead before the motion', () => {
    for (let seed = 1; seed <= 40; seed++) {
      const { cues } = expandPlan(randomPlan(new Random(seed), { steps: 15, breathTenths: 4, choicesAtMost: 5 }));
      expect(new Set(cues.map((cue) => cue.id)).size, `seed ${seed}`).toBe(cues.length);
      cues.forEach((cue, index) => {
        expect(cue.startSeconds, `seed ${seed}`).toBeGreaterThanOrEqual(cues[index - 1]?.startSeconds ?? 0);
        expect(cue.motionSeconds - cue.startSeconds, `seed ${seed}`).toBeLessThanOrEqual(0.8 + 1e-9);
        expect(cue.endSeconds, `seed ${seed}`).toBeGreaterThan(cue.startSeconds);
      });
    }
  });

  it('times the teach by speech and the rounds by the breath', () => {
    const timeline = expandPlan(planOf(turning()));
    const [step] = firstItems(timeline.steps, 1);
    expect(step.roundSeconds).toBe(9);
    expect(step.teachSeconds).toBeGreaterThan(3);
    expect(timeline.runtimeSeconds).toBeCloseTo(step.teachSeconds + 27, 6);
  });

  it('tells rounds in short where their words are not full, and the change of side where the full line is too long', () => {
    const shorts = { ...NO_SHORTS, lastRound: 'Last.', sideChange: 'Other side.' };
    const sideChangeLine = 'And now, when you are ready for it, the very same thing on the other side of the hall.';
    const part = { sides: 'one-then-other', shorts, sideChangeLine, sideChangeSeconds: 4, teach: [] } as const;
    const thin = words(planOf(turning({ ...part, fade: ['full', 'short'] })));
    expect(thin.filter((text) => text.startsWith('Last'))).toEqual(['Last. In, left.', 'Last. In, right.']);
    expect(thin).toContain('Other side.');
    const full = words(planOf(turning({ ...part, fade: ['full'], sideChangeSeconds: 12 })));
    expect(full.filter((text) => text.startsWith('Last')).map((text) => text.slice(0, 9))).toEqual([
      'Last one.',
      'Last one.',
    ]);
    expect(full).toContain(sideChangeLine);
  });

  it('says around the rounds as much as is chosen, and a caution always', () => {
    const part = {
      sides: 'together',
      moments: { ...NO_MOMENTS, naming: 'This is Turning.', caution: 'Mind the neck.', leaving: 'And leave it.' },
      shorts: { ...NO_SHORTS, naming: 'Turning.', caution: 'Neck.' },
      levels: [{ name: 'Small', note: '', lines: ['Smaller is fine.'] }],
      fade: ['silent'],
      lastRoundLine: '',
    } as const;
    const saying = (intro: MovementStep['intro']): string[] =>
      words({ ...planOf(turning({ ...part, intro })), style: { ...USUAL_STYLE, counting: 'none' } });
    expect(saying('full')).toEqual([
      'This is Turning.',
      'Mind the neck.',
      'Turning. Watch one.',
      'Smaller is fine.',
      'And leave it.',
    ]);
    expect(saying('short')).toEqual(['Turning.', 'Neck.', 'Smaller is fine.', 'And leave it.']);
    expect(saying('silent')).toEqual(['Mind the neck.']);
  });

  it('keeps the pause of the voice after a line at a moment', () => {
    const plan = planOf(turning({ teach: [], moments: { ...NO_MOMENTS, naming: 'Turning.' } }));
    const slow = { ...plan, voice: { ...plan.voice, pauseSeconds: 2.5 } };
    expect(expandPlan(slow).runtimeSeconds - expandPlan(plan).runtimeSeconds).toBeCloseTo(1.5, 6);
  });

  it('thins words out by the fade and announces the last round once', () => {
    expect(words(planOf(turning({ sides: 'together' })))).toEqual([
      'Turning. Watch one.',
      'In, to the .',
      'Out.',
      'In, .',
      'Out.',
      'Last one. In.',
      'Out.',
    ]);
  });

  it('alternates sides, the last round announced with its first side', () => {
    const timeline = expandPlan(
      planOf(turning({ sides: 'alternating', teach: [], preferredRounds: 2, rounds: 2, startSide: 'right' })),
    );
    expect(timeline.cues.map((cue) => [cue.round, cue.side, cue.text])).toEqual([
      [1, 'right', 'In, to the right.'],
      [1, 'right', 'Out.'],
      [1, 'left', 'In, to the left.'],
      [1, 'left', 'Out.'],
      [2, 'right', 'Last one. In, right.'],
      [2, 'right', 'Out.'],
      [2, 'left', 'In, left.'],
      [2, 'left', 'Out.'],
    ]);
    expect(timeline.runtimeSeconds).toBe(36);
  });

  it('does all of one side and then the other, with the change between them', () => {
    const plan = planOf(
      turning({
        sides: 'one-then-other',
        teach: [],
        preferredRounds: 2,
        rounds: 2,
        sideChangeLine: 'Now the {side}.',
        sideChangeSeconds: 6,
      }),
    );
    const timeline = expandPlan(plan);
    expect(timeline.cues.map((cue) => cue.text)).toEqual([
      'In, to the left.',
      'Out.',
      'Last one. In, left.',
      'Out.',
      'Now the right.',
      'In, to the right.',
      'Out.',
      'Last one. In, right.',
      'Out.',
    ]);
    expect(timeline.runtimeSeconds).toBe(4 * 9 + 6);
    expect(timeline.phases.map((phase) => phase.side)).toEqual([
      'left',
      'left',
      'left',
      'left',
      null,
      'right',
      'right',
      'right',
      'right',
    ]);
  });

  it('calls back so that the call ends with the quiet, which is never shorter than its words', () => {
    const quiet = makeSilence(newId, 'Quiet', {
      preferredSeconds: 40,
      openingLine: 'Stand.',
      callBackLine: 'And come back to the room.',
    });
    const timeline = expandPlan(planOf(quiet));
    expect(timeline.runtimeSeconds).toBe(40);
    expect(itemAt(timeline.cues, 1).endSeconds).toBeCloseTo(40, 6);
    const cramped = expandPlan(planOf({ ...quiet, seconds: 1 }));
    expect(cramped.runtimeSeconds).toBeGreaterThan(2);
    expect(itemAt(cramped.cues, 0).endSeconds).toBeLessThan(itemAt(cramped.cues, 1).startSeconds);
  });

  it('lets a first cue wait for the spoken line ahead of it', () => {
    const timeline = expandPlan(
      planOf(makeTransition(newId, 'Step', 0, 'Step the feet as wide as your hips.'), turning({ teach: [] })),
    );
    expect(itemAt(timeline.cues, 1).startSeconds).toBe(itemAt(timeline.cues, 0).endSeconds);
  });

  it.each(SIDE_PLANS)('tells what a round more would add (%s)', (sides) => {
    const step = turning({ sides, multiple: 3 });
    if (step.kind !== 'movement') throw new Error('no movement');
    const now = expandPlan(planOf(step));
    const then = expandPlan(planOf({ ...step, rounds: step.rounds + step.multiple }));
    expect(moreRoundsSeconds(step, itemAt(now.steps, 0))).toBeCloseTo(then.runtimeSeconds - now.runtimeSeconds, 6);
  });

  it('says nothing for a class of nothing', () => {
    const timeline = expandPlan(planOf());
    expect([timeline.runtimeSeconds, timeline.cues.length, timeline.phases.length]).toEqual([0, 0, 0]);
    expect([phaseAt(timeline, 0), stepAt(timeline, 0), cueAt(timeline, 0), nextCue(timeline, 0)]).toEqual([
      null,
      null,
      null,
      null,
    ]);
  });

  it('gives a last round to a class that breathes slower as it goes', () => {
    const plan = planOf(turning({ teach: [] }), turning({ teach: [] }), turning({ teach: [] }));
    const slower = { ...plan, pace: { ...plan.pace, breathSeconds: 8, closingRatio: 1.5 } };
    expect(expandPlan(slower).steps.map((step) => step.breathSeconds)).toEqual([8, 10, 12]);
    expect(expandPlan(slower).runtimeSeconds).toBe(3 * (8 + 10 + 12));
  });
});

describe('queries by time', () => {
  const timeline = expandPlan(planOf(makeTalk(newId, 'Talk', [['Welcome.', 4]]), turning({ teach: [] })));

  it('include the start of a stretch and not its end', () => {
    const [talk, movement] = firstItems(timeline.steps, 2);
    expect(stepAt(timeline, 0)).toBe(talk);
    expect(stepAt(timeline, talk.endSeconds)).toBe(movement);
    expect(phaseAt(timeline, timeline.runtimeSeconds)).toBeNull();
    expect(stepAt(timeline, -1)).toBeNull();
  });

  it('agree with a plain search', () => {
    for (let at = -1; at < timeline.runtimeSeconds + 1; at += 0.37) {
      expect(phaseAt(timeline, at)).toBe(
        timeline.phases.find((phase) => phase.startSeconds <= at && at < phase.endSeconds) ?? null,
      );
      expect(cueAt(timeline, at)).toBe(timeline.cues.findLast((cue) => cue.startSeconds <= at) ?? null);
      expect(nextCue(timeline, at)).toBe(timeline.cues.find((cue) => cue.startSeconds > at) ?? null);
    }
  });
});
