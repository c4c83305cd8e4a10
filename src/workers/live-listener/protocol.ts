import type { Cue } from '@/core/timeline';
import type { Seconds } from '@/core/units';

/** What is heard of a microphone, and where that is in the class. */
export interface EarNews {
  /** The line that is said next, by its place among the lines, and how likely that is, 0 to 1. */
  readonly next: number;
  readonly share: number;
  /** The line that was said last, if any, how long ago it began, and how likely that is. */
  readonly last: { readonly cue: number; readonly secondsAgo: Seconds; readonly share: number } | null;
  /** For how long something else was said since then. */
  readonly asideSeconds: Seconds;
  readonly isSpeaking: boolean;
}

/** Hears a microphone and follows the lines of a class in it. What it is given goes nowhere else. */
export interface LiveListener {
  /** Told where it is after each piece of sound. Rejects where the voice model could not be loaded. */
  begin(onNews: (news: EarNews) => void): Promise<void>;
  /**
   * The lines from now on, and which of them is said next; `null` where that goes on as it was. Texts that were not said
   * yet by the plain voice are said first, and it is told how far that is, 0 to 1.
   */
  lines(cues: readonly Cue[], next: number | null, onSaid: (share: number) => void): Promise<void>;
  /** Somebody moved on by hand: this line is said next. */
  moveTo(next: number): void;
  /** The next sound, mono, at its rate in hertz. */
  push(samples: Float32Array<ArrayBuffer>, rate: number): void;
}
