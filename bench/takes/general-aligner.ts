import { type PracticeTake } from '../../src/core/practice';
import { COEFFICIENTS, joinSamples } from '../../src/core/signal';
import type { HeardVoice } from '../../src/sound/hear-voice';

import type { CueReading } from '../../src/core/reading';

/*
 * The peer: a general forced aligner. The whole text is synthesised and warped on all speech of the take at once, its
 * silences left out as the voice-activity model finds them, in frames of 80 ms, in a band about the straight line; every
 * line is where its synthesised beginning falls. It knows of no skips, ad-libs or paraphrases.
 */

const FRAME = 8;
const ORDERS = COEFFICIENTS - 1;
const BAND_SHARE = 0.15;

/** Where each cue begins in the take, by one warp of all of it. */
export function generalAligner(
  { timeline }: Pick<PracticeTake, 'timeline'>,
  { cepstra, stretches }: HeardVoice,
  texts: ReadonlyMap<string, Float32Array>,
): Pick<CueReading, 'id' | 'actualStart'>[] {
  const said = timeline.cues.map(({ text }) => texts.get(text) ?? new Float32Array(0));
  const starts: number[] = [];
  let length = 0;
  for (const one of said) {
    starts.push(length / COEFFICIENTS / FRAME);
    length += one.length;
  }
  const whole = new Float32Array(length);
  let at = 0;
  for (const one of said) {
    whole.set(one, at);
    at += one.length;
  }
  // Speech only, and where each of its frames is in the take.
  const pieces: Float32Array[] = [];
  const times: number[] = [];
  for (const { startSeconds, endSeconds } of stretches) {
    const shape = coarse(
      cepstra.subarray(Math.round(startSeconds * 100) * COEFFICIENTS, Math.round(endSeconds * 100) * COEFFICIENTS),
    );
    pieces.push(shape);
    for (let frame = 0; frame < shape.length / ORDERS; frame++) times.push(startSeconds + (frame * FRAME) / 100);
  }
  const places = warp(scaled(coarse(whole)), scaled(joinSamples(pieces)));
  return timeline.cues.map(({ id }, index) => ({
    id,
    actualStart: times[places[Math.min(places.length - 1, Math.floor(starts[index] ?? 0))] ?? 0] ?? null,
  }));
}

function coarse(cepstra: Float32Array): Float32Array {
  const frames = Math.floor(cepstra.length / COEFFICIENTS / FRAME);
  const out = new Float32Array(frames * ORDERS);
  for (let frame = 0; frame < frames; frame++) {
    for (let order = 0; order < ORDERS; order++) {
      let sum = 0;
      for (let step = 0; step < FRAME; step++) sum += cepstra[(frame * FRAME + step) * COEFFICIENTS + order + 1] ?? 0;
      out[frame * ORDERS + order] = sum / FRAME;
    }
  }
  return out;
}

/** Each order about its mean, by its deviation. */
function scaled(shape: Float32Array): Float32Array {
  const frames = shape.length / ORDERS;
  const out = shape.slice();
  for (let order = 0; order < ORDERS; order++) {
    let sum = 0;
    let squares = 0;
    for (let at = order; at < shape.length; at += ORDERS) {
      sum += shape[at] ?? 0;
      squares += (shape[at] ?? 0) ** 2;
    }
    const mean = sum / frames;
    const deviation = Math.sqrt(Math.max(1e-9, squares / frames - mean ** 2));
    for (let at = order; at < shape.length; at += ORDERS) out[at] = ((shape[at] ?? 0) - mean) / deviation;
  }
  return out;
}

/** For each frame of `a`, the first frame of `b` that it falls on. */
function warp(a: Float32Array, b: Float32Array): Int32Array {
  const [rows, columns] = [a.length / ORDERS, b.length / ORDERS];
  const band = Math.max(20, BAND_SHARE * columns);
  const from = Int32Array.from({ length: rows }, (_, row) => Math.max(0, Math.floor((row * columns) / rows - band)));
  const width = Math.ceil(2 * band) + 2;
  const came = new Uint8Array(rows * width);
  let before = new Float32Array(width).fill(Infinity);
  for (let row = 0; row < rows; row++) {
    const now = new Float32Array(width).fill(Infinity);
    const shift = row > 0 ? (from[row] ?? 0) - (from[row - 1] ?? 0) : 0;
    for (let at = 0; at < width && (from[row] ?? 0) + at < columns; at++) {
      let apart = 0;
      for (let order = 0; order < ORDERS; order++) {
        apart += ((a[row * ORDERS + order] ?? 0) - (b[((from[row] ?? 0) + at) * ORDERS + order] ?? 0)) ** 2;
      }
      apart = Math.sqrt(apart);
      const across = row === 0 ? (at === 0 ? 0 : Infinity) : (before[at + shift - 1] ?? Infinity);
      const up = row === 0 ? Infinity : (before[at + shift] ?? Infinity);
      const left = at > 0 ? (now[at - 1] ?? 0) : Infinity;
      const min = Math.min(across, up, left);
      now[at] = min + apart;
      came[row * width + at] = min === across ? 0 : min === up ? 1 : 2;
    }
    before = now;
  }
  const places = new Int32Array(rows);
  let column = columns - 1;
  for (let row = rows - 1; row >= 0;) {
    places[row] = column;
    const way = came[row * width + Math.min(width - 1, Math.max(0, column - (from[row] ?? 0)))];
    if (way !== 1) column = Math.max(0, column - 1);
    if (way !== 2) row--;
  }
  return places;
}
