import { isMovement, type StepCheck } from '../model';

/** Share of a step, and seconds below which no teaching is long; common practice, no published source. */
const SHARE = 1 / 3;
const SHORT = 15;

/** The teaching takes more than a third of its movement. */
export const teachLong: StepCheck = {
  name: 'teach-long',
  group: 'time',
  gravity: 'could',
  of: 'step',
  find: (context) => {
    const { step, timed } = context;
    const share = timed.teachSeconds / (timed.endSeconds - timed.startSeconds);
    if (!isMovement(context) || timed.teachSeconds < SHORT || share <= SHARE) return [];
    return [{ stepId: step.id, facts: { seconds: timed.teachSeconds, percent: Math.round(100 * share) } }];
  },
};
