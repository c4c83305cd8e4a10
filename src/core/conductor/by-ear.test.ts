import { describe, expect, it } from 'vitest';
import { expandPlan } from '@/core/timeline';
import { itemAt } from '@/core/units';
import { demoClasses } from '@/demo/classes';
import {
  isFollowed,
  linesShown,
  placeAt,
  rateOf,
  READY,
  readPerformanceLog,
  resumed,
  transition,
  type Effect,
  type LoggedEvent,
  type Performance,
  type PerformanceEvent,
} from '.';

const timeline = expandPlan(itemAt(demoClasses(), 0).plan);
const start = (at: number): number => itemAt(timeline.cues, at).startSeconds;

/** A class led by ear from 100 s of the clock on; `lines` were heard to begin at those times. */
function led(lines: readonly (readonly [line: number, begun: number])[]): { state: Performance; log: LoggedEvent[] } {
  const events: PerformanceEvent[] = [
    { kind: 'start', now: 100 },
    ...lines.map(([line, begun]): PerformanceEvent => {
      return { kind: 'heard', now: begun + 2, placeSeconds: start(line), begunSeconds: begun };
    }),
  ];
  let state: Performance = { ...READY, by: 'ear' };
  const log: LoggedEvent[] = [];
  for (const event of events) {
    const [next, effects] = transition(timeline, state, event);
    state = next;
    log.push(...effects.flatMap((effect) => logged(effect)));
  }
  return { state, log };
}

function logged(effect: Effect): LoggedEvent[] {
  return effect.kind === 'log'
    ? [{ event: effect.event, atSeconds: effect.now - 100, placeSeconds: effect.placeSeconds }]
    : [];
}

describe('a class that is led by ear', () => {
  it('stands where a line that was heard stands since it began, and waits before the next', () => {
    const { state } = led([[0, 101]]);
    expect(placeAt(state, timeline, 103)).toBeCloseTo(start(0) + 2, 6);
    expect(placeAt(state, timeline, 500)).toBeCloseTo(start(1), 2);
    expect(placeAt(state, timeline, 500)).toBeLessThan(start(1));
  });

  it('goes back to a line that is said again, and on to one further ahead', () => {
    const { state } = led([
      [0, 101],
      [4, 130],
      [3, 140],
    ]);
    expect(placeAt(state, timeline, 141)).toBeCloseTo(start(3) + 1, 6);
  });

  it('takes nothing that was heard while it is paused, led otherwise, or not begun', () => {
    const heard: PerformanceEvent = { kind: 'heard', now: 110, placeSeconds: start(2), begunSeconds: 109 };
    const running = led([[0, 101]]).state;
    for (const state of [
      { ...READY, by: 'ear' } as const,
      { ...running, mode: 'held' } as const,
      { ...running, by: 'clock' } as const,
    ])
      // prettier-ignore
      expect(transition(timeline, state, heard)).toEqual([state, []]);
  });

  it('does not begin a line before what was done last', () => {
    const { state } = led([[0, 101]]);
    const [resumedAt] = transition(
      timeline,
      { ...state, sinceSeconds: 120 },
      {
        kind: 'heard',
        now: 122,
        placeSeconds: start(1),
        begunSeconds: 118,
      },
    );
    expect(resumedAt.sinceSeconds).toBe(120);
  });

  it('falls back to the clock from where it stands, and is led by ear again', () => {
    const { state } = led([[0, 101]]);
    const [byClock, effects] = transition(timeline, state, { kind: 'by-clock', now: 200 });
    expect(effects).toMatchObject([{ kind: 'log', event: 'by-clock' }]);
    expect(placeAt(byClock, timeline, 205)).toBeCloseTo(start(1) + 5, 2);
    const [byEar] = transition(timeline, byClock, { kind: 'by-ear', now: 206 });
    expect(byEar.by).toBe('ear');
  });

  it('logs lines when they were said, which the log gives as a take', () => {
    const { log } = led([
      [0, 101],
      [1, 111],
      [3, 140],
    ]);
    expect(log.map(({ event }) => event)).toEqual(['start', 'by-ear', 'heard', 'heard', 'heard']);
    const read = readPerformanceLog(
      JSON.stringify({ format: 'calm-count/performance-log', version: 3, title: 'Led', events: log, performed: null }),
    );
    if (!read.ok) throw new Error('not read');
    const shown = linesShown(timeline, read.value).slice(-3);
    expect(shown.map(({ text }) => text)).toEqual([0, 1, 3].map((at) => itemAt(timeline.cues, at).text));
    expect(shown.map(({ startSeconds }) => startSeconds)).toEqual([1, 11, 40]);
  });

  it('tells the pace by the lines that were heard', () => {
    const slow = Array.from({ length: 10 }, (_, at) => [at, 101 + 1.2 * (start(at) - start(0))] as const);
    expect(rateOf(led(slow).log)).toBeCloseTo(1.2, 2);
  });

  it('is led by ear when it is resumed', () => {
    const { log } = led([[0, 101]]);
    expect(resumed(log, { atSeconds: 9, placeSeconds: 5 }, 60, 900).state.by).toBe('ear');
  });
});

describe('whether the ear is followed', () => {
  const sure = { share: 0.9, lostSeconds: 0, asideSeconds: 0 };

  it('is given up once it is lost, or something else is said for long, and taken up once it is found', () => {
    expect(isFollowed(true, sure)).toBe(true);
    expect(isFollowed(true, { ...sure, share: 0.1, lostSeconds: 4 })).toBe(true);
    expect(isFollowed(true, { ...sure, share: 0.1, lostSeconds: 9 })).toBe(false);
    expect(isFollowed(false, { ...sure, share: 0.4 })).toBe(false);
    expect(isFollowed(false, sure)).toBe(true);
    expect(isFollowed(true, { ...sure, asideSeconds: 20 })).toBe(true);
    expect(isFollowed(true, { ...sure, asideSeconds: 60 })).toBe(false);
    expect(isFollowed(false, { ...sure, asideSeconds: 20 })).toBe(false);
  });
});
