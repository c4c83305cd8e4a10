import type { Range } from './amounts';

export type Way =
  'left' | 'right' | 'forward' | 'back' | 'clockwise' | 'anticlockwise' | 'inwards' | 'outwards' | 'one' | 'other';

/** Something found in a line, with the tokens it takes. */
export type Found =
  | { readonly what: 'rounds'; readonly range: Range; readonly bare: boolean; readonly eachSide: boolean }
  /** `whole` where it is the time of both sides: "2 x 20 s". */
  | { readonly what: 'seconds'; readonly range: Range; readonly whole?: true }
  | { readonly what: 'hold'; readonly range: Range }
  /** `sided` where it is one of a body's sides: "one leg". */
  | { readonly what: 'way'; readonly way: Way; readonly sided?: boolean }
  | { readonly what: 'each-side' | 'alternating' | 'own-pace' | 'each' }
  /** `inTurn` where one way comes after the other: a time is that of each. */
  | { readonly what: 'each-way'; readonly inTurn?: boolean }
  /** `startsRight` where the right is named first: "R then L". */
  | { readonly what: 'in-turn'; readonly startsRight?: boolean }
  /** "Left only". */
  | { readonly what: 'one-side'; readonly side: 'left' | 'right' }
  | { readonly what: 'start'; readonly side: 'left' | 'right' };

export type Taken = Found & { readonly from: number; readonly to: number };

export type Take = (found: Found, to: number, from?: number) => Taken;
