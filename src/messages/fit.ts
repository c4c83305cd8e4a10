import type { FitChange, Loosening, NotFitted } from '@/core/pacing';
import type { FitWay } from '@/core/plan';
import { formatClock, formatExactClock } from '@/core/units';

/** What a fit would change, as a row: what, from, to. */
export function changeWords(
  change: FitChange,
  nameOf: (stepId: string) => string,
): { what: string; from: string; to: string } {
  const what = change.stepId === null ? 'The breath, at the opening' : nameOf(change.stepId);
  const { from, to } = change;
  switch (change.what) {
    case 'breath':
      return { what, from: `${from.toFixed(1)} s`, to: `${to.toFixed(1)} s` };
    case 'time':
      return { what, from: formatExactClock(from), to: formatExactClock(to) };
    case 'tempo':
      return { what: `${what}, said`, from: tempoWords(from), to: tempoWords(to) };
    case 'left-out':
      return { what, from: 'in', to: 'left out' };
    case 'brought-back':
      return { what, from: 'left out', to: 'in' };
    case 'clock':
    case 'rounds':
      return { what, from: rounds(from), to: rounds(to) };
  }
}

/** How a tempo is said: the time it takes beside the voice's own. */
export function tempoWords(tempo: number): string {
  const percent = Math.round((tempo - 1) * 100);
  if (percent === 0) return 'as usual';
  return percent > 0 ? `${percent} % slower` : `${-percent} % quicker`;
}

/** What each way to fit would rather do. */
export const WAY_WORDS: Readonly<Record<FitWay, { readonly name: string; readonly says: string }>> = {
  balance: { name: 'A balance', says: 'A little of everything, most of it where it is felt least.' },
  'keep-rounds': { name: 'Keep the rounds', says: 'The breath and the quiets change first.' },
  'keep-breath': { name: 'Keep the breath', says: 'Rounds and quiets change first.' },
  'leave-out': { name: 'Leave steps out', says: 'By their priority; never arrival, cautions or closing.' },
};

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
    case 'rounds':
      return `${name}: let it be ${rounds(one.to)} (now ${one.from})`;
    case 'time':
      return `${name}: let it be ${formatClock(one.to)} (now ${formatClock(one.from)})`;
    case 'tempo':
      return `${name}: let it be said ${tempoWords(one.to)} (now ${tempoWords(one.from)})`;
    case 'pin':
      return one.stepId === null ? 'Take the pin out of the breath' : `${name}: take the pin out`;
  }
}
