/**
 * The item at a place where one must be. `items[index]` may be nothing; this is for places where the code knows better.
 *
 * @throws RangeError when there is none, naming the place and the length.
 */
export function itemAt<T>(items: ArrayLike<T>, index: number): T {
  const item = items[index];
  if (item === undefined) throw new RangeError(`There is no item ${index} in a list of ${items.length}.`);
  return item;
}

type Tuple<T, Count extends number, Items extends T[] = []> = Items['length'] extends Count
  ? Items
  : Tuple<T, Count, [...Items, T]>;

/**
 * The first `count` items, where so many must be: `const [left, right] = firstItems(pair, 2)`.
 *
 * @throws RangeError when there are fewer.
 */
export function firstItems<T, Count extends number>(items: Iterable<T>, count: Count): Tuple<T, Count> {
  const found: T[] = [];
  for (const item of items) {
    if (found.length === count) break;
    found.push(item);
  }
  if (found.length < count) throw new RangeError(`There are ${found.length} items where ${count} are wanted.`);
  return found as Tuple<T, Count>;
}
