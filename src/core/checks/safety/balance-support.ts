import { itemAt } from '@/core/units';
import { CAUTION_LINES } from '@/core/words';
import { saidBefore } from '../context';
import { addToCaution } from '../fixes';
import { SUPPORT } from '../language';
import { isMovement, type ClassCheck } from '../model';

/** A balance on one leg begins, and no wall, chair or toes on the floor were offered. */
export const balanceSupport: ClassCheck = {
  name: 'balance-support',
  group: 'safety',
  gravity: 'must',
  of: 'class',
  find: ({ steps }) =>
    steps.flatMap((context, at) => {
      if (!isMovement(context) || !context.step.cautions.includes('balance')) return [];
      let said = saidBefore(context);
      for (let before = at - 1; before >= 0 && !isMovement(itemAt(steps, before)); before--)
        said += itemAt(steps, before).said;
      if (SUPPORT.test(said)) return [];
      return [{ stepId: context.step.id, fix: addToCaution(context.step, CAUTION_LINES.balance) }];
    }),
};
