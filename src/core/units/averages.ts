import { itemAt } from './item-at';

/** The middle of some numbers; between the two middle ones where they are even in count. At least one is needed. */
export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const half = sorted.length >> 1;
  return sorted.length % 2 ? itemAt(sorted, half) : (itemAt(sorted, half - 1) + itemAt(sorted, half)) / 2;
}

/** The number that a share of some numbers, 0 to 1, lies below, as one of them; of 1 the greatest. At least one is needed. */
export function quantile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return itemAt(sorted, Math.min(sorted.length - 1, Math.floor(sorted.length * share)));
}

/** The mean of some numbers; at least one is needed. */
export function mean(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}
