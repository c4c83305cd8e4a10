import type { Seconds } from '@/core/units';
import { movedBy, type Performance } from './conductor';
import type { LoggedEvent } from './performance-log';

/** Where a performance stood when it broke off: a page that was loaded again, a crash, a closed lid. */
export interface BrokenOff {
  /** From the start of the performance. */
  readonly atSeconds: Seconds;
  readonly placeSeconds: Seconds;
}

/**
 * Goes on from where a performance broke off, paused there: the state, and what the log has to tell of the gap. The
 * class was not performed meanwhile, so the log pauses where it broke off. `elapsedSeconds` is from the start until now.
 */
export function resumed(
  events: readonly LoggedEvent[],
  { atSeconds, placeSeconds }: BrokenOff,
  elapsedSeconds: Seconds,
  now: Seconds,
): { readonly state: Performance; readonly events: readonly LoggedEvent[] } {
  const last = events.at(-1)?.atSeconds ?? 0;
  // A clock that was set back meanwhile must not put the log out of order.
  const paused = Math.max(last, atSeconds);
  const elapsed = Math.max(paused, elapsedSeconds);
  return {
    state: { mode: 'held', placeSeconds, sinceSeconds: now, startedSeconds: now - elapsed, by: byOf(events) },
    events: [...events, { event: 'hold', atSeconds: paused, placeSeconds }],
  };
}

/** What it moved on by when it broke off. */
function byOf(events: readonly LoggedEvent[]): Performance['by'] {
  return movedBy(events.findLast(({ event }) => movedBy(event) !== null)?.event ?? '') ?? 'clock';
}
