import { isCounted } from '@/core/movement';
import { phaseSeconds } from '@/core/breath';
import { setting } from '../fixes';
import { RISING } from '../language';
import { isMovement, type StepCheck } from '../model';

/** A phase that rises may take this part of the class's in-breath or more; less is hurried. */
const PART = 0.9;

/** People come up from a bend faster than they breathe in. */
export const bendRise: StepCheck = {
  name: 'bend-rise',
  group: 'safety',
  gravity: 'should',
  of: 'step',
  find: (context) => {
    if (!isMovement(context) || !isCounted(context.step.pacedBy)) return [];
    const { step, timed } = context;
    if (!step.cautions.includes('forward-bend') && !step.cautions.includes('head-low')) return [];
    const min = PART * timed.breathSeconds * timed.inhaleShare;
    return step.pattern.flatMap((phase) => {
      const rises = RISING.test(`${phase.action} ${phase.full} ${phase.short}`.toLowerCase());
      const seconds = phaseSeconds(phase, timed);
      if (!rises || seconds >= min) return [];
      const pattern = step.pattern.map((one) => (one.id === phase.id ? { ...one, share: null, seconds: null } : one));
      return [
        {
          stepId: step.id,
          detail: phase.id,
          facts: { seconds, min },
          fix: setting(step, { pattern }),
        },
      ];
    });
  },
};
