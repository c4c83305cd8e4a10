import type { Milliseconds } from '@/core/units';

/** One question to a clock elsewhere: when it was asked and answered by a clock here, and what the clock said. */
export interface ClockReading {
  readonly asked: Milliseconds;
  readonly answered: Milliseconds;
  readonly said: Milliseconds;
}

/**
 * How far a clock elsewhere is ahead of the one here, in milliseconds: what the quickest of the questions gives, half
 * of whose time is taken for the way back (Cristian's algorithm, 1989: an answer that took `t` is off by at most
 * `t / 2`). `null` where nothing was answered.
 */
export function clockAhead(readings: readonly ClockReading[]): Milliseconds | null {
  const took = ({ asked, answered }: ClockReading): Milliseconds => answered - asked;
  const [quickest] = [...readings].sort((a, b) => took(a) - took(b));
  return quickest ? quickest.said - (quickest.asked + quickest.answered) / 2 : null;
}
