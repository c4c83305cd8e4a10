import type { AdLib } from '@/core/align';
import { wholeMilliseconds, type Seconds } from '@/core/units';
import type { CueReading, HandWork, Reading } from './model';

/** Nothing done by hand. */
export const NO_HAND_WORK: HandWork = { corrections: {}, adLibs: null, cuts: null };

/** A cue said at a time, or (`null`) not said. */
export function withCue(work: HandWork, cueId: string, actualStart: Seconds | null): HandWork {
  const at = actualStart === null ? null : wholeMilliseconds(Math.max(0, actualStart));
  return { ...work, corrections: { ...work.corrections, [cueId]: { actualStart: at } } };
}

/** Every cue as sure as that is taken as it was found. */
export function withSureTaken(work: HandWork, reading: Reading, confidence: number): HandWork {
  const taken = reading.cues
    .filter((cue) => !cue.corrected && cue.confidence >= confidence)
    .map((cue) => [cue.id, { actualStart: cue.actualStart }] as const);
  return { ...work, corrections: { ...work.corrections, ...Object.fromEntries(taken) } };
}

/** Cues that nobody has looked at, the least certain first. */
export function leastCertain(reading: Reading, below: number): CueReading[] {
  return reading.cues
    .filter((cue) => !cue.corrected && cue.confidence < below)
    .sort((a, b) => a.confidence - b.confidence || a.plannedStart - b.plannedStart);
}

/** An ad-lib's words, as somebody typed them; no words where the text is empty. */
export function withAdLibText(work: HandWork, reading: Reading, at: number, text: string): HandWork {
  const adLibs = reading.adLibs.map((adLib, place) => (place === at ? { ...adLib, text: text.trim() || null } : adLib));
  return { ...work, adLibs };
}

/** Without an ad-lib: it was a noise. */
export function withoutAdLib(work: HandWork, reading: Reading, at: number): HandWork {
  return { ...work, adLibs: reading.adLibs.filter((_, place) => place !== at) };
}

/** What a cue holds from a time on was an ad-lib: it is split off. `null` where the time lies outside the cue. */
export function withAdLibSplit(work: HandWork, reading: Reading, cueId: string, fromSeconds: Seconds): HandWork | null {
  const cue = reading.cues.find(({ id }) => id === cueId);
  if (!cue || cue.actualStart === null || cue.actualEnd === null) return null;
  if (fromSeconds <= cue.actualStart + 0.1 || fromSeconds >= cue.actualEnd - 0.1) return null;
  const adLib: AdLib = { startSeconds: wholeMilliseconds(fromSeconds), endSeconds: cue.actualEnd, text: null };
  const adLibs = [...reading.adLibs, adLib].sort((a, b) => a.startSeconds - b.startSeconds);
  const length = wholeMilliseconds(fromSeconds - cue.actualStart);
  const correction = { actualStart: cue.actualStart, lengthSeconds: length };
  return { ...work, corrections: { ...work.corrections, [cueId]: correction }, adLibs };
}
