import { itemAt } from '@/core/units';
/** Steps of an axis in seconds of a clock, and of any other number within a power of ten. */
const CLOCK_STEPS = [1, 2, 5, 10, 15, 30, 60, 120, 300, 600, 900, 1800, 3600];
const STEPS = [1, 2, 5, 10];

export interface Ticks {
  readonly domain: [number, number];
  readonly ticks: number[];
}

/** Round labels for an axis from `least` to `most`, `count` of them or one or two more; the ends are labels too. */
export function roundTicks(min: number, max: number, count: number, clock: boolean): Ticks {
  const span = Math.max(max - min, clock ? 1 : 1e-6);
  const step = clock ? clockStep(span / count) : plainStep(span / count);
  const from = Math.floor(min / step + 1e-9) * step;
  const steps = Math.max(1, Math.ceil((max - from) / step - 1e-9));
  const ticks = Array.from({ length: steps + 1 }, (_, at) => Number((from + at * step).toFixed(6)));
  return { domain: [itemAt(ticks, 0), itemAt(ticks, ticks.length - 1)], ticks };
}

function clockStep(wanted: number): number {
  return CLOCK_STEPS.find((step) => step >= wanted) ?? 3600 * Math.ceil(wanted / 3600);
}

function plainStep(wanted: number): number {
  const power = 10 ** Math.floor(Math.log10(wanted));
  return power * (STEPS.find((step) => step * power >= wanted - 1e-12) ?? 10);
}
