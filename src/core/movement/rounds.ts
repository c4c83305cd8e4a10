import type { Phase } from './schema';

/** Whether a phase is part of a round, from 1. */
export function isInRound({ fromRound, toRound }: Pick<Phase, 'fromRound' | 'toRound'>, round: number): boolean {
  return round >= fromRound && (toRound === null || round <= toRound);
}

/** The phases of one round, in order. */
export function phasesOn(pattern: readonly Phase[], round: number): readonly Phase[] {
  return pattern.filter((phase) => isInRound(phase, round));
}

/** From which round on every round is alike, from 1. */
export function settledFrom(pattern: readonly Phase[]): number {
  return pattern.reduce((round, { fromRound, toRound }) => Math.max(round, fromRound, (toRound ?? 0) + 1), 1);
}
