import type { Interval } from '@/core/units';
import type { PhaseKind } from './pattern';

/**
 * How full the lungs are inside one phase, 0 (empty) to 1 (full), at `along` of it (0 to 1). An `in` rises and an
 * `out` falls along half a cosine, so that the curve is smooth where they meet; a `rest` keeps what was; `free`
 * lies at empty.
 */
export function lungsWithin(kind: PhaseKind | 'spoken', along: number, before: number): number {
  const eased = (1 - Math.cos(Math.PI * Math.min(1, Math.max(0, along)))) / 2;
  if (kind === 'inhale') return before + (1 - before) * eased;
  if (kind === 'exhale') return before * (1 - eased);
  if (kind === 'hold') return before;
  return 0;
}

/** How full the lungs are when a phase ends, given how full they were when it began. */
export function lungsAfter(kind: PhaseKind | 'spoken', before: number): number {
  return lungsWithin(kind, 1, before);
}

/** Fullness at the start of each phase in a row, 0 at first. */
export function lungsAtStarts(phases: readonly (Interval & { readonly kind: PhaseKind | 'spoken' })[]): number[] {
  let now = 0;
  return phases.map((phase) => {
    const before = now;
    now = lungsAfter(phase.kind, now);
    return before;
  });
}
