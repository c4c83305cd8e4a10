/** A field of a thing with a value that belongs to it, as two arguments. */
export type FieldAndValue<Thing, Field extends keyof Thing = keyof Thing> = {
  readonly [One in Field]: [field: One, value: Thing[One]];
}[Field];

/** A part of a thing from its fields and their values. */
export function partOf<Thing, Key extends keyof Thing>(
  entries: readonly (readonly [Key, Thing[Key]])[],
): Partial<Thing> {
  const part: Partial<Thing> = {};
  for (const [field, value] of entries) part[field] = value;
  return part;
}

/** Those fields of a thing. */
export function pick<Thing, Key extends keyof Thing>(thing: Thing, fields: readonly Key[]): Partial<Pick<Thing, Key>> {
  const part: Partial<Pick<Thing, Key>> = {};
  for (const field of fields) part[field] = thing[field];
  return part;
}
