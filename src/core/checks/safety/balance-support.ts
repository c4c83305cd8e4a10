import { CAUTION_LINES } from '@/core/words';
import { offers, speaksFor } from '@/core/meaning';
import { saidBefore, saidJustBefore, saidLines } from '../context';
import { addToCaution } from '../fixes';
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
      const said = [saidBefore(context), ...saidJustBefore(steps, at)];
      if (said.some((one) => offers(one, 'support')) || saidLines(context).some((one) => speaksFor('support', one)))
        return [];
      return [{ stepId: context.step.id, fix: addToCaution(context.step, CAUTION_LINES.balance) }];
    }),
};
