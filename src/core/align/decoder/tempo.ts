import type { Seconds } from '@/core/units';
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
  const slopes: number[] = [];
  near.forEach((one, at) => {
    for (const other of near.slice(at + 1)) {
      const apart = other.plannedStart - one.plannedStart;
      if (apart > APART) slopes.push((other.actualStart - one.actualStart) / apart);
    }
  });
  if (slopes.length < 4) return null;
  slopes.sort((a, b) => a - b);
  return Math.min(BOUNDS.max, Math.max(BOUNDS.min, slopes[Math.floor(slopes.length / 2)] ?? 0));
}
