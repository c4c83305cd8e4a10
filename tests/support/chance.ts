/** Ids `t1`, `t2`, ... for plans made in tests. */
export function countingIds(prefix = 't'): () => string {
  let count = 0;
  return () => `${prefix}${++count}`;
}
