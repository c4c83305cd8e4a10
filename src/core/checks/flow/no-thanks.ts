import { THANKS } from '../language';
import { isMovement, type ClassCheck } from '../model';

/** Nobody is thanked. */
export const noThanks: ClassCheck = {
  name: 'no-thanks',
  group: 'flow',
  gravity: 'could',
  of: 'class',
  find: ({ steps }) =>
    !steps.some(isMovement) || steps.some(({ said }) => THANKS.test(said)) ? [] : [{ stepId: null }],
};
