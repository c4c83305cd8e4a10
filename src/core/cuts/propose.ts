import type { Cut, CutReason, Reading } from '@/core/reading';
import { longSilences } from '@/core/report';
import type { Timeline } from '@/core/timeline';
import { wholeMilliseconds, type Seconds } from '@/core/units';

/** What is kept before the first word and after the last, and about an ad-lib that goes. Common practice, no published source. */
const BEFORE: Seconds = 1.5;
const AFTER: Seconds = 3;
const ABOUT_AD_LIB: Seconds = 0.15;
/** A cut shorter than this is not worth its jump. */
const LEAST: Seconds = 1;

export const DEAD_AIR = { usual: 6, min: 2, max: 120 } as const;

/**
 * Cuts for a take: what lies before its first word and after its last, dead air where nobody speaks for
 * `deadAirSeconds` longer than the plan has it, and each ad-lib, which is off until it is chosen. In order of start.
 */
export function proposeCuts(timeline: Timeline, reading: Reading, deadAirSeconds: Seconds = DEAD_AIR.usual): Cut[] {
  const spoken = [
    ...reading.cues.flatMap(({ actualStart, actualEnd }) =>
      actualStart !== null && actualEnd !== null ? [{ startSeconds: actualStart, endSeconds: actualEnd }] : [],
    ),
    ...reading.adLibs,
  ];
  if (spoken.length === 0) return [];
  const end = reading.totals.runtimeSeconds;
  const tail = Math.max(AFTER, timeline.runtimeSeconds - (timeline.cues.at(-1)?.endSeconds ?? 0));
  const first = Math.min(...spoken.map(({ startSeconds }) => startSeconds)) - BEFORE;
  const last = Math.max(...spoken.map(({ endSeconds }) => endSeconds)) + tail;
  const cuts: Cut[] = [];
  const add = (startSeconds: Seconds, endSeconds: Seconds, reason: CutReason, on: boolean): void => {
    if (endSeconds - startSeconds < (reason === 'ad-lib' ? 0.3 : LEAST)) return;
    cuts.push({ startSeconds: wholeMilliseconds(startSeconds), endSeconds: wholeMilliseconds(endSeconds), reason, on });
  };
  add(0, first, 'head', true);
  add(last, end, 'tail', true);
  for (const { startSeconds, endSeconds, plannedSeconds } of longSilences(timeline, reading, deadAirSeconds)) {
    if (startSeconds === 0 || endSeconds >= end) continue;
    // What the plan has of it stays, as much before the cut as after it.
    const kept = Math.max(plannedSeconds, 2);
    add(startSeconds + kept / 2, endSeconds - kept / 2, 'silence', true);
  }
  for (const { startSeconds, endSeconds } of reading.adLibs)
    add(Math.max(0, startSeconds - ABOUT_AD_LIB), Math.min(end, endSeconds + ABOUT_AD_LIB), 'ad-lib', false);
  return cuts.sort((a, b) => a.startSeconds - b.startSeconds);
}
