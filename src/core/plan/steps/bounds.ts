import type { Issue } from '@/core/units';

/** A problem where the least is more than the most. */
export function boundsInOrder(at: string, min: number, max: number): readonly Issue[] {
  return min > max ? [{ code: 'bounds-turned', at, facts: { min, max } }] : [];
}

/** A value brought inside its bounds; the least wins where they are turned. */
export function clamped(value: number, { min, max }: { readonly min: number; readonly max: number }): number {
  return Math.min(Math.max(min, max), Math.max(min, value));
}
