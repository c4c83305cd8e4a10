import { offers } from '@/core/meaning';
import { saidBeforeMoving } from '../context';
import { isMovement, type ClassCheck } from '../model';

/** A class that is seated by its name, or by whom it is for. */
const SEATED = /\b(?:seated|sitting|chairs?|chair[- ]based|wheelchairs?)\b/i;

/** Who begins on a chair or on the floor stays there. */
const SITS =
  /\b(?:sit (?:up|tall|down|on|at|in|with|towards|near|forward|back)|(?:front|edge) (?:half )?of (?:the|your) (?:chair|seat|bed|stool|bench)|seated|lie (?:down|on your)|lying (?:down|on))\b/i;

/** Nothing in the class can be done seated, by what is said in it; the seated version of a movement is not said by itself. */
export const noSeated: ClassCheck = {
  name: 'no-seated',
  group: 'safety',
  gravity: 'should',
  of: 'class',
  find: ({ plan, steps }) => {
    const movements = steps.filter(isMovement);
    if (movements.length === 0 || SEATED.test(`${plan.title}. ${plan.focus}. ${plan.audience}`)) return [];
    const { before, taught } = saidBeforeMoving(steps);
    if ([...before, ...taught].some((said) => SITS.test(said))) return [];
    if (steps.some(({ texts }) => texts.some(({ text }) => offers(text, 'seat')))) return [];
    const versions = movements.filter(({ step }) => step.seated !== '').length;
    return [{ stepId: null, facts: { movements: movements.length, ...(versions > 0 ? { versions } : {}) } }];
  },
};
