import type { Cut } from '@/core/reading';

/* Changes to cuts; they stay in order of their start. */

/** With one more. */
export function withCut(cuts: readonly Cut[], cut: Cut): readonly Cut[] {
  return inOrder([...cuts, cut]);
}

/** With the one at a place changed, or (`null`) taken away. */
export function withCutAt(cuts: readonly Cut[], at: number, changed: Cut | null): readonly Cut[] {
  return inOrder(cuts.flatMap((cut, place) => (place !== at ? [cut] : changed ? [changed] : [])));
}

/** With the dead air that is proposed now; whatever else was cut stays as it was left. */
export function withDeadAirOf(cuts: readonly Cut[], proposed: readonly Cut[]): readonly Cut[] {
  return inOrder([
    ...cuts.filter(({ reason }) => reason !== 'silence'),
    ...proposed.filter(({ reason }) => reason === 'silence'),
  ]);
}

function inOrder(cuts: readonly Cut[]): readonly Cut[] {
  return [...cuts].sort((a, b) => a.startSeconds - b.startSeconds);
}
