import type { Interval } from '@/core/units';

/** A named stretch of a class that a viewer can jump to. */
export interface Chapter extends Interval {
  readonly title: string;
}
