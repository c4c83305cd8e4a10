import type { Caption } from '@/core/interchange';
import type { Interval, Seconds } from '@/core/units';
import type { KeptLikeness, Likeness } from './likeness';

/** A stretch of sound in which somebody likely speaks, and how likely, 0 to 1. */
export interface SpeechStretch extends Interval {
  readonly likely: number;
}

/** The way that was found through a take's speech, and how sure each cue is. */
export interface KeptWay {
  /** Seconds taken for one planned, where nothing nearer is known. */
  readonly slowness: number;
  /**
   * By sixes, a match each, in order: its first cue and how many, its first stretch and how many, how many of those
   * only lead in (-1: the beginning of the first), and what it costs by itself, in hundredths. Whole numbers all.
   */
  readonly matches: readonly number[];
  /** For each cue, in hundredths: that it was said where it was found, or that it was not said. */
  readonly confidences: readonly number[];
}

/** What is known of a take: a machine's captions, the stretches of speech in its sound, or both. */
export interface Evidence {
  readonly captions: readonly Caption[] | null;
  /** Evidence from before likelihoods were kept has none: it was told by level, and is taken as sure. */
  readonly speech: readonly (Interval & { readonly likely?: number })[] | null;
  /** What the speech was found to be like, so that it can be read again without the sound. */
  readonly likeness?: KeptLikeness | null;
  /** What was found by sound, so that a correction need not find it anew. */
  readonly way?: KeptWay | null;
  /** Length of the recording, when known. */
  readonly lengthSeconds: Seconds | null;
}

/** What a cue was found by. */
export interface CueEvidence {
  /** The words of captions; what its speech sounds like; or length and place alone. */
  readonly by: 'words' | 'sound' | 'length';
  /** The words that captions have there, where they decided. */
  readonly heard: string | null;
  /**
   * How much nearer its speech is to it than to the middle of the class's lines, in spreads of their distances, where
   * sound decided; 0 where it is no nearer. `null` where several cues share one stretch.
   */
  readonly nearer: number | null;
}

/** One cue as found in the take. */
export interface FoundCue {
  readonly cueId: string;
  readonly startSeconds: Seconds;
  readonly endSeconds: Seconds;
  /** 0 (a guess) to 1 (sure). */
  readonly confidence: number;
  readonly evidence: CueEvidence;
}

/** Something said that is not in the plan; `text` only where captions tell it. */
export interface Remark extends Interval {
  readonly text: string | null;
}

export interface Alignment {
  /** In order of the plan; cues not listed were not found. */
  readonly found: readonly FoundCue[];
  /** Of cues that were not found, how sure that is, 0 to 1, where it can be told. */
  readonly unsaid: readonly { readonly cueId: string; readonly confidence: number }[];
  readonly remarks: readonly Remark[];
  /** How its speech is like its texts, as learned from the take; `null` where lengths alone decided, or words in order. */
  readonly likeness: Likeness | null;
  /** See `KeptWay`; `null` where captions were read by themselves. */
  readonly way: KeptWay | null;
}
