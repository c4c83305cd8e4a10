import { isCounted } from '@/core/movement';
import { ROUND_LINES } from '@/core/words';
import { LAST } from '../language';
import { isMovement, type StepCheck } from '../model';
import { setting } from '../fixes';

/** The last round comes and nothing says so. */
export const lastUnannounced: StepCheck = {
  name: 'last-unannounced',
  group: 'count',
  gravity: 'should',
  of: 'step',
  find: (context, plan) => {
    const { step, cues, timed } = context;
    if (!isMovement(context) || !isCounted(context.step.pacedBy) || timed.rounds < 2) return [];
    // Rounds that go on at everybody's own pace have no last one.
    if (context.step.pacedBy === 'breath-then-own-pace') return [];
    if ((context.step.counting ?? plan.style.counting) === 'none') return [];
    const told = cues.some(
      (cue) => cue.round === timed.rounds && (cue.announced !== '' || LAST.test(cue.text.toLowerCase())),
    );
    return told
      ? []
      : [
          {
            stepId: step.id,
            facts: { rounds: timed.rounds },
            fix: setting(context.step, { lastRoundLine: ROUND_LINES.last }),
          },
        ];
  },
};
