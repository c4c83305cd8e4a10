import { setting } from '../fixes';
import { HEAD_LOW } from '../language';
import { isMovement, type StepCheck } from '../model';

/** The head is below the waist by what is said, and the movement has no caution for it. */
export const headLow: StepCheck = {
  name: 'head-low',
  group: 'safety',
  gravity: 'must',
  of: 'step',
  find: (context) => {
    if (!isMovement(context) || context.step.cautions.includes('head-low')) return [];
    const { step, said } = context;
    const actions = step.pattern.map(({ action }) => action.toLowerCase()).join(' ');
    if (!HEAD_LOW.test(`${said} ${actions}`)) return [];
    return [{ stepId: step.id, fix: setting(step, { cautions: [...step.cautions, 'head-low'] }) }];
  },
};
