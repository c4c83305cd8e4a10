/** A steady clock in seconds. */
export function clockSeconds(): number {
  return performance.now() / 1000;
}
