import type { Caption } from '@/core/interchange';
import type { Interval, Seconds } from '@/core/units';
import type { TextDistances } from './text-distances';

/** A stretch of sound in which somebody likely speaks, and how likely, 0 to 1. */
export interface SpeechStretch extends Interval {
  readonly likely: number;
}

/** Words that lead in run into the cue within one stretch. */
export const PART = 0.5;

/** Cues `[cueFrom, cueTo)` said in stretches `[from, to)`. */
export interface SpeechMatch {
  readonly cueFrom: number;
  readonly cueTo: number;
  readonly from: number;
  readonly to: number;
  /** How many of the stretches only lead in; `PART` where the beginning of the first does. */
  readonly led: number;
  /** Of its length and of what it sounds like. */
  readonly own: number;
  /** When its first cue begins, and its last. */
  readonly onset: Seconds;
  readonly lastOnset: Seconds;
  /** Of the whole way to it. */
  cost: number;
  before: SpeechMatch | null;
  /** The cheapest match that lies too many cues before it, and what lies between. */
  far: { readonly before: SpeechMatch; readonly cost: number } | null;
}

/** A way through a take's speech. */
export interface FoundWay {
  /** In order. */
  readonly path: readonly SpeechMatch[];
  /** For each cue, 0 to 1: that it was said where it was found, or that it was not said. */
  readonly confidences: readonly number[];
  /** Seconds taken for one planned, where nothing nearer is known. */
  readonly slowness: number;
}

/** A way as it is stored with a take; see `codec.ts`. */
export interface PackedWay {
  readonly slowness: number;
  readonly matches: readonly number[];
  readonly confidences: readonly number[];
}

/** Distances as they are stored with a take; see `codec.ts`. */
export interface PackedDistances {
  readonly texts: readonly string[];
  readonly found: readonly number[];
}

/** What is known of a take: a machine's captions, the stretches of speech in its sound, or both. */
export interface Evidence {
  readonly captions: readonly Caption[] | null;
  /** Evidence from before likelihoods were kept has none: it was told by level, and is taken as sure. */
  readonly speech: readonly (Interval & { readonly likely?: number })[] | null;
  /** What the speech was found to be like, so that it can be read again without the sound. */
  readonly distances?: PackedDistances | null;
  /** What was found by sound, so that a correction need not find it anew. */
  readonly way?: PackedWay | null;
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
export interface AdLib extends Interval {
  readonly text: string | null;
}

export interface Alignment {
  /** In order of the plan; cues not listed were not found. */
  readonly found: readonly FoundCue[];
  /** Of cues that were not found, how sure that is, 0 to 1, where it can be told. */
  readonly unsaid: readonly { readonly cueId: string; readonly confidence: number }[];
  readonly adLibs: readonly AdLib[];
  /** How far its speech is from its texts, as learned from the take; `null` where lengths alone decided, or words in order. */
  readonly distances: TextDistances | null;
  /** `null` where captions were read by themselves. */
  readonly way: FoundWay | null;
}
