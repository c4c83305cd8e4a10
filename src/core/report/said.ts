import type { Reading } from '@/core/reading';
import type { Cue, Timeline } from '@/core/timeline';
import { overlapSeconds, type Interval, type Seconds } from '@/core/units';

/** A cue that was said, with its place among all cues. */
export interface SaidCue {
  readonly at: number;
  readonly cue: Cue;
  readonly saidSeconds: Seconds;
  readonly endSeconds: Seconds;
}

/** The cues that were said, in order of the plan. */
export function saidCues(timeline: Timeline, reading: Reading): SaidCue[] {
  const found = new Map(reading.cues.map((cue) => [cue.id, cue]));
  return timeline.cues.flatMap((cue, at): SaidCue[] => {
    const one = found.get(cue.id);
    if (!one || one.actualStart === null || one.actualEnd === null) return [];
    return [{ at, cue, saidSeconds: one.actualStart, endSeconds: one.actualEnd }];
  });
}

/** Seconds of a stretch that ad-libs take. */
export function adLibSeconds(reading: Reading, within: Interval): Seconds {
  return reading.adLibs.reduce((sum, adLib) => sum + overlapSeconds(adLib, within), 0);
}
