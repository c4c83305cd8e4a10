import { alignTake, type Evidence, type Hearing } from '@/core/align';
import type { Timeline } from '@/core/timeline';
import { wholeMilliseconds } from '@/core/units';
import { READING_FORMAT, READING_VERSION, type Corrections, type CueReading, type Reading } from './model';
import { totalsOf } from './totals';

/** Reads a take against a timeline. What was corrected by hand stands, whatever the evidence says. */
export function readTake(
  timeline: Timeline,
  evidence: Evidence,
  corrections: Corrections = {},
  hearing: Hearing = {},
): Reading {
  const { found, remarks } = alignTake(timeline, evidence, hearing);
  const byCue = new Map(found.map((cue) => [cue.cueId, cue]));
  const cues = timeline.cues.map((cue): CueReading => {
    const match = byCue.get(cue.id);
    return {
      id: cue.id,
      text: cue.text,
      plannedSeconds: cue.startSeconds,
      status: match ? 'said' : 'skipped',
      saidAtSeconds: match?.startSeconds ?? null,
      endSeconds: match?.endSeconds ?? null,
      confidence: match?.confidence ?? 0.5,
      corrected: false,
    };
  });
  return correct(
    {
      format: READING_FORMAT,
      version: READING_VERSION,
      cues,
      remarks,
      totals: totalsOf(timeline, cues, remarks, evidence.lengthSeconds),
    },
    timeline,
    corrections,
    evidence.lengthSeconds,
  );
}

/** A reading with corrections applied and its figures worked out again. Corrections of unknown cues are left alone. */
export function correct(
  reading: Reading,
  timeline: Timeline,
  corrections: Corrections,
  lengthSeconds: number | null,
): Reading {
  const lengths = new Map(timeline.cues.map((cue) => [cue.id, cue.endSeconds - cue.startSeconds]));
  const cues = reading.cues.map((cue): CueReading => {
    if (!Object.hasOwn(corrections, cue.id)) return cue;
    const { saidAtSeconds } = corrections[cue.id];
    const length =
      cue.saidAtSeconds !== null && cue.endSeconds !== null
        ? cue.endSeconds - cue.saidAtSeconds
        : (lengths.get(cue.id) ?? 1);
    return {
      ...cue,
      status: saidAtSeconds === null ? 'skipped' : 'said',
      saidAtSeconds,
      endSeconds: saidAtSeconds === null ? null : wholeMilliseconds(saidAtSeconds + length),
      confidence: 1,
      corrected: true,
    };
  });
  return { ...reading, cues, totals: totalsOf(timeline, cues, reading.remarks, lengthSeconds) };
}
