import { describe, expect, it } from 'vitest';
import { makeDuring, makePhase, type DuringLine, type MovementContent } from '@/core/movement';
import {
  emptyPlan,
  makeMovement,
  makeSection,
  makeSilence,
  makeTalk,
  makeTransition,
  performedSteps,
  type ClassPlan,
  type Step,
} from '@/core/plan';
import { firstItems, itemAt } from '@/core/units';
import { expandPlan } from '.';

let count = 0;
const newId = (): string => `d${++count}`;
const planOf = (...steps: Step[]): ClassPlan => ({
  ...emptyPlan(newId, 'Sample', 600, 10),
  sections: [makeSection(newId, 'main', steps)],
});
const over = (text: string, part: Partial<DuringLine> = {}): DuringLine => makeDuring(newId, text, part);
const swaying = (part: Partial<MovementContent> = {}): Step =>
  makeMovement(newId, 'Swaying', {
    preferredRounds: 6,
    fade: ['full'],
    lastRoundLine: 'Last one.',
    pattern: [
      makePhase(newId, { kind: 'inhale', full: 'Breathe in, and sway out.', short: 'Sway out.' }),
      makePhase(newId, { kind: 'exhale', full: 'Breathe out, and sway home.', short: 'Home.' }),
    ],
    ...part,
  });
const said = (plan: ClassPlan) =>
  expandPlan(plan).cues.map(({ text, round, startSeconds }) => ({ text, round, startSeconds }));
const LONG =
  'This time let the hands hang a little lower, and feel how the weight comes over the foot that you lean on.';

describe('lines said while the rounds run', () => {
  it('are said on the rounds they name and take no time', () => {
    const without = planOf(swaying());
    const during = [
      over('Lower this time.', { on: 'round', number: 3 }),
      over('Soft knees.', { on: 'every', number: 2 }),
      over('Two more.', { on: 'last', number: 2 }),
    ];
    const plan = planOf(swaying({ during }));
    expect(expandPlan(plan).runtimeSeconds).toBe(expandPlan(without).runtimeSeconds);
    const rounds = (text: string): number[] =>
      said(plan)
        .filter((cue) => cue.text === text)
        .map(({ round }) => round);
    expect([rounds('Lower this time.'), rounds('Soft knees.'), rounds('Two more.')]).toEqual([[3], [2, 4, 6], [5]]);
  });

  it('have the words of the phases give way, shorter first, and never an announcement', () => {
    const cues = said(planOf(swaying({ during: [over(LONG, { on: 'round', number: 3 })] })));
    const third = cues.filter(({ round }) => round === 3).map(({ text }) => text);
    expect(third).toContain(LONG);
    expect(third).not.toContain('Breathe out, and sway home.');
    expect(cues.filter(({ text }) => text.startsWith('Last one.')).length).toBe(1);
    const { cues: timed } = expandPlan(planOf(swaying({ during: [over(LONG, { on: 'round', number: 3 })] })));
    timed
      .slice(1)
      .forEach((cue, at) => expect(cue.startSeconds).toBeGreaterThanOrEqual(itemAt(timed, at).endSeconds - 1e-9));
  });

  it('are spread where nothing else is said of them, in order, with room between', () => {
    const cues = said(
      planOf(swaying({ during: ['One thought.', 'Another one.', 'A third.'].map((text) => over(text)) })),
    );
    const found = cues.filter(({ text }) => ['One thought.', 'Another one.', 'A third.'].includes(text));
    expect(found.map(({ text }) => text)).toEqual(['One thought.', 'Another one.', 'A third.']);
    const [first, second, third] = firstItems(found, 3);
    expect(first.round).toBeGreaterThan(1);
    expect(third.round).toBeLessThan(6);
    expect(second.startSeconds - first.startSeconds).toBeGreaterThan(8);
    expect(third.startSeconds - second.startSeconds).toBeGreaterThan(8);
  });

  it('are said on the side they are for', () => {
    const during = [over('Other knee too.', { on: 'round', number: 2, side: 'second' })];
    const { cues } = expandPlan(planOf(swaying({ sides: 'one-then-other', during })));
    expect(cues.filter(({ text }) => text === 'Other knee too.').map(({ side }) => side)).toEqual(['right']);
  });
});

describe('what else a movement can be', () => {
  it('is led for some rounds, then goes on at its own pace until it is called back', () => {
    const step = makeMovement(newId, 'Swaying', {
      pacedBy: 'breath-then-own-pace',
      preferredRounds: 3,
      preferredSeconds: 60,
      moments: { naming: '', caution: '', roundsLeft: '', leaving: '', sending: 'Go on by yourselves.' },
      lastRoundLine: 'Two more, and come home.',
      callBackLeadSeconds: 12,
      during: [over('However it comes today.')],
      teach: [],
    });
    const { cues, phases, steps } = expandPlan(planOf(step));
    const [timed] = firstItems(steps, 1);
    expect(phases.filter(({ kind }) => kind === 'inhale').length).toBe(3);
    const own = phases.find(({ kind }) => kind === 'free');
    expect((own?.endSeconds ?? 0) - (own?.startSeconds ?? 0)).toBeCloseTo(60, 6);
    const texts = cues.map(({ text }) => text);
    expect(texts.slice(-3)).toEqual(['Go on by yourselves.', 'However it comes today.', 'Two more, and come home.']);
    expect(texts.some((text) => text.includes('Last one'))).toBe(false);
    expect(timed.endSeconds - (cues.at(-1)?.endSeconds ?? 0)).toBeCloseTo(12, 2);
    expect(timed.rounds).toBe(3);
  });

  it('is called back no earlier than in the middle, however long before its end that is asked for', () => {
    const step = makeMovement(newId, 'Swaying', {
      pacedBy: 'own-pace',
      preferredSeconds: 20,
      lastRoundLine: 'And come home.',
      callBackLeadSeconds: 60,
      teach: [],
    });
    const { cues, steps } = expandPlan(planOf(makeTalk(newId, 'Before', [['We sway in a while.', 30]]), step));
    const swaying = itemAt(steps, 1);
    const [call] = firstItems(cues.slice(-1), 1);
    const after = swaying.endSeconds - call.endSeconds;
    expect(call.text).toBe('And come home.');
    expect(after).toBeCloseTo(call.startSeconds - swaying.startSeconds, 1);
    expect(after).toBeGreaterThan(5);
  });

  it('is a posture that is held, each side, with words over it', () => {
    const step = makeMovement(newId, 'Low stance', {
      pacedBy: 'held',
      sides: 'one-then-other',
      preferredSeconds: 60,
      during: [over('Breathe into the {side} hip.', { side: 'each' })],
      sideChangeLine: 'And the {side}.',
    });
    const { cues, phases } = expandPlan(planOf(step));
    expect(phases.filter(({ kind }) => kind === 'hold').map(({ side }) => side)).toEqual(['left', 'right']);
    expect(cues.map(({ text }) => text)).toEqual([
      'Breathe into the left hip.',
      'And the right.',
      'Breathe into the right hip.',
    ]);
  });

  it('counts each turn where the sides alternate turn by turn, so that there may be five', () => {
    const { cues, phases } = expandPlan(planOf(swaying({ sides: 'turn-by-turn', preferredRounds: 5 })));
    expect(phases.filter(({ kind }) => kind === 'inhale').map(({ side }) => side)).toEqual([
      'left',
      'right',
      'left',
      'right',
      'left',
    ]);
    expect(cues.filter(({ text }) => text.startsWith('Last one.')).map(({ round }) => round)).toEqual([5]);
  });

  it('goes both ways on each leg, with a change of direction and one of side', () => {
    const step = swaying({
      sides: 'both-directions-each-side',
      preferredRounds: 2,
      sideChangeLine: 'Now the {side} leg.',
      pattern: [
        makePhase(newId, { kind: 'inhale', full: '{side}, {way}.' }),
        makePhase(newId, { kind: 'exhale', full: '' }),
      ],
    });
    const { cues, phases } = expandPlan(planOf(step));
    const sides = phases.filter(({ kind }) => kind === 'inhale').map(({ side }) => side);
    expect(sides.filter((_, at) => at % 2 === 0)).toEqual([
      'left-one-way',
      'left-other-way',
      'right-one-way',
      'right-other-way',
    ]);
    expect(cues.map(({ text }) => text.replace('Last one. ', ''))).toEqual([
      'Left, anticlockwise.',
      'Left, anticlockwise.',
      'And the other way.',
      'Left, clockwise.',
      'Left, clockwise.',
      'Now the right leg.',
      'Right, anticlockwise.',
      'Right, anticlockwise.',
      'And the other way.',
      'Right, clockwise.',
      'Right, clockwise.',
    ]);
  });

  it('has a pattern that changes on a round', () => {
    const [inhale, exhale] = [makePhase(newId, { kind: 'inhale' }), makePhase(newId, { kind: 'exhale' })];
    const hold = makePhase(newId, { kind: 'hold', share: null, seconds: 2, fromRound: 3 });
    const { phases, runtimeSeconds } = expandPlan(
      planOf(swaying({ pattern: [inhale, hold, exhale], preferredRounds: 4 })),
    );
    expect(phases.filter(({ kind }) => kind === 'hold').map(({ round }) => round)).toEqual([3, 4]);
    expect(runtimeSeconds).toBeCloseTo(4 * 10 + 2 * 2, 6);
  });

  it('breathes its own way', () => {
    const pattern = [makePhase(newId, { kind: 'exhale', full: 'Breathe {out}.' })];
    const { cues } = expandPlan(
      planOf(swaying({ pattern, breathWay: 'nose-mouth', outBreath: 'long', preferredRounds: 1 })),
    );
    expect(cues[0]?.text).toBe('Breathe slowly out through the mouth.');
  });
});

describe('a silence with guidance', () => {
  it('says its lines over it, and repeats no reassurance close to them', () => {
    const step = makeSilence(newId, 'Rest', {
      preferredSeconds: 120,
      openingLine: 'Close the eyes.',
      during: [
        over('Feel the soles.'),
        over('And the crown of the head.'),
        over('Hands last.', { on: 'time', number: 95 }),
      ],
      reassuranceLine: 'Nothing to do.',
      reassuranceEverySeconds: 20,
      callBackLine: 'Come back.',
    });
    const { cues } = expandPlan(planOf(step));
    const guidance = cues.filter(({ source }) => source.part === 'during').map(({ text }) => text);
    expect(guidance).toEqual(['Feel the soles.', 'And the crown of the head.', 'Hands last.']);
    cues.slice(1).forEach((cue, at) => expect(cue.startSeconds).toBeGreaterThanOrEqual(itemAt(cues, at).endSeconds));
    expect(cues.at(-1)?.text).toBe('Come back.');
  });
});

describe('a reassurance in a silence', () => {
  const saidIn = (...during: ReturnType<typeof over>[]): number[] => {
    const reassuranceLine = 'Nothing to do.';
    const step = makeSilence(newId, 'Rest', {
      preferredSeconds: 100,
      during,
      reassuranceLine,
      reassuranceEverySeconds: 20,
    });
    const { cues } = expandPlan(planOf(step));
    return cues.filter(({ text }) => text === reassuranceLine).map(({ startSeconds }) => Math.round(startSeconds));
  };

  it('is said every so often, but where something else is said about then', () => {
    const every = saidIn();
    expect(every.length).toBe(4);
    const close = saidIn(over('Hands last.', { on: 'time', number: itemAt(every, 1) }));
    expect(close).toEqual(every.filter((_, at) => at !== 1));
    const between = saidIn(over('Hands last.', { on: 'time', number: itemAt(every, 1) + 10 }));
    expect(between).toEqual(every);
  });
});

describe('a talk with a time of its own', () => {
  it('takes it, and never less than its words', () => {
    const talk = {
      ...makeTalk(newId, 'Welcome', [
        ['Good morning.', 1],
        ['Stand easy.', 1],
      ]),
      timed: true,
      seconds: 40,
    };
    expect(expandPlan(planOf(talk)).runtimeSeconds).toBe(40);
    expect(expandPlan(planOf({ ...talk, seconds: 1 })).runtimeSeconds).toBeGreaterThan(3);
    expect(expandPlan(planOf({ ...talk, lines: [] })).runtimeSeconds).toBe(40);
  });
});

describe('a block that is done again on the other side', () => {
  it('is written once, and performed a second time with its sides turned', () => {
    const block = (step: Step): Step => ({ ...step, blockId: 'b1' });
    const plan = planOf(
      block(makeTransition(newId, 'Step', 5, 'The {side} foot forward.', { stance: 'left-forward' })),
      block(
        swaying({
          sides: 'one-side',
          preferredRounds: 2,
          pattern: [makePhase(newId, { kind: 'inhale', full: 'To the {side}.' })],
        }),
      ),
      swaying({ preferredRounds: 1 }),
    );
    const timeline = expandPlan(plan);
    expect(timeline.cues.slice(0, 6).map(({ text }) => text.replace('Last one. ', ''))).toEqual([
      'The left foot forward.',
      'To the left.',
      'To the left.',
      'The right foot forward.',
      'To the right.',
      'To the right.',
    ]);
    expect(new Set(timeline.cues.map(({ id }) => id)).size).toBe(timeline.cues.length);
    const performed = performedSteps(plan);
    expect(performed.map(({ pass }) => pass)).toEqual([1, 1, 2, 2, 1]);
    expect(itemAt(performed, 2).step).toMatchObject({ stance: 'right-forward' });
    expect(itemAt(performed, 2).source.id).toBe(itemAt(performed, 0).step.id);
  });
});
