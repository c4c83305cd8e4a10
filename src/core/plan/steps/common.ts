import { id, oneOf, title, boolean } from '@/core/document';
import { PRIORITIES } from '@/core/movement';
import { LIMITS } from '../limits';

/** What every step has for the fit and for short lengths. */
export const choiceFields = {
  /** The fit leaves its rounds, its time, and whether it is left out, as they are. */
  pinned: boolean(),
  /** Not performed in this class, as fitted or as asked; it keeps its place and its lines. */
  skipped: boolean(),
};

export const COMPANIONS = ['none', 'next', 'previous'] as const;
/** The neighbour that a step is left out with, so that no change of feet leads nowhere. */
export type Companion = (typeof COMPANIONS)[number];

/** What a step has that may go with a neighbour. */
export const accompanyingFields = {
  goesWith: oneOf(COMPANIONS),
  /** How soon it may be left out by itself. */
  priority: oneOf(PRIORITIES),
};

export const namedFields = { id: id(), name: title(LIMITS.titleCharacters) };

/** A new step goes with no other, is performed, and stays whatever the length. */
export const ALONE = { pinned: false, skipped: false, goesWith: 'none', priority: 'always' } as const;
