import type { Remark } from '@/core/align';
import { wholeMilliseconds, type Seconds } from '@/core/units';
import type { CueReading, HandWork, Reading } from './model';

/** Nothing done by hand. */
export const NO_HAND_WORK: HandWork = { corrections: {}, remarks: null, cuts: null };

/** A cue said at a time, or (`null`) not said. */
export function withCue(work: HandWork, cueId: string, saidAtSeconds: Seconds | null): HandWork {
  const at = saidAtSeconds === null ? null : wholeMilliseconds(Math.max(0, saidAtSeconds));
  return { ...work, corrections: { ...work.corrections, [cueId]: { saidAtSeconds: at } } };
}

/** Every cue as sure as that is taken as it was found. */
export function withSureTaken(work: HandWork, reading: Reading, confidence: number): HandWork {
  const taken = reading.cues
    .filter((cue) => !cue.corrected && cue.confidence >= confidence)
    .map((cue) => [cue.id, { saidAtSeconds: cue.saidAtSeconds }] as const);
  return { ...work, corrections: { ...work.corrections, ...Object.fromEntries(taken) } };
}

/** Cues that nobody has looked at, the least certain first. */
export function leastCertain(reading: Reading, below: number): CueReading[] {
  return reading.cues
    .filter((cue) => !cue.corrected && cue.confidence < below)
    .sort((a, b) => a.confidence - b.confidence || a.plannedSeconds - b.plannedSeconds);
}

/** A remark's words, as somebody typed them; no words where the text is empty. */
export function withRemarkText(work: HandWork, reading: Reading, at: number, text: string): HandWork {
  const remarks = reading.remarks.map((remark, place) =>
    place === at ? { ...remark, text: text.trim() || null } : remark,
  );
  return { ...work, remarks };
}

/** Without a remark: it was a noise. */
export function withoutRemark(work: HandWork, reading: Reading, at: number): HandWork {
  return { ...work, remarks: reading.remarks.filter((_, place) => place !== at) };
}

/** What a cue holds from a time on was a remark: it is split off. `null` where the time lies outside the cue. */
export function withRemarkSplit(
  work: HandWork,
  reading: Reading,
  cueId: string,
  fromSeconds: Seconds,
): HandWork | null {
  const cue = reading.cues.find(({ id }) => id === cueId);
  if (!cue || cue.saidAtSeconds === null || cue.endSeconds === null) return null;
  if (fromSeconds <= cue.saidAtSeconds + 0.1 || fromSeconds >= cue.endSeconds - 0.1) return null;
  const remark: Remark = { startSeconds: wholeMilliseconds(fromSeconds), endSeconds: cue.endSeconds, text: null };
  const remarks = [...reading.remarks, remark].sort((a, b) => a.startSeconds - b.startSeconds);
  const length = wholeMilliseconds(fromSeconds - cue.saidAtSeconds);
  const correction = { saidAtSeconds: cue.saidAtSeconds, lengthSeconds: length };
  return { ...work, corrections: { ...work.corrections, [cueId]: correction }, remarks };
}
