import { describe, expect, it } from 'vitest';
import type { LoggedEvent } from './performance-log';
import { resumed } from './resume';

const begun: readonly LoggedEvent[] = [
  { event: 'start', atSeconds: 0, placeSeconds: 0 },
  { event: 'next-line', atSeconds: 30, placeSeconds: 42 },
];

describe('a performance that broke off', () => {
  it('goes on paused where it stood, on the clock of its start, and the log pauses there', () => {
    const { state, events } = resumed(begun, { atSeconds: 60, placeSeconds: 72 }, 100, 1000);
    expect(state).toEqual({ mode: 'held', placeSeconds: 72, sinceSeconds: 1000, startedSeconds: 900, by: 'clock' });
    expect(events.slice(0, 2)).toEqual(begun);
    expect(events[2]).toEqual({ event: 'hold', atSeconds: 60, placeSeconds: 72 });
  });

  it('keeps its log in order when the clock was set back', () => {
    const { state, events } = resumed(begun, { atSeconds: -500, placeSeconds: 50 }, -400, 1000);
    expect(events.at(-1)).toEqual({ event: 'hold', atSeconds: 30, placeSeconds: 50 });
    expect(state.startedSeconds).toBe(970);
  });
});
