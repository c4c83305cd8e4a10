import { LOG_FORMAT, LOG_VERSION, type LoggedEvent, type PerformanceLog } from '@/core/conductor';
import { wholeMilliseconds } from '@/core/units';

const keyOf = (title: string): string => `calm-count performance log: ${title}`;

export function logOf(title: string, events: readonly LoggedEvent[]): PerformanceLog {
  const whole = events.map(({ event, atSeconds, placeSeconds }) => ({
    event,
    atSeconds: wholeMilliseconds(Math.max(0, atSeconds)),
    placeSeconds: wholeMilliseconds(Math.max(0, placeSeconds)),
  }));
  return { format: LOG_FORMAT, version: LOG_VERSION, title, events: whole };
}

/** Keeps the log of a class in this browser as it is made, so that a crash loses none of it. */
export function keepLog(title: string, events: readonly LoggedEvent[]): void {
  try {
    localStorage.setItem(keyOf(title), JSON.stringify(logOf(title, events)));
  } catch {
    // A browser that keeps nothing still guides the class; the log can be saved as a file.
  }
}

/** The text of the last log of a class that this browser kept; `null` where there is none. */
export function keptLog(title: string): string | null {
  try {
    return localStorage.getItem(keyOf(title));
  } catch {
    return null;
  }
}
