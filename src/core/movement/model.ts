import type { PhaseKind } from '@/core/breath';
import type { Seconds } from '@/core/units';
import type { Counting } from '@/core/words';

export const SECTION_ROLES = ['welcome', 'arrival', 'loosening', 'main', 'settling', 'closing'] as const;
/** The part of a class that a section is, or that a movement suits. */
export type SectionRole = (typeof SECTION_ROLES)[number];

export const SIDE_PLANS = ['none', 'alternate', 'in-turn', 'each-way'] as const;
export type SidePlan = (typeof SIDE_PLANS)[number];

export const FORMS = ['full', 'short', 'breath', 'silent'] as const;
/** Which wording of a line is said: `breath` is only the breath word, `silent` is none. */
export type Form = (typeof FORMS)[number];

export const STANCES = [
  'feet-together',
  'hip-width',
  'wide',
  'left-forward',
  'right-forward',
  'one-leg',
  'seated',
  'lying',
] as const;
/** How the body stands where a step begins or ends. */
export type Stance = (typeof STANCES)[number];

export const LEADS = ['breath', 'clock', 'own'] as const;
/**
 * What decides how long a movement is: its rounds of breath; a time that whole rounds have to fill; or a time in
 * which everybody goes at their own pace.
 */
export type Lead = (typeof LEADS)[number];

export const PRIORITIES = ['always', 'high', 'middle', 'low'] as const;
/** Whether a step may be left out of a short length, and how soon: `low` goes first, `always` never. */
export type Priority = (typeof PRIORITIES)[number];

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
  /** How long before this phase its words start, in seconds; `null` takes the class's lead. */
  readonly leadSeconds: Seconds | null;
}

export const LAYERS = ['arms', 'feet', 'breath'] as const;
/** What a line of teaching is about, where a movement is taught in layers. */
export type Layer = (typeof LAYERS)[number];

/** A line that is said one after the other with its neighbours, not led by the breath. */
export interface SpokenLine {
  readonly id: string;
  readonly text: string;
  /** Silence after it, in seconds. */
  readonly pauseSeconds: Seconds;
  /** `null` where it belongs to no layer. */
  readonly layer: Layer | null;
}

/** One level of difficulty: what it is called and what it asks. */
export interface Level {
  readonly name: string;
  readonly note: string;
  /** Said to offer it, after the teaching; may be empty. */
  readonly line: string;
}

/** What is said at moments of a movement that are no phase of the breath; each may be empty. */
export interface Moments {
  /** As it begins. */
  readonly naming: string;
  /** Before it is taught. */
  readonly caution: string;
  /** Sends people into their own pace. */
  readonly sending: string;
  /** With the round before the last, or with each in counting down; see `Counting`. */
  readonly roundsLeft: string;
  /** After the last round. */
  readonly leaving: string;
}

export const SHORTENED = ['naming', 'caution', 'sending', 'roundsLeft', 'lastRound', 'sideChange', 'leaving'] as const;
/** The lines of a movement that belong to no phase and have a shorter wording beside the full one. */
export type Shortened = (typeof SHORTENED)[number];
/** Each may be empty: the full wording is then said in its place. */
export type Shorts = Readonly<Record<Shortened, string>>;

/** What a movement is, wherever it stands: the same in the library and in the copy that a class keeps. */
export interface MovementContent {
  readonly name: string;
  readonly traditionalName: string;
  /** Themed names it also goes by. */
  readonly otherNames: readonly string[];
  /** `null` where it may be any. With sides, as it is when the left side begins. */
  readonly stanceStart: Stance | null;
  readonly stanceEnd: Stance | null;
  readonly sides: SidePlan;
  readonly startSide: 'left' | 'right';
  readonly pattern: readonly Phase[];
  readonly lead: Lead;
  /** Rounds the instructor asked for, on each side; the fit stays near it. Breath-led only. */
  readonly preferredRounds: number;
  readonly leastRounds: number;
  readonly mostRounds: number;
  /** Rounds come in multiples of this. */
  readonly multiple: number;
  /** Counted time asked for, both sides together, teaching not counted. Clock-led and own-pace only. */
  readonly preferredSeconds: Seconds;
  readonly leastSeconds: Seconds;
  readonly mostSeconds: Seconds;
  /** Multiplier on the class's breath, in hundredths. */
  readonly paceMultiplier: number;
  /** Own share of a breath that goes in; `null` takes the class's. */
  readonly inShare: number | null;
  /** Said, with the movement shown, before the first counted round; timed by speech. */
  readonly teach: readonly SpokenLine[];
  /** Which form is said on round 1, 2, ...; the last one holds for the rest. */
  readonly fade: readonly Form[];
  /** Rounds, from 1, whose form was chosen by hand and is not changed by fitting the words. */
  readonly fadePins: readonly number[];
  readonly moments: Moments;
  readonly shorts: Shorts;
  /** `null` takes the class's. */
  readonly counting: Counting | null;
  /** Said before the words of each side's final round, or to call people back from their own pace; may be empty. */
  readonly lastRoundLine: string;
  /** Said in the change between the two sides of an in-turn or each-way movement. */
  readonly sideChangeLine: string;
  /** Length of that change, in seconds. */
  readonly sideChangeSeconds: Seconds;
  /** None, or up to three, the easiest first. */
  readonly levels: readonly Level[];
  readonly cautions: readonly Caution[];
  /** How it is done seated; empty where there is no seated version. */
  readonly seated: string;
  readonly priority: Priority;
}

export const MOVEMENT_FORMAT = 'calm-count/movement';
export const MOVEMENT_VERSION = 3;

/** An entry of the library. */
export interface Movement extends MovementContent {
  readonly format: typeof MOVEMENT_FORMAT;
  readonly version: typeof MOVEMENT_VERSION;
  /** Parts of a class that it suits. */
  readonly roles: readonly SectionRole[];
  readonly tags: readonly string[];
}

/** The form said on a round, from 1; the last of the fade holds for the rest. */
export function formOn(fade: readonly Form[], round: number): Form {
  return fade[Math.min(round, fade.length) - 1];
}

/** Sides performed in one round count: 2 where the body has two sides or ways, else 1. */
export function sideCount(sides: SidePlan): 1 | 2 {
  return sides === 'none' ? 1 : 2;
}

/** A stance seen in the mirror: left foot forward becomes right foot forward. */
export function mirrored(stance: Stance | null): Stance | null {
  if (stance === 'left-forward') return 'right-forward';
  return stance === 'right-forward' ? 'left-forward' : stance;
}
