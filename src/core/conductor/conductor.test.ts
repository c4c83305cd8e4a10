import { firstItems, itemAt } from '@/core/units';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { applyEdit, stepsInOrder } from '@/core/plan';
import { expandPlan, nextCue } from '@/core/timeline';
import { demoClasses } from '@/demo/classes';
import { placeAt, projectedSeconds, READY, transition, type Effect, type Performance, type DoneEvent } from '.';

const timeline = expandPlan(itemAt(demoClasses(), 0).plan);

/** Plays `[kind, now]` events; gives the last state and every effect. */
function play(events: readonly (readonly [DoneEvent['kind'], number])[]): {
  state: Performance;
  effects: Effect[];
} {
  let state = READY;
  const effects: Effect[] = [];
  for (const [kind, now] of events) {
    const [next, caused] = transition(timeline, state, { kind, now });
    state = next;
    effects.push(...caused);
  }
  return { state, effects };
}

describe('performing', () => {
  it('runs with the clock from the start', () => {
    const { state, effects } = play([['start', 100]]);
    expect(placeAt(state, timeline, 130)).toBe(30);
    expect(projectedSeconds(state, timeline, 130)).toBeCloseTo(timeline.runtimeSeconds, 6);
    expect(effects.map((effect) => effect.kind)).toEqual(['log', 'keep-awake']);
  });

  it('stands still while held, and ends that much later', () => {
    const { state } = play([
      ['start', 0],
      ['hold', 20],
      ['go-on', 50],
    ]);
    expect(placeAt(state, timeline, 60)).toBe(30);
    expect(projectedSeconds(state, timeline, 60)).toBeCloseTo(timeline.runtimeSeconds + 30, 6);
  });

  it('led by hand waits before each next line, and the clock takes over from where it stands', () => {
    const [first, second, third] = firstItems(timeline.cues, 3);
    const { state, effects } = play([
      ['by-hand', 0],
      ['start', 0],
      ['next-line', 60],
    ]);
    expect(effects.map((effect) => (effect.kind === 'log' ? effect.event : effect.kind))).toEqual([
      'start',
      'by-hand',
      'keep-awake',
      'next-line',
    ]);
    expect(state.placeSeconds).toBe(first.startSeconds > 0 ? first.startSeconds : second.startSeconds);
    const place = placeAt(state, timeline, 1000);
    expect(place).toBeLessThan(third.startSeconds);
    expect(nextCue(timeline, place)?.startSeconds).toBe(nextCue(timeline, state.placeSeconds)?.startSeconds);
    expect(projectedSeconds(state, timeline, 1000)).toBeGreaterThan(1000 + timeline.runtimeSeconds - 60);
    const [clock] = transition(timeline, state, { kind: 'by-clock', now: 1000 });
    expect(placeAt(clock, timeline, 1010)).toBeCloseTo(place + 10, 6);
    const last = { ...state, placeSeconds: itemAt(timeline.cues, timeline.cues.length - 1).startSeconds };
    expect(placeAt(last, timeline, 5000)).toBe(timeline.runtimeSeconds);
  });

  it('goes to the next line and back to the one before', () => {
    const [first, second, third] = firstItems(timeline.cues, 3);
    const { state } = play([
      ['start', 0],
      ['next-line', 1],
      ['next-line', 2],
    ]);
    expect(placeAt(state, timeline, 2)).toBe(third.startSeconds);
    const back = transition(timeline, state, { kind: 'line-back', now: 2.5 })[0];
    expect(placeAt(back, timeline, 2.5)).toBe(second.startSeconds);
    const again = transition(timeline, transition(timeline, back, { kind: 'line-back', now: 3 })[0], {
      kind: 'line-back',
      now: 3.1,
    })[0];
    expect(placeAt(again, timeline, 3.1)).toBe(first.startSeconds);
  });

  it('goes to the start of a line that has been running for a while', () => {
    const { state } = play([
      ['start', 0],
      ['line-back', 6],
    ]);
    expect(placeAt(state, timeline, 6)).toBe(0);
  });

  it('moves by steps, held or running', () => {
    const { state } = play([
      ['start', 0],
      ['hold', 1],
      ['next-step', 2],
      ['next-step', 3],
    ]);
    expect([state.mode, state.placeSeconds]).toEqual(['held', itemAt(timeline.steps, 2).startSeconds]);
    const back = transition(timeline, state, { kind: 'step-back', now: 4 })[0];
    expect(back.placeSeconds).toBe(itemAt(timeline.steps, 1).startSeconds);
  });

  it('ends by itself, lets the screen sleep, and can start again', () => {
    const { state, effects } = play([
      ['start', 0],
      ['tick', timeline.runtimeSeconds + 1],
    ]);
    expect(state.mode).toBe('done');
    expect(effects.slice(-2)).toEqual([{ kind: 'keep-awake', on: false }, { kind: 'finished' }]);
    expect(transition(timeline, state, { kind: 'start', now: 999 })[0]).toMatchObject({
      mode: 'running',
      placeSeconds: 0,
    });
  });

  it('does nothing before the start but start', () => {
    for (const kind of ['hold', 'go-on', 'next-line', 'line-back', 'next-step', 'step-back', 'tick', 'end'] as const) {
      expect(transition(timeline, READY, { kind, now: 5 })).toEqual([READY, []]);
    }
  });

  it('never leaves the class, whatever is pressed', () => {
    const kinds = fc.constantFrom<DoneEvent['kind']>(
      'start',
      'hold',
      'go-on',
      'next-line',
      'line-back',
      'next-step',
      'step-back',
      'tick',
    );
    fc.assert(
      fc.property(
        fc.array(fc.tuple(kinds, fc.double({ min: 0, max: 60, noNaN: true })), { maxLength: 60 }),
        (presses) => {
          let now = 0;
          const { state } = play(presses.map(([kind, after]) => [kind, (now += after)] as const));
          const place = placeAt(state, timeline, now);
          expect(place).toBeGreaterThanOrEqual(0);
          expect(place).toBeLessThanOrEqual(timeline.runtimeSeconds);
        },
      ),
    );
  });
});

describe('steps that are left out', () => {
  const { plan } = itemAt(demoClasses(), 0);
  const [first, second, third] = firstItems(
    stepsInOrder(plan).map(({ step }) => step),
    3,
  );
  const applied = applyEdit(plan, { kind: 'set-step', stepId: second.id, field: 'skipped', value: true });
  const shorter = expandPlan(applied.ok ? applied.value.plan : plan);
  const startOf = (id: string): number => shorter.steps.find((step) => step.step === id)?.startSeconds ?? NaN;

  it('are passed over, forwards and back', () => {
    const begun: Performance = { ...READY, mode: 'running', placeSeconds: startOf(first.id) };
    const [on] = transition(shorter, begun, { kind: 'next-step', now: 0 });
    expect(on.placeSeconds).toBe(startOf(third.id));
    const [back] = transition(shorter, on, { kind: 'step-back', now: 0 });
    expect(back.placeSeconds).toBe(startOf(first.id));
  });
});
