import { itemAt, type Seconds } from '@/core/units';
import type { Anchor } from '../anchors';

/** Seconds taken for one planned second, about a planned time. */
export type Tempo = (plannedStart: Seconds) => number;

/** Anchors this near count, in pairs at least so far apart. */
const NEAR: Seconds = 45;
const APART: Seconds = 12;
/** The tempo is worked out once for each so many seconds. */
const GRAIN: Seconds = 5;
const BOUNDS = { min: 0.65, max: 1.6 };

/**
 * The tempo along a take: about each time the middle of the slopes between anchors near it (Theil 1950 and Sen 1968,
 * from memory), so that a wrong anchor or an interruption does not bend it. Where anchors are few, `usual`.
 */
export function tempoAlong(anchors: readonly Anchor[], usual: number): Tempo {
  const known = new Map<number, number>();
  return (plannedStart) => {
    const grain = Math.round(plannedStart / GRAIN);
    let tempo = known.get(grain);
    if (tempo === undefined) {
      tempo = slopeAbout(anchors, grain * GRAIN) ?? usual;
      known.set(grain, tempo);
    }
    return tempo;
  };
}

function slopeAbout(anchors: readonly Anchor[], plannedStart: Seconds): number | null {
  const near = anchors.filter((anchor) => Math.abs(anchor.plannedStart - plannedStart) < NEAR);
  const slopes = new Float64Array((near.length * (near.length - 1)) / 2);
  let count = 0;
  for (let at = 0; at < near.length; at++) {
    const one = itemAt(near, at);
    for (let after = at + 1; after < near.length; after++) {
      const other = itemAt(near, after);
      const apart = other.plannedStart - one.plannedStart;
      if (apart > APART) slopes[count++] = (other.actualStart - one.actualStart) / apart;
    }
  }
  if (count < 4) return null;
  const middle = slopes.subarray(0, count).sort()[Math.floor(count / 2)] ?? 0;
  return Math.min(BOUNDS.max, Math.max(BOUNDS.min, middle));
}
