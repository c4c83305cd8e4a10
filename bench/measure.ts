import { itemAt } from '@/core/units';
export interface Spread {
  readonly median: number;
  readonly p95: number;
}

/** Median and 95th percentile of times in milliseconds. */
export function spread(times: readonly number[]): Spread {
  const sorted = [...times].sort((a, b) => a - b);
  return {
    median: itemAt(sorted, Math.floor(sorted.length / 2)),
    p95: itemAt(sorted, Math.floor(sorted.length * 0.95)),
  };
}

/** The spread of running something so many times. */
export function timed(work: () => unknown, runs: number): Spread {
  const times: number[] = [];
  for (let run = 0; run < runs; run++) {
    const began = performance.now();
    work();
    times.push(performance.now() - began);
  }
  return spread(times);
}

export const ms = (value: number): string => `${value.toFixed(value < 10 ? 2 : 0)} ms`;
