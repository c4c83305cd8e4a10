import {
  boolean as trueOrFalse,
  mixed,
  number,
  object,
  string,
  ValidationError,
  type AnySchema,
  type InferType,
  type ISchema,
  type ValidateOptions,
} from 'yup';

/*
 * The fields that documents are made of, as they are judged at the door. Messages are codes (`too-long:200`);
 * sentences live in `src/messages`. Values are never coerced.
 */

/** Text without control characters or broken surrogates, which neither files nor the database can hold. */
const CLEAN_TEXT = /^[^\u0000-\u0008\u000B\u000C\u000E-\u001F\uD800-\uDFFF]*$/u;
/** The same on one line. */
export const ONE_LINE = /^[^\u0000-\u001F\uD800-\uDFFF]*$/u;
/** Problems told at most; a document with more is wrong as a whole. */
export const ISSUES_AT_MOST = 20;
/** How every schema here is asked. Making a stack trace costs far more than the rest of an error. */
export const JUDGING = { strict: true, abortEarly: false, disableStackTrace: true } as const;
const ID = /^[A-Za-z0-9_-]{1,64}$/;

/** Tests are asked about a field that may be left out too, and about one that may be `null`. */
function isAbsent(value: unknown): value is null | undefined {
  return value === undefined || value === null;
}

/** Text of at most `most` characters, which may be empty. */
export function text(max: number, pattern = CLEAN_TEXT) {
  return string()
    .strict()
    .defined('missing')
    .nonNullable('missing')
    .typeError('not-text')
    .test('length', `too-long:${max}`, (value) => isAbsent(value) || value.length <= max || [...value].length <= max)
    .matches(pattern, { message: 'bad-characters', excludeEmptyString: true })
    .meta({ max });
}

/** One line of at most `most` characters that is not blank. */
export function title(max: number) {
  return text(max, ONE_LINE)
    .test('empty', 'empty', (value) => isAbsent(value) || value.trim() !== '')
    .meta({ blank: false });
}

/** A moment as ISO 8601 in UTC, to the millisecond, of this century. */
export function instant() {
  return text(30, ONE_LINE).test('instant', 'bad-instant', (value) => {
    if (isAbsent(value)) return true;
    const at = new Date(value);
    return /^20\d\d-/.test(value) && !Number.isNaN(at.getTime()) && at.toISOString() === value;
  });
}

export function id() {
  return string().strict().defined('missing').nonNullable('missing').typeError('not-text').matches(ID, 'bad-id');
}

/** A number in bounds, both ends included. */
export function within(bounds: { readonly min: number; readonly max: number }) {
  return number()
    .strict()
    .defined('missing')
    .nonNullable('not-number')
    .typeError('not-number')
    .min(bounds.min, `out-of-range:${bounds.min}:${bounds.max}`)
    .max(bounds.max, `out-of-range:${bounds.min}:${bounds.max}`);
}

export function whole(min: number, max: number) {
  return within({ min, max }).integer('not-whole');
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

export function boolean() {
  return trueOrFalse().strict().defined('missing').nonNullable('not-yes-no').typeError('not-yes-no');
}

/**
 * A list of `least` to `most` items. Its length is judged before any of its items is looked at, and no more items are
 * once `ISSUES_AT_MOST` problems were found: a list of a million wrong items costs no more than one of twenty.
 */
export function list<Item extends ItemSchema>(of: Item, max: number, min = 0) {
  return mixed<InferType<Item>[]>((value): value is InferType<Item>[] => Array.isArray(value))
    .strict()
    .defined('missing')
    .nonNullable('not-list')
    .typeError('not-list')
    .test('items', 'not-list', (value, { path, createError, options }) => {
      if (!Array.isArray(value)) return true;
      if (value.length < min) return createError({ message: `too-few:${min}` });
      if (value.length > max) return createError({ message: `too-many:${max}` });
      return eachIn(
        value.map((item, index) => [`${path}[${index}]`, item, of] as const),
        value,
        options,
      );
    })
    .meta({ items: of, max, min });
}

/** A record of at most `most` entries under keys that `key` allows; judged like a list. */
export function record<Value extends ItemSchema>(of: Value, max: number, key = ID) {
  return mixed<Record<string, InferType<Value>>>((value): value is Record<string, InferType<Value>> => isRecord(value))
    .strict()
    .defined('missing')
    .nonNullable('not-object')
    .typeError('not-object')
    .test('entries', 'not-object', (value, { path, createError, options }) => {
      if (!isRecord(value)) return true;
      const keys = Object.keys(value);
      if (keys.length > max) return createError({ message: `too-many:${max}` });
      if (!keys.every((one) => key.test(one))) return createError({ message: 'bad-id' });
      return eachIn(
        keys.map((one) => [`${path}.${one}`, value[one], of] as const),
        value,
        options,
      );
    });
}

type ItemSchema = ISchema<unknown> & Pick<AnySchema, 'validateSync'>;

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/** Judges items until `ISSUES_AT_MOST` problems were found; `true`, or all that were found as one error. */
function eachIn(
  items: Iterable<readonly [path: string, value: unknown, of: Pick<AnySchema, 'validateSync'>]>,
  parent: unknown,
  options: object,
): true | ValidationError {
  const found: ValidationError[] = [];
  for (const [path, value, of] of items) {
    try {
      of.validateSync(value, { ...options, path, parent, ...JUDGING } as ValidateOptions);
    } catch (error) {
      if (!(error instanceof ValidationError)) throw error;
      found.push(...(error.inner.length > 0 ? error.inner : [error]));
      if (found.length >= ISSUES_AT_MOST) break;
    }
  }
  return found.length === 0 ? true : new ValidationError(found, parent, undefined, undefined, true);
}

/** What a schema lets through, as it is held: nothing of it is changed in place. */
export type Stored<Schema extends AnySchema> = Frozen<InferType<Schema>>;

type Frozen<Value> = Value extends string | number | boolean | null | undefined
  ? Value
  : Value extends readonly (infer Item)[]
    ? readonly Frozen<Item>[]
    : { readonly [Field in keyof Value]: Frozen<Value[Field]> };

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

/** The same of the fields of an object. */
export type StoredFields<Fields extends Record<string, AnySchema>> = Stored<ReturnType<typeof shape<Fields>>>;
