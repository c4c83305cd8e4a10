/**
 * What was asked for, and how far the fit may go from it: rounds, seconds, tempo or breath. Documents hold it as fields
 * of their own; each kind of step says which.
 */
export interface Wish {
  /** As fitted. */
  readonly value: number;
  /** As asked; the fit stays near it. */
  readonly preferred: number;
  readonly min: number;
  readonly max: number;
}

/** The wish that somebody has who asks for a value: it is preferred, and the bounds are widened to hold it. */
export function asked(wish: Pick<Wish, 'min' | 'max'>, value: number): Wish {
  return { value, preferred: value, min: Math.min(wish.min, value), max: Math.max(wish.max, value) };
}
