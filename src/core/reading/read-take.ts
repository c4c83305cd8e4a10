import { correctable, type Alignment, type Correctable, type Evidence, type Hearing } from '@/core/align';
import type { Timeline } from '@/core/timeline';
import { wholeMilliseconds, type Interval } from '@/core/units';
import {
  READING_FORMAT,
  READING_VERSION,
  type Corrections,
  type CueReading,
  type HandWork,
  type Reading,
} from './model';
import { totalsOf } from './totals';

/** Reads a take against a timeline. What was corrected by hand stands, whatever the evidence says. */
export function readTake(
  timeline: Timeline,
  evidence: Evidence,
  corrections: Corrections = {},
  hearing: Hearing = {},
): Reading {
  return readAgain(timeline, evidence, correctable(timeline, evidence, hearing), { corrections, remarks: null });
}

/** The reading that an alignment gives. */
export function readingOf(
  timeline: Timeline,
  evidence: Evidence,
  { found, unsaid, remarks }: Alignment,
  corrections: Corrections = {},
): Reading {
  const byCue = new Map(found.map((cue) => [cue.cueId, cue]));
  const sure = new Map(unsaid.map((cue) => [cue.cueId, cue.confidence]));
  const cues = timeline.cues.map((cue): CueReading => {
    const match = byCue.get(cue.id);
    return {
      id: cue.id,
      text: cue.text,
      plannedSeconds: cue.startSeconds,
      status: match ? 'said' : 'skipped',
      saidAtSeconds: match?.startSeconds ?? null,
      endSeconds: match?.endSeconds ?? null,
      confidence: match?.confidence ?? sure.get(cue.id) ?? 0.5,
      corrected: false,
      evidence: match?.evidence ?? null,
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
    const correction = Object.hasOwn(corrections, cue.id) ? corrections[cue.id] : undefined;
    if (!correction) return cue;
    const { saidAtSeconds, lengthSeconds: cut } = correction;
    const found = cue.saidAtSeconds !== null && cue.endSeconds !== null ? cue.endSeconds - cue.saidAtSeconds : null;
    const length = cut ?? found ?? lengths.get(cue.id) ?? 1;
    return {
      ...cue,
      status: saidAtSeconds === null ? 'skipped' : 'said',
      saidAtSeconds,
      endSeconds: saidAtSeconds === null ? null : wholeMilliseconds(saidAtSeconds + length),
      confidence: 1,
      corrected: true,
      evidence: null,
    };
  });
  return { ...reading, cues, totals: totalsOf(timeline, cues, reading.remarks, lengthSeconds) };
}

/** A reading whose lines and remarks lie elsewhere: `place` gives each its new stretch, or `null` where it is gone. */
export function withTimes(
  reading: Reading,
  timeline: Timeline,
  place: (startSeconds: number, endSeconds: number) => Interval | null,
  lengthSeconds: number,
): Reading {
  const cues = reading.cues.map((cue): CueReading => {
    const { saidAtSeconds, endSeconds } = cue;
    const placed = saidAtSeconds === null || endSeconds === null ? null : place(saidAtSeconds, endSeconds);
    return placed
      ? { ...cue, saidAtSeconds: placed.startSeconds, endSeconds: placed.endSeconds }
      : { ...cue, status: 'skipped', saidAtSeconds: null, endSeconds: null };
  });
  const remarks = reading.remarks.flatMap((remark) => {
    const placed = place(remark.startSeconds, remark.endSeconds);
    return placed ? [{ ...remark, ...placed }] : [];
  });
  return { ...reading, cues, remarks, totals: totalsOf(timeline, cues, remarks, lengthSeconds) };
}

/**
 * A take read again after somebody worked on it: what they set holds, and sound puts the cues about it into place.
 * Remarks that were left by hand stay as they were left.
 */
export function readAgain(
  timeline: Timeline,
  evidence: Evidence,
  take: Correctable,
  { corrections, remarks }: Omit<HandWork, 'cuts'>,
): Reading {
  const set = new Map(Object.entries(corrections).map(([id, { saidAtSeconds }]) => [id, saidAtSeconds]));
  const read = readingOf(timeline, evidence, take.withSet(set), corrections);
  if (remarks === null) return read;
  return { ...read, remarks, totals: totalsOf(timeline, read.cues, remarks, evidence.lengthSeconds) };
}
