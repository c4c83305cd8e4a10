import type { AdLib } from '@/core/align';
import { lungsAfter } from '@/core/breath';
import type { Timeline } from '@/core/timeline';
import { itemAt, median, wholeMilliseconds, type Seconds } from '@/core/units';
import { breathsTaken } from './breaths';
import type { CueReading, ReadingTotals } from './model';

/** Fewer measured breaths than this say nothing about the breath. */
const FEWEST_BREATHS = 3;

/** Works out the figures of a take. */
export function totalsOf(
  timeline: Timeline,
  cues: readonly CueReading[],
  adLibs: readonly AdLib[],
  lengthSeconds: Seconds | null,
): ReadingTotals {
  const said = cues.filter((cue) => cue.actualStart !== null);
  const drifts = said.map((cue) => (cue.actualStart ?? 0) - cue.plannedStart);
  const lastWord = Math.max(0, ...said.map((cue) => cue.actualEnd ?? 0), ...adLibs.map((adLib) => adLib.endSeconds));
  const runtimeSeconds = lengthSeconds ?? lastWord;
  const spoken = [
    ...said.map((cue) => (cue.actualEnd ?? 0) - (cue.actualStart ?? 0)),
    ...adLibs.map((r) => r.endSeconds - r.startSeconds),
  ];
  const talk = spoken.reduce((total, length) => total + length, 0);
  return {
    runtimeSeconds: wholeMilliseconds(runtimeSeconds),
    plannedRuntimeSeconds: timeline.runtimeSeconds,
    said: said.length,
    skipped: cues.length - said.length,
    adLibs: adLibs.length,
    talkShare: runtimeSeconds > 0 ? Math.round(1000 * Math.min(1, talk / runtimeSeconds)) / 1000 : 0,
    ...breathsOf(timeline, cues),
    driftMedianSeconds: drifts.length > 0 ? wholeMilliseconds(median(drifts)) : null,
    driftLastSeconds: drifts.length > 0 ? wholeMilliseconds(itemAt(drifts, drifts.length - 1)) : null,
  };
}

/** How many breaths were planned, how many were led aloud, and how long they were. */
function breathsOf(
  timeline: Timeline,
  cues: readonly CueReading[],
): Pick<ReadingTotals, 'breathsPlanned' | 'breathsHeard' | 'breathPlannedSeconds' | 'breathActualSeconds'> {
  const readings = new Map(cues.map((cue) => [cue.id, cue]));
  const heard = timeline.cues.filter(
    ({ id, source }) => source.part === 'phase' && id.endsWith('.0') && readings.get(id)?.status === 'said',
  );
  const breathsPlanned = timeline.phases.filter(
    (phase) => phase.kind !== 'spoken' && lungsAfter(phase.kind, 0) === 1,
  ).length;
  const steps = breathsTaken(timeline, cues);
  const taken = steps.flatMap(({ actualSeconds }) => actualSeconds);
  const planned = steps.flatMap(({ plannedSeconds, actualSeconds }) => actualSeconds.map(() => plannedSeconds));
  const enough = taken.length >= FEWEST_BREATHS;
  return {
    breathsPlanned,
    breathsHeard: heard.length,
    breathPlannedSeconds: enough ? wholeMilliseconds(median(planned)) : null,
    breathActualSeconds: enough ? wholeMilliseconds(median(taken)) : null,
  };
}
