/** A length of time or a place on a timeline, in seconds. Whole milliseconds wherever the core makes it. */
export type Seconds = number;

/** Whole milliseconds: what the fit and the timeline count in, so that sums are exact. */
export type Milliseconds = number;

/**
 * Two times closer than this are the same time: half a millisecond, because every time the core makes is a whole
 * millisecond and only the division by 1000 can disturb it. The only comparison tolerance in the core.
 */
const SAME_TIME_SECONDS: Seconds = 0.0005;

/** Whether two times in seconds are the same within half a millisecond. */
export function sameTime(a: Seconds, b: Seconds): boolean {
  return Math.abs(a - b) < SAME_TIME_SECONDS;
}

/** Seconds to the nearest whole millisecond. */
export function toMilliseconds(seconds: Seconds): Milliseconds {
  return Math.round(seconds * 1000);
}

/** Whole milliseconds to seconds. */
export function toSeconds(milliseconds: Milliseconds): Seconds {
  return milliseconds / 1000;
}

/** Seconds rounded to whole milliseconds, still in seconds. */
export function wholeMilliseconds(seconds: Seconds): Seconds {
  return Math.round(seconds * 1000) / 1000;
}
