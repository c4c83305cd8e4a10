import { saidOrNamed } from '../context';
import { LEAVES, THANKS } from '../language';
import { isMovement, type ClassCheck } from '../model';

/** Nobody is thanked, and nobody takes leave at the end. */
export const noThanks: ClassCheck = {
  name: 'no-thanks',
  group: 'flow',
  gravity: 'could',
  of: 'class',
  find: ({ steps }) => {
    if (!steps.some(isMovement) || steps.some((one) => THANKS.test(saidOrNamed(one)))) return [];
    const last = steps.at(-1);
    return last && LEAVES.test(saidOrNamed(last)) ? [] : [{ stepId: null }];
  },
};
