import { itemAt } from '@/core/units';
import { leadsOn, sidesOf } from '@/core/plan';
import { sideWord } from '@/core/words';
import { isMovement, type ClassCheck } from '../model';

/** A movement begins on one side, and nothing says which. */
export const sideUnsaid: ClassCheck = {
  name: 'side-unsaid',
  group: 'side',
  gravity: 'should',
  of: 'class',
  find: ({ plan, steps }) => {
    if (plan.style.sides === 'none') return [];
    return steps.flatMap((context, at) => {
      if (!isMovement(context) || (context.step.sides !== 'alternating' && context.step.sides !== 'one-then-other'))
        return [];
      const [first] = sidesOf(context.step);
      if (!first) return [];
      const word = sideWord(first, plan.style, true).toLowerCase();
      const before = at > 0 && leadsOn(itemAt(steps, at - 1).step) ? itemAt(steps, at - 1).said : '';
      const own = context.cues.filter((cue) => cue.round === 0 || (cue.round === 1 && cue.side === first));
      if (`${before} ${own.map((cue) => cue.text.toLowerCase()).join(' ')}`.includes(word)) return [];
      return [{ stepId: context.step.id, facts: { side: word } }];
    });
  },
};
