import { list, oneOf, shape, within, boolean, type Stored } from '@/core/document';
import { spokenLineSchema } from '@/core/movement';
import { LIMITS } from '../../limits';
import { accompanyingFields, choiceFields, namedFields } from '../common';

/** Lines said one after the other, nothing moved. */
export const talkSchema = shape({
  kind: oneOf(['talk'] as const),
  ...namedFields,
  ...choiceFields,
  ...accompanyingFields,
  lines: list(spokenLineSchema, LIMITS.spokenLines),
  /** It has a time of its own, in seconds: what its words leave of it is for words that are not written down. */
  timed: boolean(),
  seconds: within(LIMITS.countedSeconds),
  preferredSeconds: within(LIMITS.countedSeconds),
  minSeconds: within(LIMITS.countedSeconds),
  maxSeconds: within(LIMITS.countedSeconds),
  /** Time its words and pauses take over the voice's own, as fitted: 1.1 is said a tenth slower. */
  tempo: within(LIMITS.tempo),
  minTempo: within(LIMITS.tempo),
  maxTempo: within(LIMITS.tempo),
  /** It says a caution, and is never left out. */
  caution: boolean(),
});

export type TalkStep = Stored<typeof talkSchema>;
