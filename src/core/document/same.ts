/**
 * Whether two documents say the same, whatever the order of their fields (a database may keep another order than
 * was sent).
 */
export function sameDocument(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  if (Array.isArray(a) || Array.isArray(b)) {
    return (
      Array.isArray(a) &&
      Array.isArray(b) &&
      a.length === b.length &&
      a.every((item, index) => sameDocument(item, b[index]))
    );
  }
  const ours = a as Record<string, unknown>;
  const theirs = b as Record<string, unknown>;
  const keys = Object.keys(ours);
  return (
    keys.length === Object.keys(theirs).length &&
    keys.every((key) => Object.hasOwn(theirs, key) && sameDocument(ours[key], theirs[key]))
  );
}
