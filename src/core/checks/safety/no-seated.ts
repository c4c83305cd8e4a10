import { SEATED, withoutSinking } from '../language';
import { isMovement, type ClassCheck } from '../model';

/** Nothing in the class can be done seated, by what is said and by what its movements hold. */
export const noSeated: ClassCheck = {
  name: 'no-seated',
  group: 'safety',
  gravity: 'should',
  of: 'class',
  find: ({ steps }) => {
    const movements = steps.filter(isMovement);
    if (movements.length === 0) return [];
    if (steps.some(({ said }) => SEATED.test(withoutSinking(said)))) return [];
    return [{ stepId: null, facts: { movements: movements.length } }];
  },
};
