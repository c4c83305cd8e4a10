import { isCounted } from '@/core/movement';
import { saysOrDenies } from '@/core/meaning';
import { plainWords } from '../language';
import { saidBefore, saidDuring } from '../context';
import { type ClassCheck, isMovement, type MovementContext } from '../model';
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
      const words = isMovement(context) ? wordsBeforeHold(context) : context.said;
      said ||= saysOrDenies(words, 'hold-optional') || (own !== '' && plainWords(words).includes(own));
      if (said) return [];
      // A posture that is held still holds no breath.
      if (!isMovement(context) || !isCounted(context.step.pacedBy)) continue;
      if (!context.step.pattern.some(({ kind }) => kind === 'hold')) continue;
      return [{ stepId: context.step.id, fix: addToCaution(context.step, plan.style.holdLine) }];
    }
    return [];
  },
};

/** What is said before the first hold: where that joins on a later round, also what is said over the rounds. */
function wordsBeforeHold(context: MovementContext): string {
  const later = context.step.pattern.every(({ kind, fromRound }) => kind !== 'hold' || fromRound > 1);
  return later ? `${saidBefore(context)} ${saidDuring(context)}` : saidBefore(context);
}
