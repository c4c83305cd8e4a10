import { isSilence, stancesOf } from '@/core/plan';
import { setting } from '../fixes';
import { longestGap } from '../context';
import type { ClassCheck } from '../model';

/** Seconds of standing with nothing said; common practice, no published source. */
const MOST = 300;
const OFF_THEIR_FEET = new Set(['seated', 'lying']);

/** People stand for so long without a word that they do not know whether they may stop. */
export const standingSilent: ClassCheck = {
  name: 'standing-silent',
  group: 'time',
  gravity: 'should',
  of: 'class',
  find: ({ steps }) => {
    let sits = false;
    return steps.flatMap((context) => {
      const { start, end } = stancesOf(context.step);
      if (start) sits = OFF_THEIR_FEET.has(start);
      const seconds = longestGap(context);
      const found = !sits && seconds > MOST;
      if (end) sits = OFF_THEIR_FEET.has(end);
      if (!found) return [];
      const { step } = context;
      const fix = isSilence(step)
        ? setting(step, {
            reassuranceLine: step.reassuranceLine || 'Sit down whenever your legs have had enough.',
            reassuranceEverySeconds: 120,
          })
        : null;
      return [{ stepId: step.id, facts: { seconds, max: MOST }, fix }];
    });
  },
};
