import { join } from 'node:path';
import { expect } from 'vitest';
import { takenAs } from '@/core/units';

/*
 * Results that were looked at once and are kept as text beside the tests (`*.txt`): whatever changes one of them shows
 * there. Where that is meant, `npx vitest run tests/approved -u` writes them anew, and the difference is read.
 */

/** Numbers to six places, maps and sets as lists, samples as their length and three sums. */
function plainly(_: string, value: unknown): unknown {
  if (typeof value === 'number') return Number.isFinite(value) ? Number(value.toFixed(6)) : String(value);
  if (value instanceof Map || value instanceof Set) return [...value];
  if (ArrayBuffer.isView(value)) return sumsOf(takenAs<ArrayLike<number>>(value));
  return value;
}

/** What a row of numbers is told apart by: how many, their sum, the sum of their squares, and one weighed by place. */
export function sumsOf(values: ArrayLike<number>): readonly number[] {
  let [sum, squares, placed] = [0, 0, 0];
  for (let at = 0; at < values.length; at++) {
    const value = values[at] ?? 0;
    sum += value;
    squares += value * value;
    placed += value * ((at % 97) + 1);
  }
  return [values.length, sum, squares, placed].map((one) => Number(one.toPrecision(6)));
}

export function asText(value: unknown): string {
  return JSON.stringify(value, plainly);
}

/** Holds lines against the file of that name. */
export async function areAsApproved(name: string, lines: readonly string[]): Promise<void> {
  await expect(`${lines.join('\n')}\n`).toMatchFileSnapshot(join(import.meta.dirname, `${name}.txt`));
}
