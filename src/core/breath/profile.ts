import type { Seconds } from '@/core/units';

export const PACE_CURVES = ['straight', 'eased'] as const;
/** How the breath goes from opening to closing: in even steps, or gently at both ends and quicker between. */
export type PaceCurve = (typeof PACE_CURVES)[number];

/**
 * How the breath changes through a class: the first movement breathes at `breathSeconds`, the last at
 * `breathSeconds * closingRatio`, and the share that goes in likewise, by the order of the movements.
 */
export interface PaceProfile {
  readonly breathSeconds: Seconds;
  /** Closing breath over opening breath: 1.5 takes 8 s to 12 s. */
  readonly closingRatio: number;
  /** Share of a breath that goes in, at the opening and at the closing. */
  readonly inhaleShare: number;
  readonly closingInhaleShare: number;
  readonly curve: PaceCurve;
}

/** How far along the change is (0 to 1) at place `index` of `count`. */
function alongCurve(curve: PaceCurve, index: number, count: number): number {
  const along = count > 1 ? index / (count - 1) : 0;
  return curve === 'eased' ? (1 - Math.cos(Math.PI * along)) / 2 : along;
}

/**
 * Multiplier on the opening breath for movement `index` of `count`, times the movement's own `multiplier`, in
 * whole hundredths so that the fit stays exact.
 */
export function paceMultiplier(
  profile: Pick<PaceProfile, 'closingRatio' | 'curve'>,
  index: number,
  count: number,
  multiplier: number,
): number {
  const along = alongCurve(profile.curve, index, count);
  return Math.round((1 + (profile.closingRatio - 1) * along) * multiplier * 100) / 100;
}

/** Share of a breath that goes in for movement `index` of `count`, in whole hundredths. */
export function inShareAlong(
  profile: Pick<PaceProfile, 'inhaleShare' | 'closingInhaleShare' | 'curve'>,
  index: number,
  count: number,
): number {
  if (profile.inhaleShare === profile.closingInhaleShare) return profile.inhaleShare;
  const along = alongCurve(profile.curve, index, count);
  return Math.round((profile.inhaleShare + (profile.closingInhaleShare - profile.inhaleShare) * along) * 100) / 100;
}

/** Closing breath in seconds. */
export function closingBreathSeconds(profile: Pick<PaceProfile, 'breathSeconds' | 'closingRatio'>): Seconds {
  return Math.round(profile.breathSeconds * profile.closingRatio * 100) / 100;
}
