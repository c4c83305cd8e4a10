import { isCounted } from '@/core/movement';
import { announcesLast } from '../language';
import { isMovement, type StepCheck } from '../model';

/** "Last one" is said, and another round follows. */
export const lastEarly: StepCheck = {
  name: 'last-early',
  group: 'count',
  gravity: 'must',
  of: 'step',
  find: (context) => {
    const { step, cues, timed } = context;
    if (!isMovement(context) || !isCounted(context.step.pacedBy)) return [];
    const early = cues.find(
      (cue) => cue.round > 0 && cue.round < timed.rounds && announcesLast(cue.text.toLowerCase()),
    );
    if (!early) return [];
    return [
      {
        stepId: step.id,
        cueId: early.id,
        facts: { text: early.text, round: early.round, rounds: timed.rounds },
      },
    ];
  },
};
