import { placeName } from '@/core/plan';
import { sidesNamed } from '@/core/meaning';
import { withSideToken } from '../fixes';
import type { StepCheck } from '../model';

/** A side is written out in what is done again on the other side: it is wrong the second time. */
export const sideMirrored: StepCheck = {
  name: 'side-mirrored',
  group: 'side',
  gravity: 'must',
  of: 'step',
  find: ({ step, texts }) => {
    if (step.blockId === null) return [];
    return texts.flatMap(({ text, place }) => {
      const [named, second] = sidesNamed(text);
      if (!named || second) return [];
      return [
        {
          stepId: step.id,
          detail: placeName(place),
          facts: { text, said: named },
          fix: withSideToken(step, text, named),
        },
      ];
    });
  },
};
