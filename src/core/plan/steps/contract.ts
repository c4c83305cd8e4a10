import type { PhaseKind } from '@/core/breath';
import type { NewId } from '@/core/document';
import type { Form, SpokenLine, Stance } from '@/core/movement';
import type { Issue, Milliseconds, Seconds } from '@/core/units';
import type { TeachingStyle, Side } from '@/core/words';
import type { PlanVoice } from '../voice';
import type { Wish } from '../wish';
import type { Companion } from './companions';
import type { Setting } from './settings';
import type { CueSource, TextChange, TextPlace } from './text-place';

/* What a kind of step has to say about itself. Each folder beside this file answers for one kind. */

/** How a step breathes: its multiplier on the opening breath, and the share of a breath that goes in. */
export interface StepPace {
  readonly multiplier: number;
  readonly inhaleShare: number;
}

/** What the length of a step depends on beside itself. */
export interface Tempo {
  readonly voice: PlanVoice;
  /** The opening breath. */
  readonly breathSeconds: Seconds;
  readonly pace: StepPace;
}

/** Rounds that are counted. */
export interface Counted {
  /** On each side. */
  readonly rounds: number;
  /** One round as it is counted: both sides where they alternate. */
  readonly roundMilliseconds: Milliseconds;
}

/** How far a step may stretch beside what is fixed of it; costs are of the fit. */
export interface Stretch {
  /** Words said slower, silence, or time at everybody's own pace. */
  readonly of: 'talk' | 'silence' | 'own';
  readonly min: Milliseconds;
  readonly preferred: Milliseconds;
  readonly max: Milliseconds;
}

/** What a step takes as the fit sees it, apart from counted rounds. */
export interface StepParts {
  readonly fixed: Milliseconds;
  readonly stretch: Stretch | null;
}

/** What may be asked of a step, how far it may go, and in which fields that is kept. */
export interface StepWish<Step> extends Wish {
  readonly what: 'rounds' | 'time' | 'tempo';
  /** Values come in multiples of this; rounds only. */
  readonly multiple: number;
  readonly fields: {
    readonly value: keyof Step & string;
    /** Left out where the value itself is what was asked. */
    readonly preferred?: keyof Step & string;
    readonly min: keyof Step & string;
    readonly max: keyof Step & string;
  };
}

/** One round on one side, in the order performed. */
export interface Turn {
  readonly round: number;
  readonly side: Side | null;
  readonly other: Side | null;
  /** Whether this side is the one the movement begins with. */
  readonly begins: boolean;
  /** Whether the count is said with this turn: once a round, where sides alternate with the first of the two. */
  readonly counted: boolean;
  /** Whether it belongs to the last round of its side, or of both where they alternate, and says so. */
  readonly last: boolean;
  /** Which of the stretches that follow each other, each with all its rounds, it stands in; from 0. */
  readonly stretch: number;
  /** Whether the side or the way changes just before it. */
  readonly changes: boolean;
}

/** Where in a step a line is said: what its tokens are filled from. */
export interface Moment {
  /** From the start of the class. */
  readonly at: Milliseconds;
  readonly turn: Turn | null;
  /** Rounds on each side; 0 where none are counted. */
  readonly rounds: number;
  readonly form?: Form;
  readonly kind?: PhaseKind;
  readonly level?: string;
}

/** What of a step's tokens comes from the step itself. */
export interface StepTokens {
  /** In the order in which they are used; one `null` where there are none. */
  readonly sides: readonly (Side | null)[];
  readonly startSide: 'left' | 'right';
  readonly counting: TeachingStyle['counting'] | null;
  /** What it breathes otherwise than the class does. */
  readonly style: Partial<Pick<TeachingStyle, 'breath' | 'belly' | 'outBreath'>>;
  /** The level that a line means which names none. */
  readonly level: string;
}

/** Nothing of it comes from a step without sides, count or levels. */
export const NO_TOKENS: StepTokens = { sides: [null], startSide: 'left', counting: null, style: {}, level: '' };

/** A line to place on the timeline. */
export interface PlacedLine {
  /** Unlike that of any other line of the step. */
  readonly name: string;
  readonly text: string;
  readonly source: CueSource;
  readonly start: Milliseconds;
  /** Start of the motion it leads. */
  readonly motion: Milliseconds;
  /** When the next thing has to be said or done. */
  readonly due: Milliseconds;
  /** 0 and `null` outside counted rounds. */
  readonly round?: number;
  readonly side?: Side | null;
  /** The cue after it waits until it is said. */
  readonly holdsNext?: boolean;
  /** Time its words take over the voice's own. */
  readonly tempo?: number;
  readonly announced?: string;
}

/** The timeline as a step writes itself onto it. */
export interface StepWriter {
  /** From the start of the class; moved on by `spoken` and `until`. */
  readonly now: Milliseconds;
  readonly tempo: Tempo;
  readonly style: TeachingStyle;
  /** The end of the last line that the next one has to wait for. */
  readonly spokenUntil: Milliseconds;
  /** A stretch in which words lead; time moves on. */
  spoken(length: Milliseconds, action: string): void;
  phase(kind: PhaseKind, round: number, side: Side | null, action: string, from: Milliseconds, to: Milliseconds): void;
  until(time: Milliseconds): void;
  /** A line as it is said there, its tokens filled. */
  filled(text: string, moment: Moment): string;
  line(line: PlacedLine): void;
}

/** What only a kind of step knows of itself. `Step` is the kind's own type. */
export interface StepContract<Step> {
  /** A new one, with the commonest numbers (common practice, no published source). */
  readonly make: (newId: NewId, name: string) => Step;
  /** One as a script begins it: with nothing in it yet. */
  readonly blank: (newId: NewId, name: string) => Step;
  /** The same with new ids for all that is in it, not for itself. */
  readonly withNewIds: (newId: NewId, step: Step) => Step;
  /** The same performed on the other side. */
  readonly mirrored: (step: Step) => Step;
  /** What a schema of single fields cannot say; `once` is told every id. */
  readonly check: (step: Step, at: string, once: (id: string, at: string) => void) => readonly Issue[];
  /** At most how many cues it can have. */
  readonly mostCues: (step: Step) => number;
  /** Its length as it stands, left out or not. */
  readonly milliseconds: (step: Step, tempo: Tempo) => Milliseconds;
  /** `null` where nothing is counted. */
  readonly counted: (step: Step, tempo: Tempo) => Counted | null;
  /** Writes it onto the timeline; gives how long it is before its first counted round. */
  readonly write: (step: Step, writer: StepWriter, counted: Counted | null) => Milliseconds;
  readonly tokens: (step: Step) => StepTokens;
  /** Its text fields after a change, in the order in which they are first said. */
  readonly changedTexts: (step: Step, change: TextChange) => Partial<Step>;
  /** Whether a text of it is ever said. */
  readonly isSaid: (step: Step, place: TextPlace) => boolean;
  /** Fields that hold what is said, beside those of `changedTexts`. */
  readonly wordFields: readonly (keyof Step & string)[];
  /** Fields of rounds, time and their bounds, which go together when one of them is changed. */
  readonly amountFields: readonly (keyof Step & string)[];
  /** What the fit may move, and where that is kept; `null` where nothing is. */
  readonly wish: (step: Step) => StepWish<Step> | null;
  /** What of it is fixed and what stretches; `stays` when it is not to move. */
  readonly parts: (step: Step, voice: PlanVoice, stays: boolean) => StepParts;
  /** The fields that give its stretch a length. */
  readonly stretched: (step: Step, length: Milliseconds, voice: PlanVoice) => Partial<Step>;
  /** Stance at the start and end as it is performed; `null` where it may be any. */
  readonly stances: (step: Step) => { readonly start: Stance | null; readonly end: Stance | null };
  /** Whether it only leads from one stance to another: its end holds, also where it is open. */
  readonly onlyLeads: boolean;
  /** Whether viewers look for it by its own name, among the chapters. */
  readonly isChapter: boolean;
  /** The neighbour it goes with when that is left out. */
  readonly companion: (step: Step) => Companion;
  /** Whether it is never left out, whatever its priority. */
  readonly always: (step: Step) => boolean;
  /** Its settings in the plain script, in the order in which they are written. */
  readonly settings: readonly Setting<Step>[];
  /** Its lines in the plain script below the settings. */
  readonly body: (step: Step) => readonly string[];
  /** The step with one more line that is said; `null` where it has no room for another. */
  readonly withLine: (step: Step, line: SpokenLine) => Step | null;
  /** The same with another silence after the line that was said last; `null` where there is none. */
  readonly withPause: (step: Step, seconds: Seconds) => Step | null;
}
