import type { Remark } from '@/core/align';
import { lungsAfter } from '@/core/breath';
import type { Timeline } from '@/core/timeline';
import { middle, wholeMilliseconds, type Seconds } from '@/core/units';
import type { CueReading, ReadingTotals } from './model';

/** Fewer measured breaths than this say nothing about the breath. */
const FEWEST_BREATHS = 3;

/** Works out the figures of a take. */
export function totalsOf(
  timeline: Timeline,
  cues: readonly CueReading[],
  remarks: readonly Remark[],
  lengthSeconds: Seconds | null,
): ReadingTotals {
  const said = cues.filter((cue) => cue.saidAtSeconds !== null);
  const drifts = said.map((cue) => (cue.saidAtSeconds ?? 0) - cue.plannedSeconds);
  const lastWord = Math.max(
    0,
    ...said.map((cue) => cue.endSeconds ?? 0),
    ...remarks.map((remark) => remark.endSeconds),
  );
  const runtimeSeconds = lengthSeconds ?? lastWord;
  const spoken = [
    ...said.map((cue) => (cue.endSeconds ?? 0) - (cue.saidAtSeconds ?? 0)),
    ...remarks.map((r) => r.endSeconds - r.startSeconds),
  ];
  const talk = spoken.reduce((total, length) => total + length, 0);
  return {
    runtimeSeconds: wholeMilliseconds(runtimeSeconds),
    plannedSeconds: timeline.runtimeSeconds,
    said: said.length,
    skipped: cues.length - said.length,
    remarks: remarks.length,
    talkShare: runtimeSeconds > 0 ? Math.round(1000 * Math.min(1, talk / runtimeSeconds)) / 1000 : 0,
    ...breathsOf(timeline, cues),
    driftMiddleSeconds: drifts.length > 0 ? wholeMilliseconds(middle(drifts)) : null,
    driftLastSeconds: drifts.length > 0 ? wholeMilliseconds(drifts[drifts.length - 1]) : null,
  };
}

/**
 * The breath as it was taken: between two cues of one step that lead the same phase of neighbouring rounds, the
 * planned breath times how much longer the gap was than planned.
 */
function breathsOf(
  timeline: Timeline,
  cues: readonly CueReading[],
): Pick<ReadingTotals, 'breathsPlanned' | 'breathsHeard' | 'breathPlannedSeconds' | 'breathTakenSeconds'> {
  const readings = new Map(cues.map((cue) => [cue.id, cue]));
  const breathOfStep = new Map(timeline.steps.map((step) => [step.step, step.breathSeconds]));
  const planned: number[] = [];
  const taken: number[] = [];
  let previous: { step: string; phase: string; planned: Seconds; said: Seconds } | null = null;
  let heard = 0;
  for (const cue of timeline.cues) {
    if (cue.source.part !== 'phase' || !cue.id.endsWith('.0')) continue;
    const reading = readings.get(cue.id);
    if (reading?.saidAtSeconds === undefined || reading.saidAtSeconds === null) {
      previous = null;
      continue;
    }
    heard++;
    const now = { step: cue.step, phase: cue.source.phaseId, planned: cue.startSeconds, said: reading.saidAtSeconds };
    if (previous && previous.step === now.step && previous.phase === now.phase && now.planned - previous.planned > 1) {
      const breath = breathOfStep.get(cue.step) ?? 0;
      planned.push(breath);
      taken.push((breath * (now.said - previous.said)) / (now.planned - previous.planned));
    }
    previous = now;
  }
  const breathsPlanned = timeline.phases.filter(
    (phase) => phase.kind !== 'spoken' && lungsAfter(phase.kind, 0) === 1,
  ).length;
  const enough = taken.length >= FEWEST_BREATHS;
  return {
    breathsPlanned,
    breathsHeard: heard,
    breathPlannedSeconds: enough ? wholeMilliseconds(middle(planned)) : null,
    breathTakenSeconds: enough ? wholeMilliseconds(middle(taken)) : null,
  };
}
