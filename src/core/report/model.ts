import type { Interval, Seconds } from '@/core/units';
import type { Side } from '@/core/words';

/** The rounds of one side, or of both where they alternate. */
export interface SideRounds {
  readonly side: Side | null;
  readonly planned: number;
  /** As the time between its lines tells; `null` where too few of them were said. */
  readonly found: number | null;
}

/** One step of the plan as it was performed. */
export interface StepReading {
  readonly step: string;
  readonly cues: number;
  readonly said: number;
  /** When it began in the take, by its first line that was said; `null` where none was. */
  readonly startsAtSeconds: Seconds | null;
  readonly plannedStartSeconds: Seconds;
  /** Each side of a movement whose rounds are counted; else none. */
  readonly rounds: readonly SideRounds[];
  /** Planned, and as measured between the lines that lead it; `null` where no breath leads or too few were said. */
  readonly breathPlannedSeconds: Seconds | null;
  readonly breathActualSeconds: Seconds | null;
  /** From its first line to its first counted round. */
  readonly teachPlannedSeconds: Seconds | null;
  readonly teachTakenSeconds: Seconds | null;
}

/** Where the take and the plan differ in kind, not only in time. */
export type Difference =
  | {
      readonly kind: 'rounds';
      readonly step: string;
      readonly side: Side | null;
      readonly planned: number;
      readonly found: number;
      readonly atSeconds: Seconds;
    }
  /** "Last one" was said, and more rounds came. */
  | { readonly kind: 'last-one'; readonly step: string; readonly more: number; readonly atSeconds: Seconds }
  | { readonly kind: 'left-out'; readonly step: string; readonly atSeconds: Seconds }
  /** A step whose lines were heard at another place of the class. */
  | { readonly kind: 'moved'; readonly step: string; readonly atSeconds: Seconds }
  | {
      readonly kind: 'interrupted';
      readonly step: string;
      readonly seconds: Seconds;
      readonly atSeconds: Seconds;
    };

export interface SectionTalk {
  readonly section: string;
  /** Shares of its length in which somebody speaks, 0 to 1. */
  readonly planned: number;
  readonly taken: number | null;
}

/** A stretch in which nobody speaks that is longer than the plan has it there. */
export interface Silence extends Interval {
  readonly plannedSeconds: Seconds;
}

/** What a reading tells beyond its lines; all of it follows from them. */
export interface Report {
  readonly steps: readonly StepReading[];
  readonly differences: readonly Difference[];
  readonly talk: readonly SectionTalk[];
  readonly silences: readonly Silence[];
  /** Average syllables a minute while speaking, as `Voice` has it; `null` where too little was said. */
  readonly syllablesPerMinute: number | null;
}
