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
  return readAgain(timeline, evidence, correctable(timeline, evidence, hearing), { corrections, adLibs: null });
}

/** The reading that an alignment gives. */
export function readingOf(
  timeline: Timeline,
  evidence: Evidence,
  { found, unsaid, adLibs }: Alignment,
  corrections: Corrections = {},
): Reading {
  const byCue = new Map(found.map((cue) => [cue.cueId, cue]));
  const sure = new Map(unsaid.map((cue) => [cue.cueId, cue.confidence]));
  const cues = timeline.cues.map((cue): CueReading => {
    const match = byCue.get(cue.id);
    return {
      id: cue.id,
      text: cue.text,
      plannedStart: cue.startSeconds,
      status: match ? 'said' : 'skipped',
      actualStart: match?.startSeconds ?? null,
      actualEnd: match?.endSeconds ?? null,
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
      adLibs,
      totals: totalsOf(timeline, cues, adLibs, evidence.lengthSeconds),
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
    const { actualStart, lengthSeconds: cut } = correction;
    const found = cue.actualStart !== null && cue.actualEnd !== null ? cue.actualEnd - cue.actualStart : null;
    const length = cut ?? found ?? lengths.get(cue.id) ?? 1;
    return {
      ...cue,
      status: actualStart === null ? 'skipped' : 'said',
      actualStart,
      actualEnd: actualStart === null ? null : wholeMilliseconds(actualStart + length),
      confidence: 1,
      corrected: true,
      evidence: null,
    };
  });
  return { ...reading, cues, totals: totalsOf(timeline, cues, reading.adLibs, lengthSeconds) };
}

/** A reading whose lines and ad-libs lie elsewhere: `place` gives each its new stretch, or `null` where it is gone. */
export function withTimes(
  reading: Reading,
  timeline: Timeline,
  place: (startSeconds: number, endSeconds: number) => Interval | null,
  lengthSeconds: number,
): Reading {
  const cues = reading.cues.map((cue): CueReading => {
    const { actualStart, actualEnd } = cue;
    const placed = actualStart === null || actualEnd === null ? null : place(actualStart, actualEnd);
    return placed
      ? { ...cue, actualStart: placed.startSeconds, actualEnd: placed.endSeconds }
      : { ...cue, status: 'skipped', actualStart: null, actualEnd: null };
  });
  const adLibs = reading.adLibs.flatMap((adLib) => {
    const placed = place(adLib.startSeconds, adLib.endSeconds);
    return placed ? [{ ...adLib, ...placed }] : [];
  });
  return { ...reading, cues, adLibs, totals: totalsOf(timeline, cues, adLibs, lengthSeconds) };
}

/**
 * A take read again after somebody worked on it: what they set holds, and sound puts the cues about it into place.
 * Ad-libs that were left by hand stay as they were left.
 */
export function readAgain(
  timeline: Timeline,
  evidence: Evidence,
  take: Correctable,
  { corrections, adLibs }: Omit<HandWork, 'cuts'>,
): Reading {
  const set = new Map(Object.entries(corrections).map(([id, { actualStart }]) => [id, actualStart]));
  const read = readingOf(timeline, evidence, take.withSet(set), corrections);
  if (adLibs === null) return read;
  return { ...read, adLibs, totals: totalsOf(timeline, read.cues, adLibs, evidence.lengthSeconds) };
}
