import { mixed, string } from 'yup';
import { list, shape, text, boolean } from '@/core/document';
import { hasSpelling, SPELLABLE_TERMS, takenSpelling, TERM_LIMITS, type Spelling, type Term } from '@/core/words';
import { saveBaseFields } from './saves';

/** One line without spaces around it. */
const words = () => text(TERM_LIMITS.characters, WITHIN_A_LINE).test('empty', 'empty', (value) => value !== '');
const WITHIN_A_LINE =
  /^[^\s\u0000-\u001F\uD800-\uDFFF](?:[^\u0000-\u001F\uD800-\uDFFF]*[^\s\u0000-\u001F\uD800-\uDFFF])?$/u;

const ownTerm = shape({
  term: string()
    .strict()
    .defined('missing')
    .typeError('not-text')
    .matches(/^own-[\w-]{1,60}$/, 'bad-id'),
  variants: list(words(), TERM_LIMITS.variants, 1),
  misheard: list(words(), TERM_LIMITS.misheard),
  known: boolean(),
});

/**
 * The body of `PUT /api/terms`: the studio's own terms, and a spelling for each term out of those that it has; a term
 * may be left out. No spelling belongs to two terms.
 */
export const spellingSchema = shape({
  ...saveBaseFields,
  chosen: mixed<Spelling['chosen']>().defined('missing'),
  own: list(ownTerm, TERM_LIMITS.own).test('once', 'not-once', (own) => areTerms(own) && eachOnce(own)),
}).test('chosen', 'not-a-spelling', ({ chosen, own }) => areTerms(own) && isChosen(chosen, own));

/** Yup asks the tests of a whole also where its parts are not in order. */
function areTerms(own: unknown): own is readonly Term[] {
  return (
    Array.isArray(own) &&
    own.length <= TERM_LIMITS.own &&
    own.every(
      (one: Partial<Term> | null) =>
        Array.isArray(one?.variants) && one.variants.every((name) => typeof name === 'string'),
    )
  );
}

/** The house's terms and a studio's own. */
const SPELLED_AT_MOST = TERM_LIMITS.own + SPELLABLE_TERMS.length;

function isChosen(chosen: unknown, own: readonly Term[]): boolean {
  if (typeof chosen !== 'object' || chosen === null || Array.isArray(chosen)) return false;
  const entries = Object.entries(chosen);
  return (
    entries.length <= SPELLED_AT_MOST &&
    entries.every(([term, variant]) => typeof variant === 'string' && hasSpelling(own, term, variant))
  );
}

function eachOnce(own: readonly Term[]): boolean {
  return new Set(own.map(({ term }) => term)).size === own.length && takenSpelling(own) === null;
}
