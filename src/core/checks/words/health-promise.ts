import { changeTexts, placeName } from '@/core/plan';
import { fixBy, type StepCheck } from '../model';
import { PROMISES } from './promises';

/** A line promises something for health. */
export const healthPromise: StepCheck = {
  name: 'health-promise',
  group: 'words',
  gravity: 'must',
  of: 'step',
  find: ({ step, texts }) =>
    texts.flatMap(({ text, place }) => {
      const promise = PROMISES.find(({ known }) => known.test(text));
      if (!promise) return [];
      const [words] = promise.known.exec(text) ?? [''];
      const edit = changeTexts(step, (one) => (one === text ? one.replace(promise.known, promise.plainer) : one));
      return [
        {
          stepId: step.id,
          detail: placeName(place),
          facts: { words, plainer: promise.plainer, text },
          fix: fixBy(edit),
        },
      ];
    }),
};
