import { itemAt } from '@/core/units';
/*
 * One voice seen as another: an affine map of one's cepstra on the other's, learned by least squares from frames that
 * were warped on each other. It takes in the length of the vocal tract, the habits of a synthesiser and the colour of
 * the room (after Leggetter and Woodland 1995, from memory, but mapping what is heard and not a model).
 */

/** Pulls the map towards leaving everything as it is, as a share of the frames. */
const PULL = 0.05;
/** With fewer pairs of frames nothing is learned: about twenty seconds of speech. */
const FRAMES_AT_LEAST = 350;

/** Maps frames of so many orders, one after the other. */
export interface SpeakerAdaptation {
  apply(shape: Float32Array): Float32Array;
}

export const NO_ADAPTATION: SpeakerAdaptation = { apply: (shape) => shape };

export class AdaptationLearner {
  private readonly width: number;
  /** Sums of products of what is heard, with a one at its end, by itself and by what it should be. */
  private readonly own: Float64Array;
  private readonly other: Float64Array;
  private frames = 0;

  constructor(private readonly orders: number) {
    this.width = orders + 1;
    this.own = new Float64Array(this.width * this.width);
    this.other = new Float64Array(this.width * orders);
  }

  /** Something heard, what it should be, and the pairs of frames (of one, of the other) that belong together. */
  add(heard: Float32Array, wanted: Float32Array, pairs: Int32Array): void {
    const { orders, width } = this;
    const frame = new Float64Array(width).fill(1);
    for (let pair = 0; pair < pairs.length; pair += 2) {
      const from = (pairs[pair] ?? 0) * orders;
      const to = (pairs[pair + 1] ?? 0) * orders;
      for (let order = 0; order < orders; order++) frame[order] = heard[from + order] ?? 0;
      for (let row = 0; row < width; row++) {
        for (let column = 0; column < width; column++)
          this.own[row * width + column] =
            (this.own[row * width + column] ?? 0) + (frame[row] ?? 0) * (frame[column] ?? 0);
        for (let order = 0; order < orders; order++)
          this.other[row * orders + order] =
            (this.other[row * orders + order] ?? 0) + (frame[row] ?? 0) * (wanted[to + order] ?? 0);
      }
      this.frames++;
    }
  }

  /**
   * The map that was learned; `null` where too little was heard. Each order of what it gives varies by one, so that
   * least squares, which draw everything to the middle, do not make all texts alike.
   */
  map(): SpeakerAdaptation | null {
    const { orders, width, frames } = this;
    if (frames < FRAMES_AT_LEAST) return null;
    const own = Array.from({ length: width }, (_, row) => {
      const line = [
        ...this.own.subarray(row * width, (row + 1) * width),
        ...this.other.subarray(row * orders, (row + 1) * orders),
      ];
      if (row < orders) {
        line[row] = (line[row] ?? 0) + PULL * frames;
        line[width + row] = (line[width + row] ?? 0) + PULL * frames;
      }
      return line;
    });
    const solved = solve(own, width);
    if (!solved) return null;
    const gains = Float64Array.from({ length: orders }, (_, order) => {
      let power = 0;
      for (let row = 0; row < width; row++) {
        for (let column = 0; column < width; column++) {
          power +=
            (itemAt(solved, row)[order] ?? 0) *
            (itemAt(solved, column)[order] ?? 0) *
            (this.own[row * width + column] ?? 0);
        }
      }
      return power > 0 ? Math.sqrt(frames / power) : 1;
    });
    const weights = Float64Array.from({ length: width * orders }, (_, at) => {
      return (itemAt(solved, Math.floor(at / orders))[at % orders] ?? 0) * (gains[at % orders] ?? 0);
    });
    return { apply: (shape) => mapped(shape, weights, orders) };
  }
}

function mapped(shape: Float32Array, weights: Float64Array, orders: number): Float32Array {
  const out = new Float32Array(shape.length);
  for (let from = 0; from < shape.length; from += orders) {
    for (let order = 0; order < orders; order++) {
      let sum = weights[orders * orders + order] ?? 0;
      for (let row = 0; row < orders; row++) sum += (weights[row * orders + order] ?? 0) * (shape[from + row] ?? 0);
      out[from + order] = sum;
    }
  }
  return out;
}

/** Solves linear equations by Gauss and Jordan with pivots: rows of `width` coefficients and any right sides behind them. */
function solve(rows: number[][], width: number): number[][] | null {
  for (let at = 0; at < width; at++) {
    let best = at;
    for (let row = at + 1; row < width; row++)
      if (Math.abs(itemAt(rows, row)[at] ?? 0) > Math.abs(itemAt(rows, best)[at] ?? 0)) best = row;
    const pivot = itemAt(rows, best);
    if (Math.abs(pivot[at] ?? 0) < 1e-9) return null;
    [rows[at], rows[best]] = [pivot, itemAt(rows, at)];
    for (const row of rows.slice(0, width)) {
      if (row === pivot) continue;
      const share = (row[at] ?? 0) / (pivot[at] ?? 0);
      for (let column = at; column < row.length; column++)
        row[column] = (row[column] ?? 0) - share * (pivot[column] ?? 0);
    }
  }
  return rows.map((row, at) => row.slice(width).map((value) => value / (row[at] ?? 0)));
}
