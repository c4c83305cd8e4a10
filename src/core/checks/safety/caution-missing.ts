import type { Caution } from '@/core/movement';
import { CAUTION_LINES } from '@/core/words';
import { addToCaution } from '../fixes';
import { isMovement, type ClassCheck, type ClassContext, type MovementContext } from '../model';
import { cautionState } from './caution-state';

/** A movement's caution is said nowhere. */
export const cautionMissing: ClassCheck = {
  name: 'caution-missing',
  group: 'safety',
  gravity: 'must',
  of: 'class',
  find: (context) => foundWhere(context, 'missing'),
};

/** The cautions of a class that are in a state, each as a finding that offers the usual words before the teaching. */
export function foundWhere(context: ClassContext, wanted: 'missing' | 'late' | 'unclear') {
  return context.steps.flatMap((one, at) => {
    if (!isMovement(one)) return [];
    return one.step.cautions
      .filter((caution) => cautionState(context.steps, at, one, caution) === wanted)
      .map((caution) => asFinding(one, caution));
  });
}

function asFinding({ step }: MovementContext, caution: Caution) {
  const fix = addToCaution(step, CAUTION_LINES[caution]);
  return { stepId: step.id, detail: caution, facts: { caution }, fix };
}
