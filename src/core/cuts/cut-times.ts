import { withTimes, type Cut, type Reading } from '@/core/reading';
import type { Timeline } from '@/core/timeline';
import { overlapSeconds, wholeMilliseconds, type Interval, type Seconds } from '@/core/units';
import { frameAt, frameSeconds, type FrameRate } from './timecode';

/** What of a line is left has to last this long to be kept as said. */
const LEAST_LEFT: Seconds = 0.3;

/** The stretches that stay, in order, of a recording so long; cuts that are off leave everything. */
export function keptStretches(cuts: readonly Cut[], lengthSeconds: Seconds): Interval[] {
  const kept: Interval[] = [];
  let from = 0;
  const on = cuts.filter((cut) => cut.on).sort((a, b) => a.startSeconds - b.startSeconds);
  for (const { startSeconds, endSeconds } of on) {
    if (startSeconds > from) kept.push({ startSeconds: from, endSeconds: Math.min(startSeconds, lengthSeconds) });
    from = Math.max(from, endSeconds);
    if (from >= lengthSeconds) break;
  }
  if (from < lengthSeconds) kept.push({ startSeconds: from, endSeconds: lengthSeconds });
  return kept.filter(({ startSeconds, endSeconds }) => endSeconds > startSeconds);
}

/** Stretches whose ends are whole frames, as a cut list has them; what is shorter than a frame goes. */
export function onFrames(kept: readonly Interval[], rate: FrameRate): Interval[] {
  return kept.flatMap(({ startSeconds, endSeconds }) => {
    const [from, to] = [frameAt(startSeconds, rate), frameAt(endSeconds, rate)];
    return to > from ? [{ startSeconds: frameSeconds(from, rate), endSeconds: frameSeconds(to, rate) }] : [];
  });
}

export function keptSeconds(kept: readonly Interval[]): Seconds {
  return kept.reduce((sum, { startSeconds, endSeconds }) => sum + endSeconds - startSeconds, 0);
}

/** Seconds of the recording to seconds of the cut version; what was cut out falls on the cut. */
export function cutTime(kept: readonly Interval[], seconds: Seconds): Seconds {
  const before = { startSeconds: 0, endSeconds: seconds };
  return wholeMilliseconds(kept.reduce((sum, stretch) => sum + overlapSeconds(stretch, before), 0));
}

/** A reading of the cut version: lines and ad-libs at its times; those cut out are skipped, those cut short end there. */
export function cutReading(reading: Reading, timeline: Timeline, kept: readonly Interval[]): Reading {
  const left = (startSeconds: Seconds, endSeconds: Seconds): Interval | null => {
    const from = cutTime(kept, startSeconds);
    const to = cutTime(kept, endSeconds);
    return to - from >= Math.min(LEAST_LEFT, endSeconds - startSeconds) ? { startSeconds: from, endSeconds: to } : null;
  };
  return withTimes(reading, timeline, left, wholeMilliseconds(keptSeconds(kept)));
}
