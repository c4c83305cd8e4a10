import type { FitChange, Loosening, NotFitted } from '@/core/pacing';
import type { FitWay } from '@/core/plan';
import { formatClock, formatExactClock } from '@/core/units';
import { roundsCounted } from './sides';

/** What a fit would change, as a row: what, from, to. */
export function changeWords(
  change: FitChange,
  nameOf: (stepId: string) => string,
): { what: string; from: string; to: string } {
  const what = change.stepId === null ? 'Breath at the start' : nameOf(change.stepId);
  const { from, to } = change;
  switch (change.what) {
    case 'breath':
      return { what, from: `${from.toFixed(1)} s`, to: `${to.toFixed(1)} s` };
    case 'time':
      return { what, from: formatExactClock(from), to: formatExactClock(to) };
    case 'tempo':
      return { what: `${what}, said`, from: tempoWords(from), to: tempoWords(to) };
    case 'left-out':
      return { what, from: 'in', to: 'skipped' };
    case 'brought-back':
      return { what, from: 'skipped', to: 'in' };
    case 'clock':
    case 'rounds':
      return { what, from: roundsCounted(from), to: roundsCounted(to) };
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
  balanced: { name: 'Balanced', says: 'Changes a little of everything, most where it is noticed least.' },
  'keep-rounds': { name: 'Keep rounds', says: 'Breath and silences change first.' },
  'keep-breath': { name: 'Keep breath', says: 'Rounds and silences change first.' },
  'skip-steps': { name: 'Skip steps', says: 'Skips steps by priority; never arrival, cautions or closing.' },
};

/** Why nothing fits. */
export function whyNot(fit: NotFitted, targetSeconds: number): string {
  const target = formatClock(targetSeconds);
  if (fit.reason === 'below-reach')
    return `${target} is shorter than this class can be: the shortest is ${formatClock(fit.shortestSeconds)}.`;
  if (fit.reason === 'above-reach')
    return `${target} is longer than this class can be: the longest is ${formatClock(fit.longestSeconds)}.`;
  const nearest = fit.nearestSeconds === null ? '' : ` The nearest possible is ${formatClock(fit.nearestSeconds)}.`;
  return `No whole rounds land on ${target}.${nearest} A silence that may change, or a breath that is not pinned, would close the gap.`;
}

/** What loosening one bound means. */
export function looseningWords(one: Loosening, nameOf: (stepId: string) => string): string {
  const name = one.stepId === null ? '' : nameOf(one.stepId);
  switch (one.what) {
    case 'breath':
      return `Allow a breath of ${one.to.toFixed(1)} s (now ${one.from.toFixed(1)} s)`;
    case 'rounds':
      return `${name}: allow ${roundsCounted(one.to)} (now ${one.from})`;
    case 'time':
      return `${name}: allow ${formatClock(one.to)} (now ${formatClock(one.from)})`;
    case 'tempo':
      return `${name}: allow a tempo ${tempoWords(one.to)} (now ${tempoWords(one.from)})`;
    case 'pin':
      return one.stepId === null ? 'Unpin the breath' : `${name}: unpin`;
  }
}
