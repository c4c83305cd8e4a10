import { LIMITS } from '@/core/plan';
import { roundsMultiple } from '@/core/words';
import { isMovement, type StepCheck } from '../model';

/** The class asks for rounds in threes, fives or nines, and a movement has others. */
export const roundsSchool: StepCheck = {
  name: 'rounds-school',
  group: 'count',
  gravity: 'could',
  of: 'step',
  find: (context, plan) => {
    const multiple = roundsMultiple(plan.schools.rounds);
    if (!isMovement(context) || context.step.lead === 'own' || context.timed.rounds % multiple === 0) return [];
    const { step, timed } = context;
    const rounds = Math.min(
      Math.floor(LIMITS.rounds / multiple) * multiple,
      Math.max(multiple, Math.round(timed.rounds / multiple) * multiple),
    );
    const set = (field: string, value: number) => ({ kind: 'set-step' as const, stepId: step.id, field, value });
    const edits = [
      set('multiple', multiple),
      set('rounds', rounds),
      set('preferredRounds', rounds),
      set('leastRounds', Math.min(step.leastRounds, rounds)),
      set('mostRounds', Math.max(step.mostRounds, rounds)),
    ];
    return [
      {
        stepId: step.id,
        facts: { rounds: timed.rounds, multiple },
        fix: { kind: 'edit', edit: { kind: 'together', edits } },
      },
    ];
  },
};
