import { object, string, type Schema } from 'yup';
import { SPELLABLE_TERMS } from '@/core/words';

/** The body of `PUT /api/terms`: a spelling for each term, out of those that it has; a term may be left out. */
export const spellingSchema = object(
  Object.fromEntries(
    SPELLABLE_TERMS.map(({ term, variants }): [string, Schema<string | undefined>] => [
      term,
      string()
        .strict()
        .oneOf([...variants]),
    ]),
  ),
).noUnknown();
