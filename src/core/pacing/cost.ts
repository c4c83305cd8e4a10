/*
 * What a fit costs, in billionths of a "round given up". Whole numbers, so that sums and ties are exact. The same
 * words and figures stand in `docs/pacing.md`.
 */

const BILLION = 1e9;

/** Far changes cost more than near ones: d + d², where d is the change as a share of what was asked for. */
export function roundsCost(rounds: number, preferred: number): number {
  const change = Math.abs(rounds - preferred) / preferred;
  return Math.round((change + change * change) * BILLION);
}

/** A change of breath touches every movement: 0.8 e + 4 e² for each, where e is the change as a share of the breath. */
export function breathCost(tenths: number, preferredTenths: number, movements: number): number {
  const change = Math.abs(tenths - preferredTenths) / preferredTenths;
  return Math.round(movements * (0.8 * change + 4 * change * change) * BILLION);
}

/** A quiet costs as many billionths a millisecond as make 1 when it is doubled or gone; at least one billionth. */
export function quietCostPerMillisecond(preferredMilliseconds: number): number {
  return Math.max(1, Math.round(BILLION / Math.max(1, preferredMilliseconds)));
}

/** A whole cost in billionths as the figure shown. */
export function shownCost(billionths: number): number {
  return billionths / BILLION;
}
