import type { Milliseconds, Seconds } from '@/core/units';

export const PHASE_KINDS = ['inhale', 'exhale', 'hold', 'free'] as const;
export type PhaseKind = (typeof PHASE_KINDS)[number];

/**
 * How long a phase is. Own `seconds` when set; else `share` of one breath (0.45 = 45 %); else, for `inhale` and `exhale`,
 * the class's own ratio of the two. A `hold` or `free` phase has one of the two.
 */
export interface PhaseLength {
  readonly kind: PhaseKind;
  readonly share: number | null;
  readonly seconds: Seconds | null;
}

/** The length of one breath and how it divides. */
export interface Pace {
  /** One breath, in and out with their shares, in seconds. */
  readonly breathSeconds: Seconds;
  /** Share of a breath that an unset `in` phase takes, between 0 and 1; an unset `out` takes the rest. */
  readonly inhaleShare: number;
}

/** Length of one phase in seconds, unrounded. */
export function phaseSeconds(phase: PhaseLength, pace: Pace): Seconds {
  if (phase.seconds !== null) return phase.seconds;
  return shareOf(phase, pace.inhaleShare) * pace.breathSeconds;
}

function shareOf(phase: PhaseLength, inhaleShare: number): number {
  if (phase.share !== null) return phase.share;
  if (phase.kind === 'inhale') return inhaleShare;
  if (phase.kind === 'exhale') return 1 - inhaleShare;
  return 0;
}

/** Breaths in one round: its `in` phases, at least one. */
export function breathsPerRound(pattern: readonly PhaseLength[]): number {
  return Math.max(1, pattern.filter((phase) => phase.kind === 'inhale').length);
}

/**
 * Length of one round in whole milliseconds. Each round is rounded once, so any number of rounds is an exact
 * multiple of it.
 */
export function roundMilliseconds(pattern: readonly PhaseLength[], pace: Pace): Milliseconds {
  let total = 0;
  for (const phase of pattern) total += phaseSeconds(phase, pace);
  return Math.round(total * 1000);
}

/** Breaths a minute at a breath of `breathSeconds`. @throws RangeError unless it is above 0. */
export function breathsPerMinute(breathSeconds: Seconds): number {
  if (!(breathSeconds > 0))
    throw new RangeError(`breathsPerMinute: breathSeconds must be above 0, got ${breathSeconds}`);
  return 60 / breathSeconds;
}
