import { wholeMilliseconds, type Interval } from '@/core/units';
import { FRAME_SECONDS, SILENCE_DECIBELS } from './level-meter';

/** The floor is the tenth percentile of the levels in a window this wide on either side. */
const FLOOR_WINDOW_SECONDS = 12;
const FLOOR_SHARE = 0.1;
/** Speech begins this far above the floor and lasts while it stays this far above. */
const BEGIN_DECIBELS = 10;
const STAY_DECIBELS = 6;
/** Quieter than this is silence whatever the floor. */
const LEAST_DECIBELS = -62;
const SHORTEST_SPEECH_SECONDS = 0.12;
/** Gaps shorter than this are inside a phrase: the closure of a consonant, not a pause. */
const BRIDGED_SECONDS = 0.22;

/**
 * Stretches of speech by level alone, against a noise floor that follows the sound. Enough in a quiet room; outdoors
 * it finds little that is true.
 */
export function speechSegments(levels: Float32Array): Interval[] {
  const floor = runningFloor(levels);
  const raw: { start: number; end: number }[] = [];
  let start = -1;
  for (let frame = 0; frame <= levels.length; frame++) {
    const level = frame < levels.length ? (levels[frame] ?? 0) : SILENCE_DECIBELS;
    const base = floor[Math.min(frame, levels.length - 1)] ?? SILENCE_DECIBELS;
    if (start < 0) {
      if (level > Math.max(base + BEGIN_DECIBELS, LEAST_DECIBELS)) start = frame;
    } else if (level < Math.max(base + STAY_DECIBELS, LEAST_DECIBELS - 4)) {
      raw.push({ start: start * FRAME_SECONDS, end: frame * FRAME_SECONDS });
      start = -1;
    }
  }
  const bridged: { start: number; end: number }[] = [];
  for (const piece of raw) {
    const last = bridged.at(-1);
    if (last && piece.start - last.end < BRIDGED_SECONDS) last.end = piece.end;
    else bridged.push({ ...piece });
  }
  return bridged
    .filter((piece) => piece.end - piece.start >= SHORTEST_SPEECH_SECONDS)
    .map((piece) => ({ startSeconds: wholeMilliseconds(piece.start), endSeconds: wholeMilliseconds(piece.end) }));
}

/** A running tenth percentile, from a histogram of whole decibels that slides along; O(n). */
function runningFloor(levels: Float32Array): Float32Array {
  const half = Math.round(FLOOR_WINDOW_SECONDS / FRAME_SECONDS);
  const histogram = new Int32Array(-SILENCE_DECIBELS + 41);
  const bin = (level: number): number =>
    Math.max(0, Math.min(histogram.length - 1, Math.round(level - SILENCE_DECIBELS)));
  const floor = new Float32Array(levels.length);
  let count = 0;
  let added = 0;
  let removed = 0;
  for (let frame = 0; frame < levels.length; frame++) {
    for (; added < Math.min(levels.length, frame + half + 1); added++, count++)
      histogram[bin(levels[added] ?? 0)] = (histogram[bin(levels[added] ?? 0)] ?? 0) + 1;
    for (; removed < frame - half; removed++, count--)
      histogram[bin(levels[removed] ?? 0)] = (histogram[bin(levels[removed] ?? 0)] ?? 0) - 1;
    let seen = 0;
    let at = 0;
    while (at < histogram.length - 1 && seen + (histogram[at] ?? 0) <= count * FLOOR_SHARE)
      seen += histogram[at++] ?? 0;
    floor[frame] = at + SILENCE_DECIBELS;
  }
  return floor;
}
