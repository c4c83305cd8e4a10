import type { Seconds } from '@/core/units';

/**
 * How the breath changes through a class: the first movement breathes at `breathSeconds`, the last at
 * `breathSeconds * closingRatio`, straight between them by the order of the movements.
 */
export interface PaceProfile {
  readonly breathSeconds: Seconds;
  /** Closing breath over opening breath: 1.5 takes 8 s to 12 s. */
  readonly closingRatio: number;
}

/**
 * Multiplier on the opening breath for movement `index` of `count`, times the movement's own `multiplier`, in
 * whole hundredths so that the fit stays exact.
 */
export function paceMultiplier(closingRatio: number, index: number, count: number, multiplier: number): number {
  const along = count > 1 ? index / (count - 1) : 0;
  return Math.round((1 + (closingRatio - 1) * along) * multiplier * 100) / 100;
}

/** Closing breath in seconds. */
export function closingBreathSeconds(profile: PaceProfile): Seconds {
  return Math.round(profile.breathSeconds * profile.closingRatio * 100) / 100;
}
