import { isCounted } from '@/core/movement';
import { askRounds, LIMITS } from '@/core/plan';
import { roundsMultiple } from '@/core/words';
import { fixBy, isMovement, type StepCheck } from '../model';

/** The class asks for rounds in threes, fives or nines, and a movement has others. */
export const roundsStyle: StepCheck = {
  name: 'rounds-style',
  group: 'count',
  gravity: 'could',
  of: 'step',
  find: (context, plan) => {
    const multiple = roundsMultiple(plan.style.rounds);
    if (!isMovement(context) || !isCounted(context.step.pacedBy) || context.timed.rounds % multiple === 0) return [];
    const { step, timed } = context;
    const rounds = Math.min(
      Math.floor(LIMITS.rounds / multiple) * multiple,
      Math.max(multiple, Math.round(timed.rounds / multiple) * multiple),
    );
    return [
      {
        stepId: step.id,
        facts: { rounds: timed.rounds, multiple },
        fix: fixBy(askRounds(step, rounds, multiple)),
      },
    ];
  },
};
