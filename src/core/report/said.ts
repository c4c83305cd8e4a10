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
    if (!one || one.saidAtSeconds === null || one.endSeconds === null) return [];
    return [{ at, cue, saidSeconds: one.saidAtSeconds, endSeconds: one.endSeconds }];
  });
}

/** Seconds of a stretch that remarks take. */
export function remarkSeconds(reading: Reading, within: Interval): Seconds {
  return reading.remarks.reduce((sum, remark) => sum + overlapSeconds(remark, within), 0);
}
