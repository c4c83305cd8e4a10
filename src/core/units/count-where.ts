/** How many of the places from 0 are so, where all that are come before all that are not. O(log n). */
export function countWhere(places: number, isSo: (at: number) => boolean): number {
  let low = 0;
  let high = places;
  while (low < high) {
    const middle = (low + high) >>> 1;
    if (isSo(middle)) low = middle + 1;
    else high = middle;
  }
  return low;
}
