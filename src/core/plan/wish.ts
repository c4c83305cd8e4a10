/**
 * What was asked for, and how far the fit may go from it: rounds, seconds, tempo or breath. Documents hold it as fields
 * of their own; each kind of step says which.
 */
export interface Wish {
  /** As fitted. */
  readonly value: number;
  /** As asked; the fit stays near it. */
  readonly preferred: number;
  readonly least: number;
  readonly most: number;
}

/** The wish that somebody has who asks for a value: it is preferred, and the bounds are widened to hold it. */
export function asked(wish: Pick<Wish, 'least' | 'most'>, value: number): Wish {
  return { value, preferred: value, least: Math.min(wish.least, value), most: Math.max(wish.most, value) };
}
