import { array, boolean, mixed, number, object, string, type AnySchema } from 'yup';

/*
 * The fields that documents are made of, as they are judged at the door. Messages are codes (`too-long:200`);
 * sentences live in `src/messages`. Values are never coerced.
 */

/** Text without control characters or broken surrogates, which neither files nor the database can hold. */
const CLEAN_TEXT = /^[^\u0000-\u0008\u000B\u000C\u000E-\u001F\uD800-\uDFFF]*$/u;
/** The same on one line. */
export const ONE_LINE = /^[^\u0000-\u001F\uD800-\uDFFF]*$/u;
const ID = /^[A-Za-z0-9_-]{1,64}$/;

/** Text of at most `most` characters, which may be empty. */
export function text(most: number, pattern = CLEAN_TEXT) {
  return string()
    .strict()
    .defined('missing')
    .nonNullable('missing')
    .typeError('not-text')
    .test('length', `too-long:${most}`, (value) => value.length <= most || [...value].length <= most)
    .matches(pattern, { message: 'bad-characters', excludeEmptyString: true });
}

/** One line of at most `most` characters that is not blank. */
export function title(most: number) {
  return text(most, ONE_LINE).test('empty', 'empty', (value) => value.trim() !== '');
}

export function id() {
  return string().strict().defined('missing').nonNullable('missing').typeError('not-text').matches(ID, 'bad-id');
}

/** A number in bounds, both ends included. */
export function within(bounds: { readonly least: number; readonly most: number }) {
  return number()
    .strict()
    .defined('missing')
    .nonNullable('not-number')
    .typeError('not-number')
    .min(bounds.least, `out-of-range:${bounds.least}:${bounds.most}`)
    .max(bounds.most, `out-of-range:${bounds.least}:${bounds.most}`);
}

export function whole(least: number, most: number) {
  return within({ least, most }).integer('not-whole');
}

export function oneOf<Value extends string | number>(values: readonly Value[]) {
  return mixed<Value>()
    .defined('missing')
    .oneOf(values, `not-one-of:${values.join(' ')}`);
}

/** One of a few, or `null`. */
export function oneOfOrNone<Value extends string>(values: readonly Value[]) {
  return mixed<Value>()
    .defined('missing')
    .nullable()
    .oneOf([...values, null], `not-one-of:${values.join(' ')}`);
}

export function yesNo() {
  return boolean().strict().defined('missing').nonNullable('not-yes-no').typeError('not-yes-no');
}

export function list<Item extends AnySchema>(of: Item, most: number, least = 0) {
  return array()
    .of(of)
    .strict()
    .defined('missing')
    .nonNullable('not-list')
    .typeError('not-list')
    .min(least, `too-few:${least}`)
    .max(most, `too-many:${most}`);
}

/** An object with these fields and no others. */
export function shape<Fields extends Record<string, AnySchema>>(fields: Fields) {
  return object(fields)
    .strict()
    .default(undefined)
    .defined('missing')
    .nonNullable('not-object')
    .typeError('not-object')
    .noUnknown(({ unknown }: { unknown: string }) => `unknown-field:${String(unknown).slice(0, 80)}`);
}
