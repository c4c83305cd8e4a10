import { isSilence } from '@/core/plan';
import { setting } from '../fixes';
import type { StepCheck } from '../model';
import { longestGap } from '../context';

/** Seconds with eyes closed and nothing said; common practice, no published source. */
const MOST = 90;

/** Eyes are closed and nothing is said for so long that people wonder whether they are alone. */
export const eyesSilence: StepCheck = {
  name: 'eyes-silence',
  group: 'time',
  gravity: 'should',
  of: 'step',
  find: (context) => {
    const { step } = context;
    if (!isSilence(step) || !step.eyesClosed) return [];
    const longest = longestGap(context);
    if (longest <= MOST) return [];
    const line = step.reassuranceLine || 'I am still here. There is nothing to do.';
    return [
      {
        stepId: step.id,
        facts: { seconds: longest, max: MOST },
        fix: setting(step, { reassuranceLine: line, reassuranceEverySeconds: 45 }),
      },
    ];
  },
};
