import { featuresOf } from './learned/features';
import { scoreFor, type Question } from './learned/score';

/**
 * So sure the words of a line have to be, where no pattern finds what is asked. Each lies where lines that were kept
 * apart from learning are mostly right above it, and nearly none of lines about other things lie (`docs/checks.md`).
 */
const SURE: Readonly<Record<Question, number>> = {
  claims: 1,
  leaves: 1,
  effort: 2,
  pain: 2,
  rest: 2,
  seat: 2,
  support: 1.5,
  easier: 0.5,
  forced: 3,
  bends: 3,
  headLow: 3,
  oneLeg: 2.5,
  taps: 3,
  shakes: 3,
};
/** A shorter line is hardly more than a name; what is claimed or done stands in a sentence. */
const WORDS_AT_LEAST = 3;
const SENTENCE_AT_LEAST = 4;
const IN_SENTENCES: ReadonlySet<Question> = new Set<Question>([
  'claims',
  'bends',
  'headLow',
  'oneLeg',
  'taps',
  'shakes',
]);

/** A claim of so few telling words could be chance, so they have to speak more clearly. */
const FEW_TELLING = 3;
const CLAIMS_OF_FEW = 2;

/** Whether the words of a line together speak for what is asked, in words that no table needs to have. */
export function speaksFor(question: Question, line: string): boolean {
  const { length, about } = featuresOf(line);
  if (length < (IN_SENTENCES.has(question) ? SENTENCE_AT_LEAST : WORDS_AT_LEAST)) return false;
  const few = question === 'claims' && about.length <= FEW_TELLING;
  return scoreFor[question](line) > (few ? CLAIMS_OF_FEW : SURE[question]);
}

/** A denial: what is not done is spoken of with the same words. */
const DENIED = /\b(?:not|no|never|nobody|nothing|without|instead|cannot|(?:ca|do|does|is|are|wo)n['’]?t)\b/i;

/** The same of what is done: a sentence that denies nothing. */
export function showsItself(question: Question, text: string): boolean {
  return text.split(/(?<=[.!?])\s+/).some((sentence) => !DENIED.test(sentence) && speaksFor(question, sentence));
}
