import { saidOrNamed } from '../context';
import { LEAVES, THANKS } from '../language';
import { isMovement, type ClassCheck } from '../model';

/** What a last step is called that closes. */
const NAMED = /^(?:clos(?:e|ing)|end(?:ing)?|finish|goodbyes?|(?:closing |final |last )?bow)\b/;

/** The class has no closing: no section is one, and it ends neither with a talk nor with words that take leave. */
export const noClosing: ClassCheck = {
  name: 'no-closing',
  group: 'flow',
  gravity: 'should',
  of: 'class',
  find: ({ steps }) => {
    if (!steps.some(isMovement) || steps.some(({ section }) => section.role === 'closing')) return [];
    const last = steps.at(-1);
    const words = last ? saidOrNamed(last) : '';
    const closes = last?.step.kind === 'talk' || THANKS.test(words) || LEAVES.test(words) || NAMED.test(words);
    return closes ? [] : [{ stepId: null }];
  },
};
