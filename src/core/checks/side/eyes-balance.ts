import { offers } from '@/core/meaning';
import { isMovement, type ClassCheck } from '../model';
import { followEyes } from './eyes';

/** A balance on one leg begins, or is performed, with eyes closed. */
export const eyesBalance: ClassCheck = {
  name: 'eyes-balance',
  group: 'side',
  gravity: 'must',
  of: 'class',
  find: ({ steps }) => {
    const found = new Map<string, { readonly stepId: string; readonly facts: { readonly name: string } }>();
    for (const { context, closed, cue } of followEyes(steps)) {
      if (!closed || !isMovement(context) || !context.step.cautions.includes('balance')) continue;
      // Words that open the eyes as the movement begins are soon enough.
      if (cue && cue.round === 0) continue;
      if (cue === null && context.cues.some((one) => one.round === 0 && offers(one.text, 'eyes-open'))) continue;
      found.set(context.step.id, { stepId: context.step.id, facts: { name: context.step.name } });
    }
    return [...found.values()];
  },
};
