import type { Priority } from '@/core/movement';
import type { FitWay } from '@/core/plan';

/*
 * What a fit costs, in billionths of a "round given up". Whole numbers, so that sums and ties are exact. The same
 * words and figures stand in `docs/pacing.md`.
 */

const BILLION = 1e9;

/** How dear each kind of change is, as multiples of the balance. */
export interface Weights {
  readonly rounds: number;
  readonly skip: number;
  readonly breath: number;
  /** Quiets, own pace, clock-led time and the tempo of talks. */
  readonly time: number;
}

/** The four ways to fit: what a person would rather keep is dear. */
export const WEIGHTS: Readonly<Record<FitWay, Weights>> = {
  balanced: { rounds: 1, skip: 1, breath: 1, time: 1 },
  'keep-rounds': { rounds: 10, skip: 10, breath: 1, time: 1 },
  'keep-breath': { rounds: 1, skip: 1, breath: 30, time: 1 },
  'skip-steps': { rounds: 3, skip: 0.15, breath: 3, time: 3 },
};

/** Far changes cost more than near ones: d + d², where d is the change as a share of what was asked for. */
function shareCost(found: number, preferred: number): number {
  const change = Math.abs(found - preferred) / preferred;
  return change + change * change;
}

export function roundsCost(rounds: number, preferred: number, weights: Weights): number {
  return Math.round(weights.rounds * shareCost(rounds, preferred) * BILLION);
}

/** The time that whole rounds fill, beside the time asked for; both in milliseconds. */
export function clockCost(milliseconds: number, preferred: number, weights: Weights): number {
  return Math.round(weights.time * shareCost(milliseconds, preferred) * BILLION);
}

/** A change of breath touches every movement: 0.8 e + 4 e² for each, where e is the change as a share of the breath. */
export function breathCost(tenths: number, preferredTenths: number, movements: number, weights: Weights): number {
  const change = Math.abs(tenths - preferredTenths) / preferredTenths;
  return Math.round(weights.breath * movements * (0.8 * change + 4 * change * change) * BILLION);
}

/** A silence costs as many billionths a millisecond as make 1 when it is doubled or gone; at least one billionth. */
export function silenceCostPerMillisecond(preferredMilliseconds: number, weights: Weights): number {
  return Math.max(1, Math.round((weights.time * BILLION) / Math.max(1, preferredMilliseconds)));
}

/** A talk said in twice its time costs 2: a change of tempo is heard sooner than a longer silence. */
export function talkCostPerMillisecond(plainMilliseconds: number, weights: Weights): number {
  return Math.max(1, Math.round((weights.time * 2 * BILLION) / Math.max(1, plainMilliseconds)));
}

/** A second off the target costs a tenth of a round, so that no round is given up for it; in billionths a millisecond. */
export const LANDING_COST_PER_MILLISECOND = (0.1 * BILLION) / 1000;

/** Leaving a step out, by its priority; a step that is always kept has no price. */
export function skipCost(priority: Priority, weights: Weights): number {
  return Math.round(weights.skip * SKIPPING[priority] * BILLION);
}

const SKIPPING: Readonly<Record<Priority, number>> = { low: 1, middle: 2, high: 4, always: 1e6 };

/** A whole cost in billionths as the figure shown. */
export function shownCost(billionths: number): number {
  return billionths / BILLION;
}
