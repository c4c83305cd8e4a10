import { expectation, type Anchor } from '@/core/align';
import type { Timeline } from '@/core/timeline';
import { wholeMilliseconds, type Seconds } from '@/core/units';
import type { Reading } from './model';

/** Planned seconds to seconds of the take: straight between the lines that were said. */
export function takeTimes(timeline: Timeline, reading: Reading | null): (planned: Seconds) => Seconds {
  if (!reading) return (planned) => planned;
  const anchors: Anchor[] = [];
  for (const { plannedStart, actualStart } of reading.cues) {
    const before = anchors.at(-1);
    if (actualStart === null) continue;
    if (before && (actualStart <= before.actualStart || plannedStart <= before.plannedStart)) continue;
    anchors.push({ plannedStart, actualStart: actualStart });
  }
  const expected = expectation(anchors);
  const end = Math.max(reading.totals.runtimeSeconds, timeline.runtimeSeconds);
  return (planned) => wholeMilliseconds(Math.min(end, Math.max(0, expected(planned))));
}
