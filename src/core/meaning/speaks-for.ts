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
};
/** A shorter line is hardly more than a name. */
const WORDS_AT_LEAST = 3;

/** Whether the words of a line together speak for what is asked, in words that no table needs to have. */
export function speaksFor(question: Question, line: string): boolean {
  return line.trim().split(/\s+/).length >= WORDS_AT_LEAST && scoreFor[question](line) > SURE[question];
}
