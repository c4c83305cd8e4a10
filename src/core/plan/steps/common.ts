import { id, oneOf, title, boolean } from '@/core/document';
import { PRIORITIES } from '@/core/movement';
import { LIMITS } from '../limits';
import { COMPANIONS } from './companions';

/** What every step has for the fit and for short lengths. */
export const choiceFields = {
  /** The fit leaves its rounds, its time, and whether it is left out, as they are. */
  pinned: boolean(),
  /** Not performed in this class, as fitted or as asked; it keeps its place and its lines. */
  skipped: boolean(),
  /** Neighbours of the same are one block: performed, and then performed again on the other side. */
  blockId: id().nullable(),
  /** Steps of the same stretch and grow alike. */
  tieId: id().nullable(),
};

/** What a step has that may go with a neighbour. */
export const accompanyingFields = {
  goesWith: oneOf(COMPANIONS),
  /** How soon it may be left out by itself. */
  priority: oneOf(PRIORITIES),
};

export const namedFields = { id: id(), name: title(LIMITS.titleCharacters) };
