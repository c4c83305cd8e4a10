import type { PhaseKind } from '@/core/breath';
import type { Seconds } from '@/core/units';

/** The version of the document this code writes. Older ones are migrated, newer ones refused. */
export const PLAN_VERSION = 2;
export const PLAN_FORMAT = 'calm-count/class-plan';

export const SECTION_ROLES = ['welcome', 'arrival', 'loosening', 'main', 'settling', 'closing'] as const;
export type SectionRole = (typeof SECTION_ROLES)[number];

export const SIDE_PLANS = ['none', 'alternate', 'in-turn', 'each-way'] as const;
export type SidePlan = (typeof SIDE_PLANS)[number];

export const FORMS = ['full', 'short', 'breath', 'silent'] as const;
/** Which wording of a line is said: `breath` is only the breath word, `silent` is none. */
export type Form = (typeof FORMS)[number];

export const CAUTIONS = [
  'forward-bend',
  'head-low',
  'balance',
  'deep-squat',
  'arms-high',
  'neck',
  'twist',
  'breath-held',
  'reversed-breath',
  'tapping',
  'shaking',
  'eyes-closed',
  'standing-long',
] as const;
/** A caution that belongs to a movement; the table is in `docs/glossary.md`. */
export type Caution = (typeof CAUTIONS)[number];

/** One phase of a round, with what is done and said in it. */
export interface Phase {
  readonly id: string;
  readonly kind: PhaseKind;
  /** Share of one breath (0.45 = 45 %); `null` takes the class's in : out ratio. */
  readonly share: number | null;
  /** Own length in seconds; wins over `share`. */
  readonly seconds: Seconds | null;
  readonly action: string;
  readonly full: string;
  readonly short: string;
  readonly breath: string;
}

/** A line that is said one after the other with its neighbours, not led by the breath. */
export interface SpokenLine {
  readonly id: string;
  readonly text: string;
  /** Silence after it, in seconds. */
  readonly pauseSeconds: Seconds;
}

export interface MovementStep {
  readonly kind: 'movement';
  readonly id: string;
  readonly name: string;
  readonly traditionalName: string;
  readonly sides: SidePlan;
  readonly startSide: 'left' | 'right';
  readonly pattern: readonly Phase[];
  /** Rounds on each side (or each way), as fitted. */
  readonly rounds: number;
  /** Rounds the instructor asked for; the fit stays near it. */
  readonly preferredRounds: number;
  readonly leastRounds: number;
  readonly mostRounds: number;
  /** Rounds come in multiples of this. */
  readonly multiple: number;
  readonly pinned: boolean;
  /** Multiplier on the class's breath, in hundredths. */
  readonly paceMultiplier: number;
  /** Said, with the movement shown, before the first counted round; timed by speech. */
  readonly teach: readonly SpokenLine[];
  /** Which form is said on round 1, 2, ...; the last one holds for the rest. */
  readonly fade: readonly Form[];
  /** Said before the words of each side's final round; empty says nothing. */
  readonly lastRoundLine: string;
  /** Said in the change between the two sides of an in-turn or each-way movement. */
  readonly sideChangeLine: string;
  /** Length of that change, in seconds. */
  readonly sideChangeSeconds: Seconds;
  readonly cautions: readonly Caution[];
}

export interface TalkStep {
  readonly kind: 'talk';
  readonly id: string;
  readonly name: string;
  readonly lines: readonly SpokenLine[];
}

export interface QuietStep {
  readonly kind: 'quiet';
  readonly id: string;
  readonly name: string;
  readonly seconds: Seconds;
  readonly preferredSeconds: Seconds;
  readonly leastSeconds: Seconds;
  readonly mostSeconds: Seconds;
  readonly pinned: boolean;
  readonly eyesClosed: boolean;
  /** Said at its start. */
  readonly openingLine: string;
  /** Said so that it ends with the quiet. */
  readonly callBackLine: string;
}

export interface TransitionStep {
  readonly kind: 'transition';
  readonly id: string;
  readonly name: string;
  /** Its length, or as long as the line takes if that is longer. */
  readonly seconds: Seconds;
  readonly line: string;
}

export type Step = MovementStep | TalkStep | QuietStep | TransitionStep;
export type StepKind = Step['kind'];

export interface Section {
  readonly id: string;
  readonly role: SectionRole;
  readonly title: string;
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
  /** Share of a breath that goes in, for phases that set none of their own. */
  readonly inShare: number;
  readonly pinned: boolean;
}

export interface PlanVoice {
  readonly syllablesPerMinute: number;
  /** How long before its motion a line starts, in seconds. */
  readonly leadSeconds: Seconds;
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
  readonly sections: readonly Section[];
}

/** Sides performed in one round count: 2 where the body has two sides or ways, else 1. */
export function sideCount(sides: SidePlan): 1 | 2 {
  return sides === 'none' ? 1 : 2;
}

/** Every step in order, with the section it stands in. */
export function stepsInOrder(plan: ClassPlan): { readonly step: Step; readonly section: Section }[] {
  return plan.sections.flatMap((section) => section.steps.map((step) => ({ step, section })));
}
