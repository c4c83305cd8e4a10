import type { Hum } from './hum';
import { median, type Interval } from '@/core/units';
import { FRAME_SECONDS, SILENCE_DECIBELS } from './level-meter';

/** How a recording sounds, in figures. */
export interface SoundFigures {
  /** Loudness of the whole and of its loudest three seconds, LUFS; `null` in silence. See `Loudness`. */
  readonly integrated: number | null;
  readonly shortTermMost: number | null;
  /** dBTP; `null` in silence. */
  readonly truePeak: number | null;
  /** dBFS; see `noiseFloor`. */
  readonly noiseFloor: number | null;
  /** Share of samples at full scale, 0 to 1. */
  readonly clippedShare: number;
  readonly hum: Hum | null;
}

/** A tenth of a class is quieter than this: what is left when nobody speaks. Common practice, no published source. */
const FLOOR_SHARE = 0.1;

/** The tenth percentile of levels in dBFS, of those that are not digital silence; `null` where all is. */
export function noiseFloor(levels: Float32Array): number | null {
  const sounding = levels.filter((level) => level > SILENCE_DECIBELS).sort();
  return sounding.length > 0 ? Math.round(10 * (sounding[Math.floor(sounding.length * FLOOR_SHARE)] ?? 0)) / 10 : null;
}

/** How far speech stands over what is heard when nobody speaks, in decibels; 0 where either is not there. */
export function clearnessOf(levels: Float32Array, speech: readonly Interval[], floor: number | null): number {
  const spoken = speech.map(({ startSeconds, endSeconds }) =>
    levels.subarray(Math.floor(startSeconds / FRAME_SECONDS), Math.floor(endSeconds / FRAME_SECONDS)),
  );
  const loudest = spoken.filter(({ length }) => length > 0).map((frames) => frames.reduce((a, b) => Math.max(a, b)));
  return loudest.length > 0 && floor !== null ? median(loudest) - floor : 0;
}
