import { itemAt } from '@/core/units';
export const SECTION_ROLES = ['welcome', 'arrival', 'loosening', 'main', 'settling', 'closing'] as const;
/** The part of a class that a section is, or that a movement suits. */
export type SectionRole = (typeof SECTION_ROLES)[number];

export const SIDE_PLANS = ['together', 'alternating', 'one-then-other', 'both-directions'] as const;
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

export const PACINGS = ['breath', 'clock', 'own-pace'] as const;
/**
 * What decides how long a movement is: its rounds of breath; a time that whole rounds have to fill; or a time in
 * which everybody goes at their own pace.
 */
export type Pacing = (typeof PACINGS)[number];

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

export const LAYERS = ['arms', 'feet', 'breath'] as const;
/** What a line of teaching is about, where a movement is taught in layers. */
export type Layer = (typeof LAYERS)[number];

export const SHORTENED = ['naming', 'caution', 'sending', 'roundsLeft', 'lastRound', 'sideChange', 'leaving'] as const;
/** The lines of a movement that belong to no phase and have a shorter wording beside the full one. */
export type Shortened = (typeof SHORTENED)[number];

export const MOVEMENT_FORMAT = 'calm-count/movement';
export const MOVEMENT_VERSION = 4;

/** The form said on a round, from 1; the last of the fade holds for the rest. */
export function formOn(fade: readonly Form[], round: number): Form {
  return itemAt(fade, Math.min(round, fade.length) - 1);
}

/** Sides performed in one round count: 2 where the body has two sides or ways, else 1. */
export function sideCount(sides: SidePlan): 1 | 2 {
  return sides === 'together' ? 1 : 2;
}

/** A stance seen in the mirror: left foot forward becomes right foot forward. */
export function mirrored(stance: Stance | null): Stance | null {
  if (stance === 'left-forward') return 'right-forward';
  return stance === 'right-forward' ? 'left-forward' : stance;
}
