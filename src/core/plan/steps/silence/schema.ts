import { list, oneOf, oneOfOrNone, shape, text, within, boolean, type Stored } from '@/core/document';
import { duringLineSchema, STANCES } from '@/core/movement';
import { LIMITS } from '../../limits';
import { accompanyingFields, choiceFields, namedFields } from '../common';

/** A silence: a time in which little is said and nothing is led. */
export const silenceSchema = shape({
  kind: oneOf(['silence'] as const),
  ...namedFields,
  ...choiceFields,
  ...accompanyingFields,
  seconds: within(LIMITS.countedSeconds),
  preferredSeconds: within(LIMITS.countedSeconds),
  minSeconds: within(LIMITS.countedSeconds),
  maxSeconds: within(LIMITS.countedSeconds),
  /** How one stands in it; `null` where it changes nothing. */
  stance: oneOfOrNone(STANCES),
  eyesClosed: boolean(),
  /** Said at its start. */
  openingLine: text(LIMITS.lineCharacters),
  /** Said over it, in this order, with room between. */
  during: list(duringLineSchema, LIMITS.spokenLines),
  /** Said again and again in the middle of it, so that nobody feels left alone; may be empty. */
  reassuranceLine: text(LIMITS.lineCharacters),
  /** From the start of one reassurance to the start of the next. */
  reassuranceEverySeconds: within(LIMITS.reassuranceSeconds),
  /** Said so that its last word comes `callBackLeadSeconds` before the end. */
  callBackLine: text(LIMITS.lineCharacters),
  callBackLeadSeconds: within(LIMITS.callBackLeadSeconds),
});

export type SilenceStep = Stored<typeof silenceSchema>;
