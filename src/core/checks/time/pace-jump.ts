import type { MovementStep } from '@/core/plan';
import { isCounted } from '@/core/movement';
import { itemAt } from '@/core/units';
import { isMovement, type ClassCheck, type MovementContext } from '../model';

/** One breath over the last, from movement to movement; common practice, no published source. */
const JUMP = 1.6;

/** The breath is suddenly much slower or quicker than in the movement before. */
export const paceJump: ClassCheck = {
  name: 'pace-jump',
  group: 'time',
  gravity: 'should',
  of: 'class',
  find: ({ steps }) => {
    const led = steps.filter((one): one is MovementContext => isMovement(one) && isBreathed(one.step));
    return led.flatMap((context, at) => {
      if (at === 0) return [];
      const [before, now] = [itemAt(led, at - 1).timed.breathSeconds, context.timed.breathSeconds];
      if (Math.max(before, now) / Math.min(before, now) <= JUMP) return [];
      return [{ stepId: context.step.id, facts: { from: before, to: now } }];
    });
  },
};

/** Whether the breath leads it: rounds at a natural breath jump from nothing. */
function isBreathed({ pacedBy, pattern }: MovementStep): boolean {
  return isCounted(pacedBy) && pattern.some(({ kind }) => kind === 'inhale' || kind === 'exhale');
}
