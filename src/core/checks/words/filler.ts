import { changeTexts, placeName } from '@/core/plan';
import { fixBy, type StepCheck } from '../model';

/** Words that fill and say nothing; common practice, no published source. */
const FILLER =
  /\b(?:u+m+|u+h+|e+r+m+|you know|sort of|kind of|basically|okay so|ok so|so yeah|if that makes sense)\b,? ?/i;

/** A line holds a filler. */
export const filler: StepCheck = {
  name: 'filler',
  group: 'words',
  gravity: 'could',
  of: 'step',
  find: ({ step, texts }) =>
    texts.flatMap(({ text, place }) => {
      const match = FILLER.exec(text);
      if (!match) return [];
      const edit = changeTexts(step, (one) => (one === text ? withoutFillers(one) : one));
      return [{ stepId: step.id, detail: placeName(place), facts: { words: match[0].trim(), text }, fix: fixBy(edit) }];
    }),
};

function withoutFillers(text: string): string {
  const plain = text
    .replace(new RegExp(FILLER, 'gi'), '')
    .replace(/ +([.,])/g, '$1')
    .replace(/^[, ]+/, '');
  return plain.slice(0, 1).toUpperCase() + plain.slice(1);
}
