import { nextCue, type Timeline } from '@/core/timeline';
import type { Seconds } from '@/core/units';
import { movedBy } from './conductor';

/** What of a logged event moves the prompter, or leaves it standing. */
interface Happened {
  readonly event: string;
  readonly atSeconds: Seconds;
  readonly placeSeconds: Seconds;
}

/** What the prompter did from one event of its log to the next. */
export interface Replayed {
  readonly atSeconds: Seconds;
  /** Where it stood in the class then. */
  readonly placeSeconds: Seconds;
  /** How long until the next event; endless after the last. */
  readonly lastsSeconds: Seconds;
  /** How far it ran until then: led by hand or by ear no further than the next line, and nowhere while it is paused. */
  readonly untilSeconds: Seconds;
}

/** A log's events, in order, played again against the class as it was performed. */
export function replayed(timeline: Timeline, events: readonly Happened[]): Replayed[] {
  let running = false;
  let waits = false;
  return events.map(({ event, atSeconds, placeSeconds }, index): Replayed => {
    if (event === 'hold' || event === 'end') running = false;
    else if (event === 'start' || event === 'go-on') running = true;
    const by = movedBy(event);
    if (by) waits = by !== 'clock';
    const lastsSeconds = (events.at(index + 1)?.atSeconds ?? Infinity) - atSeconds;
    const next = waits ? nextCue(timeline, placeSeconds)?.startSeconds : undefined;
    const untilSeconds = running ? Math.min(placeSeconds + lastsSeconds, next ?? Infinity) : placeSeconds;
    return { atSeconds, placeSeconds, lastsSeconds, untilSeconds };
  });
}
