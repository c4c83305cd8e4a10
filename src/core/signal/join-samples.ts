import { itemAt } from '@/core/units';
/** Pieces one after the other. */
export function joinSamples(parts: readonly Float32Array[]): Float32Array {
  if (parts.length === 1) return itemAt(parts, 0);
  const whole = new Float32Array(parts.reduce((sum, part) => sum + part.length, 0));
  let at = 0;
  for (const part of parts) {
    whole.set(part, at);
    at += part.length;
  }
  return whole;
}
