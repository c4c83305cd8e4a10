import { id, oneOf, shape, whole, within, type Stored } from '@/core/document';
import { contentFields } from '@/core/movement';
import { LIMITS } from '../../limits';
import { choiceFields } from '../common';
import { INTROS, VIEWS } from './choices';

/** A movement in a class: its own copy of the content, with what was chosen for it here. */
export const movementSchema = shape({
  kind: oneOf(['movement'] as const),
  id: id(),
  ...contentFields,
  ...choiceFields,
  /** Rounds on each side (or each way), as fitted. Breath-led only: by the clock they follow from `seconds`. */
  rounds: whole(1, LIMITS.rounds),
  /** Counted time as fitted. Clock-led and own-pace only. */
  seconds: within(LIMITS.countedSeconds),
  view: oneOf(VIEWS),
  intro: oneOf(INTROS),
  /** The library entry it was taken from and the revision of it that was last looked at; `null` where there is none. */
  source: shape({ movementId: id(), revision: whole(1, Number.MAX_SAFE_INTEGER) }).nullable(),
});

export type MovementStep = Stored<typeof movementSchema>;
