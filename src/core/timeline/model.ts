import type { PhaseKind } from '@/core/breath';
import type { CueSource } from '@/core/plan';
import type { Interval, Seconds } from '@/core/units';
import type { Side } from '@/core/words';

/** A stretch in which one thing is done: a breath phase, or `spoken` where words lead (teach, talk, changes). */
export interface TimedPhase extends Interval {
  /** Id of the step. */
  readonly step: string;
  /** 1, 2, ... on this side; 0 outside counted rounds. */
  readonly round: number;
  readonly side: Side | null;
  readonly kind: PhaseKind | 'spoken';
  readonly action: string;
}

/** One line placed on the timeline, from its first word to its last. */
export interface Cue extends Interval {
  /** Stable while the plan keeps its shape: step, place and round. */
  readonly id: string;
  readonly step: string;
  readonly text: string;
  readonly round: number;
  readonly side: Side | null;
  /** Start of the motion it leads; the cue starts earlier by its lead. */
  readonly motionSeconds: Seconds;
  /** When the next thing has to be said or done: the line should have ended by then. */
  readonly dueSeconds: Seconds;
  readonly source: CueSource;
  /** What of it announces the round, its last or those left, as said; empty where nothing does. */
  readonly announced: string;
}

export interface TimedStep extends Interval {
  readonly step: string;
  readonly section: string;
  /** Rounds on each side; 0 where nothing is counted. */
  readonly rounds: number;
  /** Length of one round (both sides where sides alternate count as two rounds); 0 where nothing is counted. */
  readonly roundSeconds: Seconds;
  /** From its start to its first counted round. */
  readonly teachSeconds: Seconds;
  /** Breath length in this step; 0 where none leads. */
  readonly breathSeconds: Seconds;
  /** Share of a breath that goes in, for phases that set none of their own. */
  readonly inhaleShare: number;
  /** Indexes into `phases` and `cues`, end not included. */
  readonly phaseRange: readonly [number, number];
  readonly cueRange: readonly [number, number];
}

export interface TimedSection extends Interval {
  readonly section: string;
}

/** The plan expanded: everything in seconds from the start of the class, in order of start. */
export interface Timeline {
  readonly runtimeSeconds: Seconds;
  readonly targetSeconds: Seconds;
  readonly sections: readonly TimedSection[];
  readonly steps: readonly TimedStep[];
  readonly phases: readonly TimedPhase[];
  readonly cues: readonly Cue[];
}
