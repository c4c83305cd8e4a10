import type { Seconds } from '@/core/units';
import type { LoggedEvent } from './performance-log';

/** Lines that are looked back on; fewer than the least tell nothing yet. */
const LINES = 200;
const LEAST = 6;
/** Slower or quicker than this is a stop or a jump, and no pace. */
const SLOWEST = 1.6;
const QUICKEST = 0.6;

/**
 * Seconds that pass for each planned one, by the lines that were moved on to by hand, or heard: over the last ones, without
 * those that took so long that somebody was at the door. 1 where too few were.
 */
export function rateOf(events: readonly LoggedEvent[]): number {
  let [lines, passed, due] = [0, 0, 0];
  for (let at = events.length - 1; at > 0 && lines < LINES; at--) {
    const [before, after] = [events[at - 1], events[at]];
    if (!before || !after || !MOVED.has(after.event) || !FROM.has(before.event)) continue;
    const planned: Seconds = after.placeSeconds - before.placeSeconds;
    if (planned < 0.5) continue;
    const took: Seconds = after.atSeconds - before.atSeconds;
    if (took < QUICKEST * planned || took > SLOWEST * planned) continue;
    lines++;
    passed += took;
    due += planned;
  }
  return lines < LEAST ? 1 : passed / due;
}

const FROM: ReadonlySet<LoggedEvent['event']> = new Set(['start', 'next-line', 'heard', 'go-on']);
/** Lines that somebody moved on to, or was heard to say. */
const MOVED: ReadonlySet<LoggedEvent['event']> = new Set(['next-line', 'heard']);
