import { setting } from '../fixes';
import { says, showsItself } from '@/core/meaning';
import { taughtIn } from '../context';
import { isMovement, type StepCheck } from '../model';

/** The head is below the waist by what is said, and the movement has no caution for it. */
export const headLow: StepCheck = {
  name: 'head-low',
  group: 'safety',
  gravity: 'must',
  of: 'step',
  find: (context) => {
    if (!isMovement(context) || context.step.cautions.includes('head-low')) return [];
    const { step } = context;
    if (!taughtIn(context).some((text) => says(text, 'head-low') || showsItself('headLow', text))) return [];
    return [{ stepId: step.id, fix: setting(step, { cautions: [...step.cautions, 'head-low'] }) }];
  },
};
