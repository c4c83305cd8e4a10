import { array, boolean, mixed, object, string } from 'yup';
import { hasSpelling, takenSpelling, TERM_LIMITS, type Spelling, type Term } from '@/core/words';

const words = () =>
  string()
    .strict()
    .max(TERM_LIMITS.characters)
    .matches(/^\S(?:[^\n\r]*\S)?$/, 'Write it on one line, without spaces around it.');

const ownTerm = object({
  term: string()
    .strict()
    .matches(/^own-[\w-]{1,60}$/)
    .required(),
  variants: array(words().required()).strict().min(1).max(TERM_LIMITS.variants).required(),
  misheard: array(words().required()).strict().max(TERM_LIMITS.misheard).required(),
  known: boolean().strict().required(),
}).noUnknown();

/**
 * The body of `PUT /api/terms`: the studio's own terms, and a spelling for each term out of those that it has; a term
 * may be left out. No spelling belongs to two terms.
 */
export const spellingSchema = object({
  chosen: mixed<Spelling['chosen']>().required(),
  own: array(ownTerm.required())
    .strict()
    .max(TERM_LIMITS.own)
    .required()
    .test('once', 'Each term has its own name, and each spelling belongs to one term.', eachOnce),
})
  .noUnknown()
  .test('chosen', 'A spelling can only be chosen out of those that its term has.', ({ chosen, own }) =>
    isChosen(chosen, own),
  );

function isChosen(chosen: unknown, own: readonly Term[]): boolean {
  if (typeof chosen !== 'object' || chosen === null || Array.isArray(chosen)) return false;
  return Object.entries(chosen).every(
    ([term, variant]) => typeof variant === 'string' && hasSpelling(own, term, variant),
  );
}

function eachOnce(own: readonly Term[]): boolean {
  return new Set(own.map(({ term }) => term)).size === own.length && takenSpelling(own) === null;
}
