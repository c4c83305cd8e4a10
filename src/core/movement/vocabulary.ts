import { itemAt } from '@/core/units';
export const SECTION_ROLES = ['welcome', 'arrival', 'loosening', 'main', 'settling', 'closing'] as const;
/** The part of a class that a section is, or that a movement suits. */
export type SectionRole = (typeof SECTION_ROLES)[number];

export const SIDE_PLANS = [
  'together',
  'alternating',
  'one-then-other',
  'both-directions',
  'turn-by-turn',
  'both-directions-each-side',
  'one-side',
] as const;
/**
 * How a movement uses its sides. `turn-by-turn` alternates like `alternating`, but each turn is a round of its own, so
 * that their number may be odd; `both-directions-each-side` goes one way and the other on each leg; `one-side` uses
 * only the side that it starts with.
 */
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

export const PACINGS = ['breath', 'clock', 'own-pace', 'breath-then-own-pace', 'held'] as const;
/**
 * What decides how long a movement is: its rounds of breath; a time that whole rounds have to fill; a time in which
 * everybody goes at their own pace; rounds that are led and then a time at one's own pace; or a time for which a
 * posture is held.
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

export const DURING_PLACES = ['anywhere', 'round', 'every', 'last', 'time'] as const;
/**
 * Where a line is said while a movement runs: anywhere there is room; on one round; on every so many rounds; with so
 * many rounds left; or so many seconds after the rounds began.
 */
export type DuringPlace = (typeof DURING_PLACES)[number];

export const DURING_SIDES = ['each', 'first', 'second'] as const;
/** On which of two sides it is said, where they are performed one after the other. */
export type DuringSide = (typeof DURING_SIDES)[number];

export const SHORTENED = ['naming', 'caution', 'sending', 'roundsLeft', 'lastRound', 'sideChange', 'leaving'] as const;
/** The lines of a movement that belong to no phase and have a shorter wording beside the full one. */
export type Shortened = (typeof SHORTENED)[number];

export const MOVEMENT_FORMAT = 'calm-count/movement';
export const MOVEMENT_VERSION = 5;

/** The form said on a round, from 1; the last of the fade holds for the rest. */
export function formOn(fade: readonly Form[], round: number): Form {
  return itemAt(fade, Math.min(round, fade.length) - 1);
}

/** Sides and ways performed in one round count: 4 where each leg goes both ways, 2 where there are two, else 1. */
export function sideCount(sides: SidePlan): 1 | 2 | 4 {
  return { ...ONE_EACH, ...TWO_EACH, 'both-directions-each-side': 4 as const }[sides];
}

const ONE_EACH = { together: 1, 'turn-by-turn': 1, 'one-side': 1 } as const;
const TWO_EACH = { alternating: 2, 'one-then-other': 2, 'both-directions': 2 } as const;

/** Stretches that are performed one after the other, each with all its rounds: 1 where sides change round by round. */
export function stretchCount(sides: SidePlan): 1 | 2 | 4 {
  return sides === 'alternating' ? 1 : sideCount(sides);
}

/** Whether a body's own side is meant, not a direction, and which one it is matters. */
export function hasLegs(sides: SidePlan): boolean {
  return sides !== 'together' && sides !== 'both-directions';
}

/** Whether rounds are led and counted in it. */
export function isCounted(pacedBy: Pacing): boolean {
  return pacedBy === 'breath' || pacedBy === 'clock' || pacedBy === 'breath-then-own-pace';
}

/** Whether its rounds are asked for as a number, not as a time. */
export function asksRounds(pacedBy: Pacing): boolean {
  return pacedBy === 'breath' || pacedBy === 'breath-then-own-pace';
}

/** Whether part of it or all of it goes without a lead, for a time. */
export function hasFreeTime(pacedBy: Pacing): boolean {
  return pacedBy === 'own-pace' || pacedBy === 'held' || pacedBy === 'breath-then-own-pace';
}

/** A stance seen in the mirror: left foot forward becomes right foot forward. */
export function mirrored(stance: Stance | null): Stance | null {
  if (stance === 'left-forward') return 'right-forward';
  return stance === 'right-forward' ? 'left-forward' : stance;
}
