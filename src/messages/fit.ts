import type { FitChange, Loosening, NotFitted } from '@/core/pacing';
import { formatClock, formatExactClock } from '@/core/units';

/** What a fit would change, as a row: what, from, to. */
export function changeWords(
  change: FitChange,
  nameOf: (stepId: string) => string,
): { what: string; from: string; to: string } {
  const what = change.stepId === null ? 'The breath, at the opening' : nameOf(change.stepId);
  if (change.what === 'breath') return { what, from: `${change.from.toFixed(1)} s`, to: `${change.to.toFixed(1)} s` };
  if (change.what === 'quiet') return { what, from: formatExactClock(change.from), to: formatExactClock(change.to) };
  return { what, from: rounds(change.from), to: rounds(change.to) };
}

function rounds(count: number): string {
  return `${count} ${count === 1 ? 'round' : 'rounds'}`;
}

/** Why nothing fits. */
export function whyNot(fit: NotFitted, targetSeconds: number): string {
  const target = formatClock(targetSeconds);
  if (fit.reason === 'below-reach')
    return `${target} is shorter than this class can be: the shortest is ${formatClock(fit.shortestSeconds)}.`;
  if (fit.reason === 'above-reach')
    return `${target} is longer than this class can be: the longest is ${formatClock(fit.longestSeconds)}.`;
  const nearest =
    fit.nearestSeconds === null ? '' : ` The nearest that can be had is ${formatClock(fit.nearestSeconds)}.`;
  return `No whole rounds land on ${target}.${nearest} A quiet that may stretch, or a breath that is not pinned, would close the gap.`;
}

/** What loosening one bound means. */
export function looseningWords(one: Loosening, nameOf: (stepId: string) => string): string {
  const name = one.stepId === null ? '' : nameOf(one.stepId);
  switch (one.what) {
    case 'breath':
      return `Let the breath go to ${one.to.toFixed(1)} s (now ${one.from.toFixed(1)} s)`;
    case 'breath-pin':
      return 'Take the pin out of the breath';
    case 'rounds':
      return `${name}: let it be ${rounds(one.to)} (now ${one.from})`;
    case 'rounds-pin':
      return `${name}: take the pin out of its ${rounds(one.from)}`;
    case 'quiet':
      return `${name}: let it be ${formatClock(one.to)} (now ${formatClock(one.from)})`;
    case 'quiet-pin':
      return `${name}: take the pin out of its ${formatClock(one.from)}`;
  }
}
