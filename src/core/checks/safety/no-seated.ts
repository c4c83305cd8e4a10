import { offers } from '@/core/meaning';
import { isMovement, type ClassCheck } from '../model';
import { isSeated } from './seated';

/** Nothing in the class can be done seated, by what is said in it; the seated version of a movement is not said by itself. */
export const noSeated: ClassCheck = {
  name: 'no-seated',
  group: 'safety',
  gravity: 'should',
  of: 'class',
  find: ({ plan, steps }) => {
    const movements = steps.filter(isMovement);
    if (movements.length === 0 || isSeated(plan, steps)) return [];
    if (steps.some(({ texts }) => texts.some(({ text }) => offers(text, 'seat')))) return [];
    const versions = movements.filter(({ step }) => step.seated !== '').length;
    return [{ stepId: null, facts: { movements: movements.length, ...(versions > 0 ? { versions } : {}) } }];
  },
};
