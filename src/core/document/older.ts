/** A document of an older version, as it is being brought to this one: nothing about it is certain yet. */
export type Doc = Readonly<Record<string, unknown>>;

/** The value as a document; an empty one where it is none. */
export function asDoc(value: unknown): Doc {
  return typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Doc) : {};
}

/** A document with some of its fields under other names; what has none of the older ones stays as it is. */
export function renamedFields(document: Doc, names: ReadonlyMap<string, string>): Doc {
  return Object.fromEntries(Object.entries(document).map(([key, value]) => [names.get(key) ?? key, value]));
}
