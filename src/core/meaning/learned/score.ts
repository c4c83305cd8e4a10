import { remembered } from '@/core/units';
import { PRESENT_FINE, scoreOfLetter } from './coding';
import { featuresOf } from './features';
import { SCORES, WORDS } from './word-scores';

/*
 * What the words of a text speak for, learned from lines that people labelled (`scripts/learn-meanings.ts`): logistic
 * regression over the mean vector of the words and over the words and pairs that are present. Vectors of GloVe
 * (Pennington, Socher and Manning 2014, "Global vectors for word representation"); a mean is linear, so each word has
 * one number for each question, and no vector is kept.
 */

export type Question = keyof typeof SCORES;

interface Scores {
  readonly bias: number;
  readonly about: ReadonlyMap<string, number>;
  readonly present: ReadonlyMap<string, number>;
}

/**
 * The logarithm of the odds that a text is what is asked: a claim about health; something left to those who do it, how
 * far or whether; a part of the caution for the whole class; a hold offered; an easier version; a breath that is forced,
 * a fold, a low head, one leg, tapping, shaking.
 */
export const scoreFor = Object.fromEntries(
  (Object.keys(SCORES) as Question[]).map((question) => [
    question,
    remembered((text) => score(tableOf(question), text)),
  ]),
) as Readonly<Record<Question, (text: string) => number>>;

function score({ bias, about, present }: Scores, text: string): number {
  const features = featuresOf(text);
  let sum = bias;
  for (const word of features.about) sum += (about.get(word) ?? 0) / features.about.length;
  for (const one of features.present) sum += present.get(one) ?? 0;
  return sum;
}

const made = new Map<Question, Scores>();

/** The table of a question, read when it is first asked. */
function tableOf(question: Question): Scores {
  const table = made.get(question) ?? read(question);
  made.set(question, table);
  return table;
}

function read(question: Question): Scores {
  const { bias, about, present } = SCORES[question];
  return {
    bias,
    about: new Map(WORDS.split(' ').map((word, at) => [word, scoreOfLetter(about.charAt(at))])),
    present: new Map(
      present.split(' ').map((one) => {
        const at = one.lastIndexOf(':');
        return [one.slice(0, at), Number(one.slice(at + 1)) / PRESENT_FINE];
      }),
    ),
  };
}
