import { median } from '@/core/units';

/** The distances of a stretch to texts are taken to be spread by this share of their middle, before any is known. */
const SPREAD = 0.06;

/**
 * Which texts a distance is measured by: all that it was compared with, or all others. The text that was said lies far
 * from the others and would widen its own scale, the more the fewer texts a class has.
 */
export type ScaledBy = 'all texts' | 'other texts';

interface Spread {
  readonly middle: number;
  /** One unit of distance. */
  readonly unit: number;
}

/** The scale of one stretch: how its distances to some texts of the class are spread. */
export class DistanceScale {
  private readonly all: Spread;
  private readonly without = new Map<number, Spread>();

  /** @param places Which texts it was compared with, each with its distance. */
  constructor(
    private readonly places: readonly number[],
    private readonly distances: readonly number[],
    private readonly scaledBy: ScaledBy,
  ) {
    this.all = spreadOf(distances);
  }

  /** A distance in units of the spread, from the middle. */
  inUnits(place: number, distance: number): number {
    const { middle, unit } = this.scaledBy === 'all texts' ? this.all : this.spreadWithout(place);
    return (distance - middle) / unit;
  }

  private spreadWithout(place: number): Spread {
    const own = this.places.indexOf(place);
    if (own < 0 || this.distances.length < 2) return this.all;
    let found = this.without.get(place);
    if (!found) {
      found = spreadOf(this.distances.filter((_, at) => at !== own));
      this.without.set(place, found);
    }
    return found;
  }
}

/** The middle, and a unit to count from it: the spread about it, half believed. */
function spreadOf(distances: readonly number[]): Spread {
  const middle = distances.length > 0 ? median(distances) : 1;
  const spread = distances.reduce((sum, one) => sum + (one - middle) ** 2, 0) / Math.max(1, distances.length - 1);
  return { middle, unit: Math.sqrt(((SPREAD * middle) ** 2 + spread) / 2) };
}
