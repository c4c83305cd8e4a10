import type { Milliseconds } from '@/core/units';
import type { ElasticItem } from './model';

/** In the order they give way: the cheapest first, then as they stand in the class. */
function byCost(elastic: readonly ElasticItem[]): ElasticItem[] {
  return [...elastic].sort((a, b) => a.costPerMillisecond - b.costPerMillisecond || a.order - b.order);
}

/**
 * The least cost, in billionths, of taking up `remainder` milliseconds (negative: giving them back) with the free
 * time around the target and what stretches; `null` when they cannot.
 */
export function tailCost(
  elastic: readonly ElasticItem[],
  tolerance: Milliseconds,
  remainder: Milliseconds,
): number | null {
  if (Math.abs(remainder) <= tolerance) return 0;
  const lengths = stretch(elastic, tolerance, remainder);
  if (!lengths) return null;
  return elastic.reduce(
    (total, item, index) => total + Math.abs((lengths[index] ?? 0) - item.preferred) * item.costPerMillisecond,
    0,
  );
}

/** The length of each at that least cost, in the order given; `null` when they cannot take it up. */
export function stretch(
  elastic: readonly ElasticItem[],
  tolerance: Milliseconds,
  remainder: Milliseconds,
): Milliseconds[] | null {
  let left = Math.max(0, Math.abs(remainder) - tolerance);
  const lengths = new Map<ElasticItem, number>(elastic.map((item) => [item, item.preferred]));
  if (left > 0) {
    for (const item of byCost(elastic)) {
      const room = remainder > 0 ? item.max - item.preferred : item.preferred - item.min;
      const taken = Math.min(left, room);
      lengths.set(item, item.preferred + (remainder > 0 ? taken : -taken));
      left -= taken;
      if (left <= 0) break;
    }
  }
  return left > 0 ? null : elastic.map((item) => lengths.get(item) ?? item.preferred);
}
