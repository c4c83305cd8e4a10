import type { Seconds } from '@/core/units';

/*
 * Whether what is heard is to be followed. The prompter goes by the clock while it is not, and takes up the ear again
 * once it knows where it is.
 */

/** What is heard, and how sure that is. */
export interface HeardPlace {
  /** How likely the line is the next, 0 to 1, and for how long it has been hardly so. */
  readonly share: number;
  readonly lostSeconds: Seconds;
  /** For how long something else has been said since the last line. */
  readonly asideSeconds: Seconds;
}

/** Less likely than this a line is lost, and more likely than the other found again. */
export const LOST_SHARE = 0.25;
const FOUND_SHARE = 0.6;
/** A long line that is half said is lost for so long, and no longer. */
const PATIENCE: Seconds = 8;
/** Who talks for so long about something else has left the class, and who is back has stopped. */
const LEFT: Seconds = 40;
const BACK: Seconds = 8;

/** Whether the ear is to be followed, as it was before and as it is with what is heard now. */
export function isFollowed(was: boolean, { share, lostSeconds, asideSeconds }: HeardPlace): boolean {
  return was ? lostSeconds <= PATIENCE && asideSeconds <= LEFT : share >= FOUND_SHARE && asideSeconds <= BACK;
}
