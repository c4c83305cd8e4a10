import { remembered } from '@/core/units';
import { withoutApostrophes } from '../words';

/*
 * A text as what was learned looks at it: its words, each in small letters without apostrophes, and its pairs of words.
 */

/** Words of grammar that tell nothing about what a text is about. */
const SILENT: ReadonlySet<string> = new Set(
  'the a an of and to in is are it its on at for with as be this that'.split(' '),
);
const WORD = /\p{L}+(?:['’]\p{L}+)*/gu;

export interface Features {
  /** How many words there are. */
  readonly length: number;
  /** Words that tell what it is about, each as often as it stands there. */
  readonly about: readonly string[];
  /** Every word and every pair of neighbours, "do not" as `do_not`, once. */
  readonly present: ReadonlySet<string>;
}

/** The words and pairs of a text. */
export const featuresOf: (text: string) => Features = remembered((text) => {
  const words = Array.from(text.matchAll(WORD), ([word]) => withoutApostrophes(word.toLowerCase()));
  const pairs = words.slice(1).map((word, at) => `${words[at] ?? ''}_${word}`);
  return {
    length: words.length,
    about: words.filter((word) => !SILENT.has(word)),
    present: new Set([...words, ...pairs]),
  };
});
