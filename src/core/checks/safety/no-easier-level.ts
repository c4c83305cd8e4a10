import type { Caution, Level } from '@/core/movement';
import { saidBefore, saidLines } from '../context';
import { saysOrDenies, speaksFor } from '@/core/meaning';
import { isMovement, type StepCheck } from '../model';

/** "Go as low as you can, and lower": no easier way, though the words are much the same. */
const HARDER = /\b(?:lower|deeper|right down|all the way|everybody|everyone)\b/i;
/** Cautions of movements that ask for levels; common practice, no published source. */
const DEMANDING: readonly Caution[] = ['balance', 'deep-squat', 'forward-bend', 'head-low'];

/** A demanding movement offers nothing easier before it begins, or offers a harder level and not the easiest. */
export const noEasierLevel: StepCheck = {
  name: 'no-easier-level',
  group: 'safety',
  gravity: 'should',
  of: 'step',
  find: (context) => {
    if (!isMovement(context)) return [];
    const { step } = context;
    const [first, ...harder] = step.levels;
    const harderAlone = first !== undefined && !isOffered(first) && harder.some(isOffered);
    const demanding = step.cautions.some((caution) => DEMANDING.includes(caution));
    const spoken = saidLines(context).some((line) => speaksFor('easier', line) && !HARDER.test(line));
    const offered =
      spoken || saysOrDenies(saidBefore(context), 'easier-version') || (first !== undefined && isOffered(first));
    if (!harderAlone && (!demanding || offered)) return [];
    return [{ stepId: step.id, facts: { levels: step.levels.length } }];
  },
};

function isOffered({ lines }: Level): boolean {
  return lines.some((line) => line.trim() !== '');
}
