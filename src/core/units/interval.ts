import { itemAt } from './item-at';
import type { Seconds } from './seconds';

/** A stretch of time `[startSeconds, endSeconds)`: the start is inside, the end is not. */
export interface Interval {
  readonly startSeconds: Seconds;
  readonly endSeconds: Seconds;
}

/**
 * Index of the last item that starts at or before `seconds`, or -1. Items must be ordered by `startSeconds`.
 * O(log n).
 */
export function lastStartedAt(items: readonly Interval[], seconds: Seconds): number {
  let low = 0;
  let high = items.length;
  while (low < high) {
    const middle = (low + high) >>> 1;
    if (itemAt(items, middle).startSeconds <= seconds) low = middle + 1;
    else high = middle;
  }
  return low - 1;
}

/** How long two stretches overlap, in seconds; 0 when they do not. */
export function overlapSeconds(a: Interval, b: Interval): Seconds {
  return Math.max(0, Math.min(a.endSeconds, b.endSeconds) - Math.max(a.startSeconds, b.startSeconds));
}
