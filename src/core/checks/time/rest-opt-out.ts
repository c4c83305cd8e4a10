import { plainWords, OPT_OUT } from '../language';
import { saidBefore } from '../context';
import { isMovement, type ClassCheck } from '../model';
import { addToCaution } from '../fixes';

/** A breath rests, and nobody was told that the rest may be left out. One finding, at the first such movement. */
export const restOptOut: ClassCheck = {
  name: 'rest-opt-out',
  group: 'time',
  gravity: 'should',
  of: 'class',
  find: ({ plan, steps }) => {
    const own = plainWords(plan.style.holdLine);
    let said = false;
    for (const context of steps) {
      const words = isMovement(context) ? saidBefore(context) : context.said;
      said ||= OPT_OUT.test(words) || (own !== '' && plainWords(words).includes(own));
      if (said) return [];
      if (!isMovement(context) || !context.step.pattern.some(({ kind }) => kind === 'hold')) continue;
      return [{ stepId: context.step.id, fix: addToCaution(context.step, plan.style.holdLine) }];
    }
    return [];
  },
};
