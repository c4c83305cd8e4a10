import type { Interval, Issue } from '@/core/units';

/** One caption: what stands on the screen from `startSeconds` to `endSeconds`. Lines are parted by `\n`. */
export interface Caption extends Interval {
  readonly text: string;
}

/** A file read: what was understood, and every oddity met on the way, with its line. */
export interface CaptionsRead {
  readonly captions: readonly Caption[];
  readonly oddities: readonly Issue[];
}

/** Captions laid out for writing, with a note on each that cannot be read comfortably in its time. */
export interface CaptionsLaidOut {
  readonly captions: readonly Caption[];
  readonly notes: readonly Issue[];
}

export const CAPTION_LIMITS = {
  fileCharacters: 8 * 1024 * 1024,
  captions: 20_000,
  /** Of one caption: a minute of quick speech is a fifth of it. */
  characters: 5_000,
  /** A take is four hours at most. */
  seconds: 4 * 3600,
  oddities: 500,
} as const;
