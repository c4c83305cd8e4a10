import type { Remark } from '@/core/align';
import type { Seconds } from '@/core/units';

export const READING_FORMAT = 'calm-count/reading';
export const READING_VERSION = 1;

/** One cue measured against the take. */
export interface CueReading {
  readonly id: string;
  readonly text: string;
  readonly plannedSeconds: Seconds;
  readonly status: 'said' | 'skipped';
  readonly saidAtSeconds: Seconds | null;
  readonly endSeconds: Seconds | null;
  /** 0 (a guess) to 1 (sure); 1 where somebody corrected it by hand. */
  readonly confidence: number;
  readonly corrected: boolean;
}

/** The whole take in figures. */
export interface ReadingTotals {
  /** From the start of the recording to its end, or to the last word where its length is unknown. */
  readonly runtimeSeconds: Seconds;
  readonly plannedSeconds: Seconds;
  readonly said: number;
  readonly skipped: number;
  readonly remarks: number;
  /** Share of the runtime in which cues and remarks were spoken. */
  readonly talkShare: number;
  /** Breaths led in the plan's rounds, and how many of them had a cue that was said. */
  readonly breathsPlanned: number;
  readonly breathsHeard: number;
  /** Middle length of a breath, planned and as measured between the cues that lead it; `null` when too few were heard. */
  readonly breathPlannedSeconds: Seconds | null;
  readonly breathTakenSeconds: Seconds | null;
  /** Actual less planned time, middle and at the last cue said; `null` when nothing was. */
  readonly driftMiddleSeconds: Seconds | null;
  readonly driftLastSeconds: Seconds | null;
}

/** A take measured against the plan. */
export interface Reading {
  readonly format: typeof READING_FORMAT;
  readonly version: typeof READING_VERSION;
  readonly cues: readonly CueReading[];
  readonly remarks: readonly Remark[];
  readonly totals: ReadingTotals;
}

/** What somebody set by hand: when a cue was said, or that it was not. */
export type Correction = { readonly saidAtSeconds: Seconds } | { readonly saidAtSeconds: null };

/** Corrections by cue id. */
export type Corrections = Readonly<Record<string, Correction>>;
