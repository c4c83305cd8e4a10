import { isCounted } from '@/core/movement';
import { LONG_REST, phaseSeconds } from '@/core/breath';
import { setting } from '../fixes';
import { isMovement, type StepCheck } from '../model';

/** A rest in the breath is longer than rests usually are. */
export const restLong: StepCheck = {
  name: 'rest-long',
  group: 'time',
  gravity: 'should',
  of: 'step',
  find: (context) => {
    if (!isMovement(context) || !isCounted(context.step.pacedBy)) return [];
    const { step, timed } = context;
    return step.pattern.flatMap((phase) => {
      const seconds = phaseSeconds(phase, timed);
      if (phase.kind !== 'hold' || seconds <= LONG_REST) return [];
      const pattern = step.pattern.map((one) =>
        one.id === phase.id ? { ...one, share: null, seconds: LONG_REST } : one,
      );
      return [
        {
          stepId: step.id,
          detail: phase.id,
          facts: { seconds, max: LONG_REST },
          fix: setting(step, { pattern }),
        },
      ];
    });
  },
};
