import type { Caution } from '@/core/movement';
import { isMovement, type ClassCheck } from '../model';

/** Cautions of vigorous work, and the settling and closing that should follow it, in seconds; common practice, no published source. */
const VIGOROUS: readonly Caution[] = ['shaking', 'deep-squat', 'breath-held', 'tapping'];
const LEAST = 60;

/** Vigorous work, and hardly any time to settle after it. */
export const closingShort: ClassCheck = {
  name: 'closing-short',
  group: 'time',
  gravity: 'should',
  of: 'class',
  find: ({ timeline, steps }) => {
    let last = null;
    for (const context of steps) {
      if (isMovement(context) && context.step.cautions.some((caution) => VIGOROUS.includes(caution))) last = context;
    }
    if (!last) return [];
    const after = timeline.runtimeSeconds - last.timed.endSeconds;
    return after >= LEAST ? [] : [{ stepId: last.step.id, facts: { seconds: after, min: LEAST } }];
  },
};
