import { changeTexts, placeName } from '@/core/plan';
import { fixBy, type StepCheck } from '../model';

/** "A kind of low note", "the right sort of quiet": of which kind something is fills nothing. */
const OF_A_KIND =
  '(?<!\\b(?:an?|the|this|that|these|those|what|which|some|any|every|each|one|no|another|same|other|all|my|your|our|his|her|its|their|(?:an?|some|any|every|what|no|another) [a-z-]+|(?:the|this|that) (?:right|wrong|same|best|worst|only|other|first|last|next|new|old)) )';
/** "Do you know the way", "You know how a rope feels", "a movement that you know": what somebody knows fills nothing. */
const YOU_KNOW = [
  '(?<=^|[.,;:!?–—] ?|\\b(?:and|so|but|just|like|is|are|was|well) )you know(?=[,.!?]|$)',
  '(?<=\\b(?:is|are|was|just|like) )you know(?! (?:how|what|where|when|why|who|which|that|the|an?|this|it|if|whether|your|my|one|them|him|her|me|us|not|to|as)\\b)',
].join('|');

/** Words that fill and say nothing; common practice, no published source. */
const FILLER = new RegExp(
  `(?:\\b(?:u+m+|u+h+|e+r+m+|basically|okay so|ok so|so yeah|if that makes sense)|${OF_A_KIND}\\b(?:kind|sort) of|${YOU_KNOW})\\b,? ?`,
  'i',
);

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
