import type { DuringLine, SidePlan } from '@/core/movement';
import { STEP_KINDS, type ClassPlan } from '@/core/plan';

export const LINE_KINDS = [
  'title',
  'section',
  ...STEP_KINDS,
  'said',
  'inhale',
  'exhale',
  'hold',
  'pause',
  'caution',
  'level',
  'seated',
  'setting',
  'nothing',
] as const;
/** How a line is understood: what it starts, says, or sets. */
export type LineKind = (typeof LINE_KINDS)[number];

/** One line of a script and how it was understood. */
export interface ReadLine {
  /** From 1. */
  readonly number: number;
  readonly text: string;
  readonly kind: LineKind;
  /** Whether that is more of a guess than a reading: it wants a look. */
  readonly unsure: boolean;
  /** Where it is a guess: what it may be instead, the likeliest first. */
  readonly others?: readonly LineKind[];
  readonly counts: Counts;
  /** The name, words or action that were taken from it. */
  readonly words: string;
  /** Where it names several steps, each with its amount: how many. `words` and `counts` are those of the first. */
  readonly steps?: number;
  /** What else stands in it beside its first reading, each kind once: an exhale behind an inhale, a cue behind a step. */
  readonly also?: readonly LineKind[];
  /** Where in the step above it is said, where it says so. */
  readonly over?: Pick<DuringLine, 'on' | 'number'>;
}

/** What counts and times were found in a line. */
export interface Counts {
  readonly rounds?: number;
  /** Where a range was written: "3-5". */
  readonly roundsWithin?: readonly [min: number, max: number];
  readonly sides?: SidePlan;
  readonly startSide?: 'left' | 'right';
  /** Asked, least, most. */
  readonly seconds?: readonly [number, number, number];
  readonly ownPace?: boolean;
  /** The time is that of a posture that is held. */
  readonly held?: boolean;
  /** Of one breath: seconds in, seconds out. */
  readonly breath?: readonly [inhale: number, exhale: number];
  /** Of one breath: seconds that it rests full, and empty. */
  readonly rests?: readonly [full: number, empty: number];
  /** A rest in each round. */
  readonly hold?: number;
}

/** Nobody rests so many seconds in a breath: what is held so long is a posture. Common practice, no published source. */
export const POSTURE_FROM = 10;

export interface ReadScript {
  readonly lines: readonly ReadLine[];
  readonly plan: ClassPlan;
  /**
   * The first line that was not read, from 1: the lines above it have more steps than a class can (`stepsInPlan`).
   * `null` where all were read. Such a plan is refused where plans are, so that nothing is left out unseen.
   */
  readonly unreadFrom: number | null;
  /** The text with a line for each sentence, where long lines tell several steps; `null` where none does. */
  readonly sentencesApart: string | null;
}

/** So long, in seconds, is a class rather than a step of one; common practice, no published source. */
export const CLASS_FROM = 480;

/** The door's limits on a pasted script. */
export const SCRIPT_LIMITS = { characters: 400_000, lines: 6_000 } as const;

/** Longest time that a line may name. */
export const MOST_SECONDS = 3_600;

/** Asked, and how far a fit may go from it; a range says that itself. */
export function secondsFrom(
  [min, max]: readonly [min: number, max: number],
  times: number,
): readonly [number, number, number] {
  const [low, high] = [min * times, max * times];
  if (low !== high) return [Math.round((low + high) / 2), Math.max(1, low), Math.min(MOST_SECONDS, high)];
  return [low, Math.max(1, Math.round(low * 0.75)), Math.min(MOST_SECONDS, Math.round(low * 1.5))];
}
