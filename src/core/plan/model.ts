import type { PaceCurve } from '@/core/breath';
import type { MovementContent, Priority, SectionRole, SpokenLine, Stance } from '@/core/movement';
import type { Seconds } from '@/core/units';
import type { Schools, Theme } from '@/core/words';

/** The version of the document this code writes. Older ones are migrated, newer ones refused. */
export const PLAN_VERSION = 5;
export const PLAN_FORMAT = 'calm-count/class-plan';

/** What every step has for the fit and for short lengths. */
interface StepChoice {
  /** The fit leaves its rounds, its time, and whether it is left out, as they are. */
  readonly pinned: boolean;
  /** Not performed in this class, as fitted or as asked; it keeps its place and its lines. */
  readonly leftOut: boolean;
}

export const COMPANIONS = ['none', 'next', 'previous'] as const;
/** The neighbour that a talk, quiet or transition is left out with, so that no change of feet leads nowhere. */
export type Companion = (typeof COMPANIONS)[number];

interface Accompanying {
  readonly goesWith: Companion;
  /** How soon it may be left out by itself. */
  readonly priority: Priority;
}

export const VIEWS = ['front', 'side', 'back'] as const;
/** How the instructor is seen by the camera. */
export type View = (typeof VIEWS)[number];

export const INTROS = ['full', 'short', 'silent'] as const;
/**
 * How much is said before and after the rounds of a movement: everything; the short wordings, and nothing taught;
 * or nothing but its caution, and what sends people into their own pace.
 */
export type Intro = (typeof INTROS)[number];

/** A movement in a class: its own copy of the content, with what was chosen for it here. */
export interface MovementStep extends MovementContent, StepChoice {
  readonly kind: 'movement';
  readonly id: string;
  /** Rounds on each side (or each way), as fitted. Breath-led only: by the clock they follow from `seconds`. */
  readonly rounds: number;
  /** Counted time as fitted. Clock-led and own-pace only. */
  readonly seconds: Seconds;
  readonly view: View;
  readonly intro: Intro;
  /** The library entry it was taken from and the revision of it that was last looked at; `null` where there is none. */
  readonly source: { readonly movementId: string; readonly revision: number } | null;
}

export interface TalkStep extends StepChoice, Accompanying {
  readonly kind: 'talk';
  readonly id: string;
  readonly name: string;
  readonly lines: readonly SpokenLine[];
  /** Time its words and pauses take over the voice's own, as fitted: 1.1 is said a tenth slower. */
  readonly tempo: number;
  readonly leastTempo: number;
  readonly mostTempo: number;
  /** It says a caution, and is never left out. */
  readonly caution: boolean;
}

export interface QuietStep extends StepChoice, Accompanying {
  readonly kind: 'quiet';
  readonly id: string;
  readonly name: string;
  readonly seconds: Seconds;
  readonly preferredSeconds: Seconds;
  readonly leastSeconds: Seconds;
  readonly mostSeconds: Seconds;
  /** How one stands in it; `null` where it changes nothing. */
  readonly stance: Stance | null;
  readonly eyesClosed: boolean;
  /** Said at its start. */
  readonly openingLine: string;
  /** Said again and again in the middle of it, so that nobody feels left alone; may be empty. */
  readonly reassuranceLine: string;
  /** From the start of one reassurance to the start of the next. */
  readonly reassuranceEverySeconds: Seconds;
  /** Said so that its last word comes `callBackLeadSeconds` before the end. */
  readonly callBackLine: string;
  readonly callBackLeadSeconds: Seconds;
}

export interface TransitionStep extends StepChoice, Accompanying {
  readonly kind: 'transition';
  readonly id: string;
  readonly name: string;
  /** Its length, or as long as the line takes if that is longer. */
  readonly seconds: Seconds;
  readonly line: string;
  /** The stance it leads to; `null` where it says nothing of it. */
  readonly stance: Stance | null;
}

export type Step = MovementStep | TalkStep | QuietStep | TransitionStep;
export type StepKind = Step['kind'];

export interface Section {
  readonly id: string;
  readonly role: SectionRole;
  readonly title: string;
  /** Breath here over the opening breath, in hundredths, in place of the class's profile; `null` follows it. */
  readonly paceMultiplier: number | null;
  /** Share of a breath that goes in here; `null` follows the class's profile. */
  readonly inShare: number | null;
  readonly steps: readonly Step[];
}

export interface PlanPace {
  /** The opening breath, in seconds, as fitted; a whole tenth. */
  readonly breathSeconds: Seconds;
  readonly preferredBreathSeconds: Seconds;
  readonly leastBreathSeconds: Seconds;
  readonly mostBreathSeconds: Seconds;
  /** Closing breath over opening breath. */
  readonly closingRatio: number;
  /** Share of a breath that goes in at the opening, for phases that set none of their own. */
  readonly inShare: number;
  readonly closingInShare: number;
  /** How breath and share go from opening to closing. */
  readonly curve: PaceCurve;
  readonly pinned: boolean;
}

export interface PlanVoice {
  readonly syllablesPerMinute: number;
  /** How long before its motion a line starts, in seconds. */
  readonly leadSeconds: Seconds;
  /** Silence after a line at a moment of a movement, and after a sentence of prose that names none, in seconds. */
  readonly pauseSeconds: Seconds;
}

export const FIT_WAYS = ['balance', 'keep-rounds', 'keep-breath', 'leave-out'] as const;
/** What a fit would rather keep; see `docs/pacing.md`. */
export type FitWay = (typeof FIT_WAYS)[number];

/** What one length keeps for a step whatever the fit would choose; a `null` is left to the fit. */
export interface LengthPin {
  readonly stepId: string;
  readonly leftOut: boolean | null;
  readonly rounds: number | null;
  readonly seconds: Seconds | null;
}

/** Another length of the same class: a target with pins of its own. What it holds is fitted anew from the source. */
export interface Length {
  readonly id: string;
  readonly name: string;
  readonly targetSeconds: Seconds;
  readonly way: FitWay;
  /** The opening breath it keeps; `null` is left to the fit. */
  readonly breathSeconds: Seconds | null;
  readonly pins: readonly LengthPin[];
}

/** A finding that was looked at and set aside, with why. */
export interface SetAside {
  /** The check's name. */
  readonly check: string;
  /** `null` where the finding is about the whole class. */
  readonly stepId: string | null;
  /** What tells this finding from others of the check in the step; may be empty. */
  readonly detail: string;
  readonly reason: string;
}

/** One class: a value that is never changed in place. */
export interface ClassPlan {
  readonly format: typeof PLAN_FORMAT;
  readonly version: typeof PLAN_VERSION;
  readonly title: string;
  readonly focus: string;
  readonly audience: string;
  readonly targetSeconds: Seconds;
  readonly pace: PlanPace;
  readonly voice: PlanVoice;
  /** Each edit refits what is not pinned. */
  readonly keepOnTarget: boolean;
  /** Each edit fits the words of the movement it changes. */
  readonly keepWordsFitted: boolean;
  readonly lengths: readonly Length[];
  readonly schools: Schools;
  /** Share of a movement's counted time that should have no words in it; fitting the words keeps it. */
  readonly silenceShare: number;
  readonly themes: readonly Theme[];
  /** The theme in use; `null` for plain names. */
  readonly themeId: string | null;
  readonly setAside: readonly SetAside[];
  readonly sections: readonly Section[];
}

/** Every step in order, with the section it stands in. */
export function stepsInOrder(plan: ClassPlan): { readonly step: Step; readonly section: Section }[] {
  return plan.sections.flatMap((section) => section.steps.map((step) => ({ step, section })));
}
