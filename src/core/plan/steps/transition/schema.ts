import { oneOf, oneOfOrNone, shape, text, within, type Stored } from '@/core/document';
import { STANCES } from '@/core/movement';
import { LIMITS } from '../../limits';
import { accompanyingFields, choiceFields, namedFields } from '../common';

/** A change of stance between two steps. */
export const transitionSchema = shape({
  kind: oneOf(['transition'] as const),
  ...namedFields,
  ...choiceFields,
  ...accompanyingFields,
  /** Its length, or as long as the line takes if that is longer. */
  seconds: within({ min: 0, max: LIMITS.phaseSeconds.max }),
  line: text(LIMITS.lineCharacters),
  /** The stance it leads to; `null` where it says nothing of it. */
  stance: oneOfOrNone(STANCES),
});

export type TransitionStep = Stored<typeof transitionSchema>;
