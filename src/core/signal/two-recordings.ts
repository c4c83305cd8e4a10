import FFT from 'fft.js';
import { itemAt, median, type Seconds } from '@/core/units';
import { TRACE_SECONDS } from './sound-trace';

/** How one recording lies against another of the same class. */
export interface RecordingsMatch {
  /** When the second begins on the clock of the first; below 0 where it began before it. */
  readonly offsetSeconds: Seconds;
  /** How much longer a second of the second is on the clock of the first, in millionths. */
  readonly driftPpm: number;
  /** Share of the places compared that agree with the two, 0 to 1: below a half they are not of one class. */
  readonly confidence: number;
}

/** The whole is compared on a trace this much coarser, the places on the fine one. */
const COARSE = 4;
/** Of the second recording, the stretch that is looked for in the first. */
const LOOKED_FOR: Seconds = 15 * 60;
/** Places of this length, so far apart, each found within so much of where it is expected. */
const PLACE: Seconds = 12;
const APART: Seconds = 20;
const WITHIN: Seconds = 0.6;
/** A place agrees when it lies this near the line. */
const AGREES: Seconds = 0.012;
/** Clocks of recorders differ by less than this. */
const MOST_PPM = 500;
const FEWEST_PLACES = 3;

/**
 * Finds offset and clock drift between two recordings of one class by cross-correlation of their traces (see
 * `SoundTrace`): first of a stretch as a whole, then place by place, and a line through the places by the middle of
 * their slopes (Theil 1950, Sen 1968). `null` where they are too short to be compared.
 */
export function matchRecordings(first: Int16Array, second: Int16Array): RecordingsMatch | null {
  const coarse = coarseOffset(coarser(first), coarser(second));
  if (coarse === null) return null;
  const places: { readonly at: Seconds; readonly offset: Seconds }[] = [];
  const length = Math.round(PLACE / TRACE_SECONDS);
  let expected = coarse;
  const from = Math.max(0, -coarse);
  const until = Math.min(second.length * TRACE_SECONDS, first.length * TRACE_SECONDS - coarse) - PLACE;
  for (let at = from; at <= until; at += APART) {
    const start = Math.round(at / TRACE_SECONDS);
    const found = localOffset(first, second, start, length, expected);
    if (found === null) continue;
    places.push({ at: at + PLACE / 2, offset: found });
    // The clocks drift apart slowly: the next place is looked for where the last ones were.
    expected = median(places.slice(-5).map(({ offset }) => offset));
  }
  if (places.length < FEWEST_PLACES) return { offsetSeconds: coarse, driftPpm: 0, confidence: 0 };
  const slope = middleSlope(places);
  const offset = median(places.map((place) => place.offset - slope * place.at));
  const agreeing = places.filter((place) => Math.abs(place.offset - offset - slope * place.at) < AGREES).length;
  const believed = Math.abs(slope) * 1e6 <= MOST_PPM;
  return {
    offsetSeconds: Math.round(offset * 1000) / 1000,
    driftPpm: Math.round(slope * 1e7) / 10,
    confidence: believed ? agreeing / places.length : 0,
  };
}

/** The time on the first recording's clock at a time of the second. */
export function onFirstClock({ offsetSeconds, driftPpm }: RecordingsMatch, seconds: Seconds): Seconds {
  return offsetSeconds + seconds * (1 + driftPpm / 1e6);
}

function coarser(trace: Int16Array): Float64Array {
  const out = new Float64Array(Math.floor(trace.length / COARSE));
  for (let at = 0; at < out.length; at++)
    for (let step = 0; step < COARSE; step++) out[at] = (out[at] ?? 0) + Math.min(100, trace[at * COARSE + step] ?? 0);
  return withoutMean(out);
}

function withoutMean(values: Float64Array): Float64Array {
  const mean = values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);
  return values.map((value) => value - mean);
}

/** Where the middle of the second recording lies in the first, and so where it begins. */
function coarseOffset(first: Float64Array, second: Float64Array): Seconds | null {
  const step = COARSE * TRACE_SECONDS;
  if (first.length * step < PLACE || second.length * step < PLACE) return null;
  const count = Math.min(second.length, Math.round(LOOKED_FOR / step));
  const from = Math.floor((second.length - count) / 2);
  let size = 2;
  while (size < first.length + count) size *= 2;
  const fft = new FFT(size);
  const spectrum = (values: Float64Array): number[] => {
    const padded = new Array<number>(size).fill(0);
    for (let at = 0; at < values.length; at++) padded[at] = values[at] ?? 0;
    const out = new Array<number>(2 * size).fill(0);
    fft.realTransform(out, padded);
    fft.completeSpectrum(out);
    return out;
  };
  const a = spectrum(first);
  const b = spectrum(second.subarray(from, from + count));
  const product = new Array<number>(2 * size);
  for (let at = 0; at < 2 * size; at += 2) {
    product[at] = (a[at] ?? 0) * (b[at] ?? 0) + (a[at + 1] ?? 0) * (b[at + 1] ?? 0);
    product[at + 1] = (a[at + 1] ?? 0) * (b[at] ?? 0) - (a[at] ?? 0) * (b[at + 1] ?? 0);
  }
  const correlation = new Array<number>(2 * size);
  fft.inverseTransform(correlation, product);
  let best = 0;
  for (let lag = 0; lag < size; lag++) if ((correlation[2 * lag] ?? 0) > (correlation[2 * best] ?? 0)) best = lag;
  const lag = best > size / 2 ? best - size : best;
  return (lag - from) * step;
}

/** The offset at which a place of the second recording is most like the first; `null` where nothing stands out. */
function localOffset(
  first: Int16Array,
  second: Int16Array,
  start: number,
  length: number,
  expected: Seconds,
): Seconds | null {
  const middleLag = Math.round(expected / TRACE_SECONDS);
  const reach = Math.round(WITHIN / TRACE_SECONDS);
  const scores = new Float64Array(2 * reach + 1);
  let mean = 0;
  for (let at = 0; at < length; at++) mean += Math.min(100, second[start + at] ?? 0);
  mean /= length;
  for (let lag = -reach; lag <= reach; lag++) {
    let score = 0;
    const base = start + middleLag + lag;
    for (let at = 0; at < length; at++) {
      const there = first[base + at] ?? 0;
      if (there > 0) score += (Math.min(100, second[start + at] ?? 0) - mean) * Math.min(100, there);
    }
    scores[lag + reach] = score;
  }
  let best = 0;
  for (let at = 1; at < scores.length; at++) if ((scores[at] ?? 0) > (scores[best] ?? 0)) best = at;
  if ((scores[best] ?? 0) <= 0 || best === 0 || best === scores.length - 1) return null;
  const [left, top, right] = [scores[best - 1] ?? 0, scores[best] ?? 0, scores[best + 1] ?? 0];
  const bend = left - 2 * top + right;
  const between = bend < 0 ? (0.5 * (left - right)) / bend : 0;
  return (middleLag + best - reach + between) * TRACE_SECONDS;
}

function middleSlope(places: readonly { readonly at: Seconds; readonly offset: Seconds }[]): number {
  const slopes: number[] = [];
  const apart = Math.max(1, Math.floor(places.length / 3));
  for (let a = 0; a < places.length; a++)
    for (let b = a + apart; b < places.length; b += Math.max(1, Math.floor(places.length / 200)))
      slopes.push(
        (itemAt(places, b).offset - itemAt(places, a).offset) / (itemAt(places, b).at - itemAt(places, a).at),
      );
  return slopes.length > 0 ? median(slopes) : 0;
}
