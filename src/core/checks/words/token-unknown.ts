import { placeName } from '@/core/plan';
import { unknownTokens } from '@/core/words';
import type { StepCheck } from '../model';

/** A line holds something in braces that stands for nothing. */
export const tokenUnknown: StepCheck = {
  name: 'token-unknown',
  group: 'words',
  gravity: 'must',
  of: 'step',
  find: ({ step, texts }) =>
    texts.flatMap(({ text, place }) => {
      const [token] = unknownTokens(text);
      return token === undefined ? [] : [{ stepId: step.id, detail: placeName(place), facts: { token, text } }];
    }),
};
