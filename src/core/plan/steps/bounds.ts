import type { Issue } from '@/core/units';

/** A problem where the least is more than the most. */
export function boundsInOrder(at: string, least: number, most: number): readonly Issue[] {
  return least > most ? [{ code: 'bounds-turned', at, facts: { least, most } }] : [];
}

/** A value brought inside its bounds; the least wins where they are turned. */
export function clamped(value: number, { least, most }: { readonly least: number; readonly most: number }): number {
  return Math.min(Math.max(least, most), Math.max(least, value));
}
