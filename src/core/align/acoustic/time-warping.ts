import { COEFFICIENTS } from '@/core/signal';

/*
 * One sound warped on another in time (dynamic time warping; Sakoe and Chiba 1978, from memory). A shape is a sound's
 * frames, `ORDERS` numbers each, one after the other.
 */

/** The level is left out: it says nothing about the words. */
export const ORDERS = COEFFICIENTS - 1;
/** Off the straight path by this share of the longer one, and by these frames at least. */
const BAND_SHARE = 0.18;
const BAND_LEAST = 3;

/** Pairs of frames along the cheapest warp, by turns: of `a`, of `b`. */
export function warpPath(a: Float32Array, b: Float32Array): Int32Array {
  const rows = a.length / ORDERS;
  const columns = b.length / ORDERS;
  const width = columns + 1;
  const costs = new Float32Array((rows + 1) * width).fill(Infinity);
  costs[0] = 0;
  for (let row = 0; row < rows; row++) {
    const { from, to } = bandOf(row, rows, columns);
    for (let column = from; column <= to; column++) {
      const apart = between(a, row, b, column);
      const at = row * width + column;
      costs[at + width + 1] = Math.min(
        (costs[at] ?? 0) + 2 * apart,
        (costs[at + 1] ?? 0) + apart,
        (costs[at + width] ?? 0) + apart,
      );
    }
  }
  const path: number[] = [];
  for (let row = rows, column = columns; row > 0 && column > 0;) {
    path.push(row - 1, column - 1);
    const at = (row - 1) * width + column - 1;
    const [across, up, left] = [costs[at] ?? 0, costs[at + 1] ?? 0, costs[at + width] ?? 0];
    if (across <= up && across <= left) [row, column] = [row - 1, column - 1];
    else if (up <= left) row--;
    else column--;
  }
  return Int32Array.from(path);
}

function bandOf(row: number, rows: number, columns: number): { readonly from: number; readonly to: number } {
  const band = Math.max(BAND_LEAST, BAND_SHARE * Math.max(rows, columns));
  const centre = (row * columns) / rows;
  return { from: Math.max(0, Math.floor(centre - band)), to: Math.min(columns - 1, Math.ceil(centre + band)) };
}

function between(a: Float32Array, row: number, b: Float32Array, column: number): number {
  let sum = 0;
  for (let order = 0, at = row * ORDERS, other = column * ORDERS; order < ORDERS; order++) {
    const off = (a[at++] ?? 0) - (b[other++] ?? 0);
    sum += off * off;
  }
  return Math.sqrt(sum);
}

/** The mean distance along the cheapest warp of one shape on the other. */
export function warpDistance(a: Float32Array, b: Float32Array): number {
  const rows = a.length / ORDERS;
  const columns = b.length / ORDERS;
  let before = new Float32Array(columns + 1).fill(Infinity);
  let now = new Float32Array(columns + 1).fill(Infinity);
  before[0] = 0;
  for (let row = 0; row < rows; row++) {
    const { from, to } = bandOf(row, rows, columns);
    now.fill(Infinity, from, Math.min(columns, to + 1) + 1);
    for (let column = from; column <= to; column++) {
      const apart = between(a, row, b, column);
      now[column + 1] = Math.min(
        (before[column] ?? 0) + 2 * apart,
        (before[column + 1] ?? 0) + apart,
        (now[column] ?? 0) + apart,
      );
    }
    [before, now] = [now, before];
  }
  return (before[columns] ?? 0) / (rows + columns);
}
