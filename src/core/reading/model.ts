import type { CueEvidence, AdLib } from '@/core/align';
import type { RecordingsMatch, SoundFigures } from '@/core/signal';
import type { Interval, Seconds } from '@/core/units';

export const READING_FORMAT = 'calm-count/reading';
export const READING_VERSION = 2;

/** One cue measured against the take. */
export interface CueReading {
  readonly id: string;
  readonly text: string;
  readonly plannedStart: Seconds;
  readonly status: 'said' | 'skipped';
  readonly actualStart: Seconds | null;
  readonly actualEnd: Seconds | null;
  /** 0 (a guess) to 1 (sure); 1 where somebody corrected it by hand. */
  readonly confidence: number;
  readonly corrected: boolean;
  /** What it was found by; readings of before have none. `null` where it was not found. */
  readonly evidence?: CueEvidence | null;
}

/** The whole take in figures. */
export interface ReadingTotals {
  /** From the start of the recording to its end, or to the last word where its length is unknown. */
  readonly runtimeSeconds: Seconds;
  readonly plannedRuntimeSeconds: Seconds;
  readonly said: number;
  readonly skipped: number;
  readonly adLibs: number;
  /** Share of the runtime in which cues and ad-libs were spoken. */
  readonly talkShare: number;
  /** Breaths led in the plan's rounds, and how many of them had a cue that was said. */
  readonly breathsPlanned: number;
  readonly breathsHeard: number;
  /** Middle length of a breath, planned and as measured between the cues that lead it; `null` when too few were heard. */
  readonly breathPlannedSeconds: Seconds | null;
  readonly breathActualSeconds: Seconds | null;
  /** Actual less planned time, middle and at the last cue said; `null` when nothing was. */
  readonly driftMedianSeconds: Seconds | null;
  readonly driftLastSeconds: Seconds | null;
}

/** A take measured against the plan. */
export interface Reading {
  readonly format: typeof READING_FORMAT;
  readonly version: typeof READING_VERSION;
  readonly cues: readonly CueReading[];
  readonly adLibs: readonly AdLib[];
  readonly totals: ReadingTotals;
}

/** What somebody set by hand: when a cue was said, and for how long where they cut it, or that it was not. */
export interface Correction {
  readonly actualStart: Seconds | null;
  readonly lengthSeconds?: Seconds;
}

/** Corrections by cue id. */
export type Corrections = Readonly<Record<string, Correction>>;

export const CUT_REASONS = ['head', 'tail', 'silence', 'ad-lib', 'fluff'] as const;
/** Why a stretch is cut out: before and after the class, dead air, an ad-lib chosen, something marked by hand. */
export type CutReason = (typeof CUT_REASONS)[number];

/** A stretch of the recording that is left out of the cut version, if it is on. Cuts may meet or overlap. */
export interface Cut extends Interval {
  readonly reason: CutReason;
  readonly on: boolean;
}

/** All that somebody did to a reading by hand. */
export interface HandWork {
  readonly corrections: Corrections;
  /** Ad-libs as they were left; `null` where they are as they were found. */
  readonly adLibs: readonly AdLib[] | null;
  /** What is cut out, as it was left; `null` where nobody has cut. */
  readonly cuts: readonly Cut[] | null;
}

/** What is known of a recording beside what was said in it. */
export interface Recording {
  /** What its file is known again by; `null` where only captions were brought. */
  readonly file: RecordedFile | null;
  readonly figures: SoundFigures | null;
  /** A second recording of the class on the clock of the first, and which of them was read; not there in takes of one. */
  readonly second?: SecondRecording | null;
}

export interface SecondRecording extends RecordingsMatch {
  readonly file: RecordedFile;
  readonly used: 'first' | 'second';
}

/** What a file is known again by. */
export interface RecordedFile {
  readonly name: string;
  readonly bytes: number;
  readonly print: string;
}
