import { CEPSTRA_SECONDS, COEFFICIENTS } from '@/core/signal';
import type { Interval } from '@/core/units';

/*
 * How a stretch of sound is like a text: the text is said by a plain synthetic voice, and the two are compared by
 * their cepstra under a time warp (dynamic time warping; Sakoe and Chiba 1978, from memory). What counts is not how
 * near a text is, but how much nearer than the other texts of the class.
 */

/** The level is left out: it says nothing about the words. */
const ORDERS = COEFFICIENTS - 1;
/** Frames are taken two by two: one every 20 ms. */
const STRIDE = 2;
/** A stretch is compared with texts of a length between these shares of its own. */
const LENGTHS = { least: 0.45, most: 2 };
/** Off the straight path by this share of the longer one, and by these frames at least. */
const BAND_SHARE = 0.25;
const BAND_LEAST = 6;
/** One unit of unlikeness is this share of the middle distance. */
const UNIT = 0.06;

/** Cepstra of something said, `COEFFICIENTS` for each 10 ms. */
export type SaidCepstra = Float32Array;

/**
 * How unlike a text the stretches `[from, to)` of speech are: 0 for one as near as the middle of the class's texts,
 * about -3 for the right one in quiet, `null` where the lengths rule it out.
 */
export type Likeness = (from: number, to: number, text: string) => number | null;

/** Compares a take's speech with the texts of its class. Works distances out when they are first asked for. */
export function likenessOf(
  cepstra: Float32Array,
  speech: readonly Interval[],
  texts: ReadonlyMap<string, SaidCepstra>,
): Likeness {
  if (texts.size === 0 || speech.length === 0) return () => null;
  const models = shapesOf([...texts.values()]);
  const place = new Map([...texts.keys()].map((text, index) => [text, index]));
  const frames = cepstra.length / COEFFICIENTS;
  const ranges = speech.map(({ startSeconds, endSeconds }): [number, number] => [
    Math.min(frames, Math.round(startSeconds / CEPSTRA_SECONDS)),
    Math.min(frames, Math.round(endSeconds / CEPSTRA_SECONDS)),
  ]);
  const scale = scaleOf(ranges.map(([from, to]) => cepstra.subarray(from * COEFFICIENTS, to * COEFFICIENTS)));
  const known = new Map<number, Float32Array>();
  const judged = (from: number, to: number): Float32Array => {
    const key = from * 64 + (to - from);
    let found = known.get(key);
    if (!found) {
      const sound = cepstra.subarray(ranges[from][0] * COEFFICIENTS, ranges[to - 1][1] * COEFFICIENTS);
      found = unlikeness(shapeOf(sound, scale), models);
      known.set(key, found);
    }
    return found;
  };
  return (from, to, text) => {
    const index = place.get(text);
    if (index === undefined) return null;
    const value = judged(from, to)[index];
    return Number.isNaN(value) ? null : value;
  };
}

function unlikeness(shape: Float32Array, models: readonly Float32Array[]): Float32Array {
  const found = new Float32Array(models.length).fill(NaN);
  const distances: number[] = [];
  models.forEach((model, index) => {
    if (model.length < shape.length * LENGTHS.least || model.length > shape.length * LENGTHS.most) return;
    found[index] = distance(shape, model);
    distances.push(found[index]);
  });
  if (distances.length === 0) return found;
  const middle = distances.sort((a, b) => a - b)[Math.floor(distances.length / 2)];
  return found.map((one) => (one - middle) / (UNIT * middle));
}

interface Scale {
  readonly mean: Float32Array;
  readonly deviation: Float32Array;
}

/** Mean and deviation of each order over all frames, so that room and microphone fall out. */
function scaleOf(sounds: readonly Float32Array[]): Scale {
  const mean = new Float32Array(ORDERS);
  const deviation = new Float32Array(ORDERS);
  let count = 0;
  for (const sound of sounds) {
    for (let at = 0; at < sound.length; at += COEFFICIENTS, count++) {
      for (let order = 0; order < ORDERS; order++) {
        const value = sound[at + order + 1];
        mean[order] += value;
        deviation[order] += value * value;
      }
    }
  }
  for (let order = 0; order < ORDERS; order++) {
    mean[order] /= Math.max(1, count);
    deviation[order] = Math.sqrt(Math.max(1e-6, deviation[order] / Math.max(1, count) - mean[order] ** 2));
  }
  return { mean, deviation };
}

function shapesOf(sounds: readonly SaidCepstra[]): Float32Array[] {
  const scale = scaleOf(sounds);
  return sounds.map((sound) => shapeOf(sound, scale));
}

/** Frames of 20 ms, scaled, one after the other. */
function shapeOf(sound: Float32Array, { mean, deviation }: Scale): Float32Array {
  const frames = sound.length / COEFFICIENTS;
  const count = Math.max(1, Math.floor(frames / STRIDE));
  const shape = new Float32Array(count * ORDERS);
  for (let frame = 0; frame < count; frame++) {
    const first = Math.min(frames - 1, frame * STRIDE) * COEFFICIENTS;
    const second = Math.min(frames - 1, frame * STRIDE + 1) * COEFFICIENTS;
    for (let order = 0; order < ORDERS; order++) {
      const value = ((sound[first + order + 1] || 0) + (sound[second + order + 1] || 0)) / 2;
      shape[frame * ORDERS + order] = (value - mean[order]) / deviation[order];
    }
  }
  return shape;
}

/** The mean distance along the cheapest warp of one shape on the other. */
function distance(a: Float32Array, b: Float32Array): number {
  const rows = a.length / ORDERS;
  const columns = b.length / ORDERS;
  const band = Math.max(BAND_LEAST, BAND_SHARE * Math.max(rows, columns));
  let before = new Float32Array(columns + 1).fill(Infinity);
  let now = new Float32Array(columns + 1).fill(Infinity);
  before[0] = 0;
  for (let row = 0; row < rows; row++) {
    const centre = (row * columns) / rows;
    const from = Math.max(0, Math.floor(centre - band));
    const to = Math.min(columns - 1, Math.ceil(centre + band));
    now.fill(Infinity, from, Math.min(columns, to + 1) + 1);
    for (let column = from; column <= to; column++) {
      let sum = 0;
      for (let order = 0; order < ORDERS; order++) {
        const off = a[row * ORDERS + order] - b[column * ORDERS + order];
        sum += off * off;
      }
      const apart = Math.sqrt(sum);
      now[column + 1] = Math.min(before[column] + 2 * apart, before[column + 1] + apart, now[column] + apart);
    }
    [before, now] = [now, before];
  }
  return before[columns] / (rows + columns);
}
