import type { StepKind } from '.';
import { movementSchema } from './movement/schema';
import { silenceSchema } from './silence/schema';
import { talkSchema } from './talk/schema';
import { transitionSchema } from './transition/schema';

/** What each kind lets through at the door. */
export const STEP_SCHEMAS = {
  movement: movementSchema,
  talk: talkSchema,
  silence: silenceSchema,
  transition: transitionSchema,
} as const satisfies Readonly<Record<StepKind, unknown>>;
