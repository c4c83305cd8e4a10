import { itemAt, lastStartedAt, type Seconds } from '@/core/units';
import type { HeardWord, PlannedWord } from './captions/words';

/** A planned time and the time in the take that it answers to. */
export interface Anchor {
  readonly plannedStart: Seconds;
  readonly actualStart: Seconds;
}

/**
 * Where plan and captions surely meet: runs of three words that occur exactly once on either side, in an order that
 * both agree on.
 */
export function findAnchors(planned: readonly PlannedWord[], heard: readonly HeardWord[]): Anchor[] {
  const inPlan = once(planned.map((word) => word.word));
  const inTake = once(heard.map((word) => word.word));
  const pairs: Anchor[] = [];
  for (const [run, at] of inPlan) {
    const there = inTake.get(run);
    if (there !== undefined)
      pairs.push({ plannedStart: itemAt(planned, at).seconds, actualStart: itemAt(heard, there).startSeconds });
  }
  pairs.sort((a, b) => a.plannedStart - b.plannedStart);
  return longestRising(pairs);
}

function once(words: readonly string[]): Map<string, number> {
  const seen = new Map<string, number>();
  const twice = new Set<string>();
  for (let at = 0; at + 3 <= words.length; at++) {
    const run = `${words[at]} ${words[at + 1]} ${words[at + 2]}`;
    if (seen.has(run)) twice.add(run);
    seen.set(run, at);
  }
  for (const run of twice) seen.delete(run);
  return seen;
}

/** The longest chain of anchors whose times in the take rise; O(n log n). */
export function longestRising(pairs: readonly Anchor[]): Anchor[] {
  const tails: number[] = [];
  const before = new Int32Array(pairs.length).fill(-1);
  pairs.forEach((pair, index) => {
    let low = 0;
    let high = tails.length;
    while (low < high) {
      const middle = (low + high) >>> 1;
      if (itemAt(pairs, tails[middle] ?? 0).actualStart < pair.actualStart) low = middle + 1;
      else high = middle;
    }
    if (low > 0) before[index] = tails[low - 1] ?? 0;
    tails[low] = index;
  });
  const chain: Anchor[] = [];
  for (let at = tails.at(-1) ?? -1; at >= 0; at = before[at] ?? 0) chain.unshift(itemAt(pairs, at));
  return chain;
}

/** Gives the expected time in the take for a planned time: straight between anchors, shifted beyond the outer ones. */
export function expectation(anchors: readonly Anchor[]): (plannedStart: Seconds) => Seconds {
  if (anchors.length === 0) return (planned) => planned;
  const starts = anchors.map((anchor) => ({ startSeconds: anchor.plannedStart, endSeconds: anchor.plannedStart }));
  return (planned) => {
    const at = lastStartedAt(starts, planned);
    if (at < 0) return planned + itemAt(anchors, 0).actualStart - itemAt(anchors, 0).plannedStart;
    const from = itemAt(anchors, at);
    const to = anchors[at + 1];
    if (!to || to.plannedStart === from.plannedStart) return planned + from.actualStart - from.plannedStart;
    const along = (planned - from.plannedStart) / (to.plannedStart - from.plannedStart);
    return from.actualStart + along * (to.actualStart - from.actualStart);
  };
}
