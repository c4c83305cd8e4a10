import { describe, expect, it } from 'vitest';
import { placeAt, READY, type Performance } from '@/core/conductor';
import { emptyPlan, type ClassPlan } from '@/core/plan';
import { expandPlan } from '@/core/timeline';
import { itemAt } from '@/core/units';
import { demoClasses } from '@/demo/classes';
import {
  clockAhead,
  eventOfCommand,
  performanceOf,
  readShownClass,
  shownAt,
  shownClass,
  standingOf,
  type ClockReading,
} from '.';

const plans = demoClasses().map(({ plan }) => plan);
const ferry = itemAt(plans, 0);
const timeline = expandPlan(ferry);
const shown = shownClass(ferry, timeline);
const running: Performance = { ...READY, mode: 'running', placeSeconds: 40, sinceSeconds: 100, startedSeconds: 60 };

describe('what an audience sees of a class', () => {
  it('is taken at the door for every class of the demo, and holds only what is shown', () => {
    for (const plan of plans) {
      const made = shownClass(plan, expandPlan(plan));
      expect(readShownClass(JSON.parse(JSON.stringify(made)))).toEqual({ ok: true, value: made });
    }
    const secret: ClassPlan = { ...ferry, focus: 'call the harbour master', audience: 'not for the room' };
    const sent = JSON.stringify(shownClass(secret, expandPlan(secret)));
    for (const hidden of ['harbour master', 'not for the room', ...ferry.sections.map(({ id }) => id)]) {
      expect(sent).not.toContain(hidden);
    }
  });

  it('has the movement, its round and side, the breath, what is said and what comes next', () => {
    for (const phase of timeline.phases.filter(({ round }) => round > 0)) {
      const middle = (phase.startSeconds + phase.endSeconds) / 2;
      const at = shownAt(shown, middle);
      expect(at.round).toBe(phase.round);
      expect(at.kind).toBe(phase.kind);
      expect(at.rounds).toBeGreaterThanOrEqual(at.round);
      expect(at.action).not.toContain('{side}');
      expect(at.side !== '').toBe(phase.side !== null);
    }
    const cue = itemAt(timeline.cues, 3);
    expect(shownAt(shown, cue.startSeconds + 0.01).said).toBe(cue.text);
    expect(shownAt(shown, timeline.runtimeSeconds + 1)).toMatchObject({ name: '', next: '', round: 0, kind: null });
    const names = new Set(shown.steps.filter(({ announced }) => announced).map(({ name }) => name));
    expect(names.has(shownAt(shown, 0).next)).toBe(true);
  });

  it('is refused where it is not one', () => {
    for (const bad of [
      null,
      [],
      {},
      { ...shown, runtimeSeconds: -1 },
      { ...shown, notes: 'x' },
      { ...shown, cues: 3 },
    ]) {
      expect(readShownClass(bad).ok).toBe(false);
    }
    const empty = emptyPlan(() => 'a', 'Empty', 600);
    expect(readShownClass(shownClass(empty, expandPlan(empty))).ok).toBe(true);
  });
});

describe('where a performance stands, told elsewhere', () => {
  it('is the same place on the other clock, however late it is heard', () => {
    const told = standingOf(running, timeline, { steady: 112, shared: 5_000_000 });
    expect(told).toEqual({ mode: 'running', by: 'clock', placeSeconds: 52, at: 5_000_000 });
    const heard = performanceOf(told, { steady: 7, shared: 5_003_500 });
    expect(placeAt(heard, shown, 7)).toBeCloseTo(55.5, 6);
    expect(placeAt(heard, shown, 17)).toBeCloseTo(65.5, 6);
  });

  it('stands still while paused, and is not before its own time where the clock was set back', () => {
    const held = standingOf({ ...running, mode: 'held' }, timeline, { steady: 130, shared: 5_000_000 });
    expect(placeAt(performanceOf(held, { steady: 7, shared: 5_060_000 }), shown, 9)).toBe(40);
    const moving = standingOf(running, timeline, { steady: 112, shared: 5_000_000 });
    expect(placeAt(performanceOf(moving, { steady: 7, shared: 4_000_000 }), shown, 7)).toBe(52);
  });

  it('waits at the next line where a hand moves it on, as the prompter does', () => {
    const told = standingOf({ ...running, by: 'hand', placeSeconds: 0 }, timeline, { steady: 100, shared: 5_000_000 });
    const heard = performanceOf(told, { steady: 0, shared: 5_000_000 });
    const second = timeline.cues.find(({ startSeconds }) => startSeconds > 0);
    expect(placeAt(heard, shown, 400)).toBeCloseTo((second?.startSeconds ?? 0) - 0.001, 3);
  });
});

describe('the clock that is shared', () => {
  const ask = (ahead: number, asked: number, there: number, back: number): ClockReading => ({
    asked,
    answered: asked + there + back,
    said: asked + there + ahead,
  });

  it('is known to half of the quickest way, whatever a phone thinks the time is', () => {
    const ahead = 600_000;
    const readings = [ask(ahead, 0, 400, 5), ask(ahead, 1_000, 12, 8), ask(ahead, 2_000, 3, 90)];
    expect(Math.abs((clockAhead(readings) ?? 0) - ahead)).toBeLessThanOrEqual(10);
    expect(clockAhead([ask(-3_600_000, 50, 20, 20)])).toBe(-3_600_000);
    expect(clockAhead([])).toBeNull();
  });
});

describe('a press from afar', () => {
  it('does what its button says as things stand, and never the opposite', () => {
    const at = (mode: Performance['mode'], by: Performance['by'] = 'clock') => ({ mode, by });
    expect(eventOfCommand('go', at('ready'))).toBe('start');
    expect(eventOfCommand('go', at('done'))).toBe('start');
    expect(eventOfCommand('go', at('held'))).toBe('go-on');
    expect(eventOfCommand('go', at('running'))).toBeNull();
    expect(eventOfCommand('hold', at('running'))).toBe('hold');
    expect(eventOfCommand('hold', at('held'))).toBeNull();
    expect(eventOfCommand('hold', at('ready'))).toBeNull();
    expect(eventOfCommand('stay', at('running'))).toBe('by-hand');
    expect(eventOfCommand('stay', at('running', 'hand'))).toBe('by-clock');
    expect(eventOfCommand('next-step', at('held'))).toBe('next-step');
    expect(eventOfCommand('next-line', at('ready'))).toBeNull();
  });
});
