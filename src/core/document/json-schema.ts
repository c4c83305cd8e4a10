import type { AnySchema, ISchema } from 'yup';
import { takenAs } from '@/core/units';

/** A schema as JSON Schema 2020-12. */
export type JsonSchema = { readonly [key: string]: unknown };

interface Described {
  readonly type: string;
  readonly nullable: boolean;
  readonly meta?: Meta;
  readonly oneOf: readonly unknown[];
  readonly tests: readonly { readonly name?: string; readonly params?: Readonly<Record<string, unknown>> }[];
}

/** What the builders of `fields.ts` say of a schema that Yup's own description does not. */
interface Meta {
  readonly max?: number;
  readonly min?: number;
  readonly blank?: boolean;
  readonly items?: ISchema<unknown>;
  readonly oneOf?: readonly AnySchema[];
}

/** The same as JSON Schema; for what the builders of `fields.ts` make, and no other schema. */
export function jsonSchemaOf(schema: ISchema<unknown>): JsonSchema {
  const described = takenAs<Described>(schema.describe());
  const bare = bareSchemaOf(schema, described);
  return described.nullable && described.oneOf.length === 0 ? { anyOf: [bare, { type: 'null' }] } : bare;
}

function bareSchemaOf(schema: ISchema<unknown>, described: Described): JsonSchema {
  const meta = described.meta ?? {};
  if (meta.oneOf) return { oneOf: meta.oneOf.map(jsonSchemaOf) };
  if (described.oneOf.length === 1) return { const: described.oneOf[0] };
  if (described.oneOf.length > 1) return { enum: described.oneOf };
  if (meta.items) return listOf(meta, meta.items);
  if (described.type === 'object') return objectOf(schema as AnySchema);
  if (described.type === 'number') return numberOf(described);
  if (described.type === 'boolean') return { type: 'boolean' };
  return textOf(described, meta);
}

function listOf({ max, min }: Meta, items: ISchema<unknown>): JsonSchema {
  const fewest = min ? { minItems: min } : {};
  return { type: 'array', items: jsonSchemaOf(items), ...fewest, maxItems: max };
}

function objectOf(schema: AnySchema): JsonSchema {
  const { fields } = takenAs<{ readonly fields: Readonly<Record<string, ISchema<unknown>>> }>(schema);
  const properties = Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, jsonSchemaOf(field)]));
  return { type: 'object', properties, required: Object.keys(fields), additionalProperties: false };
}

function numberOf(described: Described): JsonSchema {
  const param = (test: string): unknown => described.tests.find(({ name }) => name === test)?.params?.[test];
  const type = described.tests.some(({ name }) => name === 'integer') ? 'integer' : 'number';
  return { type, minimum: param('min'), maximum: param('max') };
}

function textOf(described: Described, { max, blank }: Meta): JsonSchema {
  const pattern = described.tests.find(({ name }) => name === 'matches')?.params?.regex;
  const text = {
    type: 'string',
    ...(max === undefined ? {} : { maxLength: max }),
    ...(pattern instanceof RegExp ? { pattern: pattern.source } : {}),
  };
  return blank === false ? { type: 'string', allOf: [text, { type: 'string', pattern: '\\S' }] } : text;
}
