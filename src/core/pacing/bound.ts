import { itemAt } from '@/core/units';
import { ChoiceBuffer, writeChoices } from './choices';
import type { ElasticItem, FitProblem, Item } from './model';

/** What the relaxed problem at one breath length tells: no choice of whole rounds can cost less than `cost`. */
export interface Bound {
  /** Index of the breath in the problem. */
  readonly at: number;
  readonly cost: number;
  /** Billionths a millisecond of runtime: what a little more length would cost. */
  readonly multiplier: number;
}

/** How far the elastic parts of an item can shift it from its preferred length, and at what cost: convex corners. */
export interface Corners {
  readonly offsets: readonly number[];
  readonly costs: readonly number[];
}

/** The corners of several elastic parts taken together, from all at their least to all at their most. */
export function cornersOf(elastic: readonly ElasticItem[]): Corners {
  const dearestFirst = [...elastic].sort((a, b) => b.costPerMillisecond - a.costPerMillisecond);
  let offset = elastic.reduce((total, item) => total - (item.preferred - item.min), 0);
  let cost = elastic.reduce((total, item) => total + (item.preferred - item.min) * item.costPerMillisecond, 0);
  const offsets = [offset];
  const costs = [cost];
  const go = (length: number, slope: number): void => {
    if (length <= 0) return;
    offset += length;
    cost += length * slope;
    offsets.push(offset);
    costs.push(cost);
  };
  for (const item of dearestFirst) go(item.preferred - item.min, -item.costPerMillisecond);
  for (const item of dearestFirst.reverse()) go(item.max - item.preferred, item.costPerMillisecond);
  return { offsets, costs };
}

/** A growing list of straight pieces, used again for every breath length. */
class Pieces {
  size = 0;
  slopes = new Float64Array(1024);
  lengths = new Float64Array(1024);
  private order = new Uint32Array(1024);
  /** How many pieces the present order was made for. */
  private known = -1;

  push(slope: number, length: number): void {
    if (length <= 0) return;
    if (this.size === this.slopes.length) this.grow();
    this.slopes[this.size] = slope;
    this.lengths[this.size] = length;
    this.size++;
  }

  /** Indexes from the least slope to the greatest; the last order is the start of the next sort. */
  sorted(): Uint32Array {
    const { slopes, size, order } = this;
    if (this.known !== size) {
      for (let at = 0; at < size; at++) order[at] = at;
      order.subarray(0, size).sort((a, b) => (slopes[a] ?? 0) - (slopes[b] ?? 0));
      this.known = size;
      return order;
    }
    for (let at = 1; at < size; at++) {
      const moved = order[at] ?? 0;
      const slope = slopes[moved] ?? 0;
      let to = at - 1;
      while (to >= 0 && (slopes[order[to] ?? 0] ?? 0) > slope) {
        order[to + 1] = order[to] ?? 0;
        to--;
      }
      order[to + 1] = moved;
    }
    return order;
  }

  private grow(): void {
    const next = this.slopes.length * 2;
    const copy = (from: Float64Array): Float64Array<ArrayBuffer> => {
      const larger = new Float64Array(next);
      larger.set(from);
      return larger;
    };
    this.slopes = copy(this.slopes);
    this.lengths = copy(this.lengths);
    this.order = new Uint32Array(next);
    this.known = -1;
  }
}

/** Works out the bounds of one problem; keeps its buffers between breath lengths. */
export class Bounding {
  private readonly buffer = new ChoiceBuffer();
  private readonly pieces = new Pieces();
  private readonly corners: readonly (Corners | null)[];
  private readonly hullLengths: Float64Array;
  private readonly hullCosts: Float64Array;
  private hullSize = 0;
  /** The dearest choice of each item seen so far. */
  private readonly dearest: Float64Array;

  constructor(private readonly problem: FitProblem) {
    this.corners = problem.items.map((item) => (item.elastic.length > 0 ? cornersOf(item.elastic) : null));
    const max = Math.max(1, ...this.corners.map((corners) => corners?.offsets.length ?? 1));
    this.hullLengths = new Float64Array(this.buffer.costs.length * max);
    this.hullCosts = new Float64Array(this.buffer.costs.length * max);
    this.dearest = new Float64Array(problem.items.length);
  }

  cornersAt(item: number): Corners | null {
    return itemAt(this.corners, item);
  }

  /**
   * The bound at breath `at`, `null` when no lengths there can reach the target. All pieces of the lower hulls of
   * the items, the two slopes of what stretches and the free time around the target are laid end to end from the
   * cheapest.
   */
  at(at: number): Bound | null {
    const { problem, pieces } = this;
    pieces.size = 0;
    pieces.push(0, 2 * problem.tolerance);
    let shortest = problem.fixed - problem.tolerance;
    let cost = itemAt(problem.breaths, at).cost;
    problem.items.forEach((item, index) => {
      const points = this.hull(item, index, at);
      shortest += this.hullLengths[0] ?? 0;
      cost += this.hullCosts[0] ?? 0;
      for (let point = 1; point < points; point++) {
        const length = (this.hullLengths[point] ?? 0) - (this.hullLengths[point - 1] ?? 0);
        pieces.push(((this.hullCosts[point] ?? 0) - (this.hullCosts[point - 1] ?? 0)) / length, length);
      }
    });
    for (const item of problem.elastic) {
      shortest += item.min;
      cost += item.costPerMillisecond * (item.preferred - item.min);
      pieces.push(-item.costPerMillisecond, item.preferred - item.min);
      pieces.push(item.costPerMillisecond, item.max - item.preferred);
    }
    return this.fill(at, cost, problem.target - shortest);
  }

  private fill(at: number, min: number, length: number): Bound | null {
    if (length < 0) return null;
    const { pieces } = this;
    const order = pieces.sorted();
    let cost = min;
    let needed = length;
    let multiplier = pieces.size > 0 ? (pieces.slopes[order[0] ?? 0] ?? 0) : 0;
    for (let piece = 0; piece < pieces.size && needed > 0; piece++) {
      const taken = Math.min(needed, pieces.lengths[order[piece] ?? 0] ?? 0);
      multiplier = pieces.slopes[order[piece] ?? 0] ?? 0;
      cost += taken * multiplier;
      needed -= taken;
    }
    return needed > 0 ? null : { at, cost, multiplier };
  }

  /** Lower hull of the (length, cost) points of an item, into the buffers; how many points it has. */
  private hull(item: Item, index: number, at: number): number {
    const { buffer } = this;
    writeChoices(item, at, this.problem.weights, buffer);
    const corners = itemAt(this.corners, index);
    let dearest = this.dearest[index] ?? 0;
    this.hullSize = 0;
    if (corners === null) {
      for (let choice = 0; choice < buffer.size; choice++) {
        const cost = buffer.costs[choice] ?? 0;
        if (cost > dearest) dearest = cost;
        this.addPoint(buffer.milliseconds[choice] ?? 0, cost);
      }
    } else {
      for (const [length, cost] of spread(buffer, corners)) {
        if (cost > dearest) dearest = cost;
        this.addPoint(length, cost);
      }
    }
    this.dearest[index] = dearest;
    return this.hullSize;
  }

  /** Points come by length; where two have the same length the cheaper one stays. */
  private addPoint(length: number, cost: number): void {
    const { hullLengths, hullCosts } = this;
    let size = this.hullSize;
    while (size > 0 && (hullLengths[size - 1] ?? 0) >= length) {
      if ((hullCosts[size - 1] ?? 0) <= cost && hullLengths[size - 1] === length) return;
      size--;
    }
    while (size >= 2) {
      const back = (hullLengths[size - 1] ?? 0) - (hullLengths[size - 2] ?? 0);
      const rise = ((hullCosts[size - 1] ?? 0) - (hullCosts[size - 2] ?? 0)) / back;
      if (rise < (cost - (hullCosts[size - 2] ?? 0)) / (length - (hullLengths[size - 2] ?? 0))) break;
      size--;
    }
    hullLengths[size] = length;
    hullCosts[size] = cost;
    this.hullSize = size + 1;
  }

  /** More than any choice can cost at the breath lengths looked at. */
  costOfEverything(): number {
    const { items, elastic, breaths } = this.problem;
    const chosen = items.reduce((total, _, index) => total + (this.dearest[index] ?? 0), 0);
    const stretched = elastic.reduce((total, item) => total + item.costPerMillisecond * (item.max - item.min), 0);
    return chosen + stretched + Math.max(...breaths.map((breath) => breath.cost)) + 1;
  }
}

/** Every choice at every corner of its elastic parts, by length. */
function spread(buffer: ChoiceBuffer, corners: Corners): [number, number][] {
  const points: [number, number][] = [];
  for (let choice = 0; choice < buffer.size; choice++) {
    if (choice === buffer.out) {
      points.push([buffer.milliseconds[choice] ?? 0, buffer.costs[choice] ?? 0]);
      continue;
    }
    corners.offsets.forEach((offset, at) => {
      points.push([
        (buffer.milliseconds[choice] ?? 0) + offset,
        (buffer.costs[choice] ?? 0) + (corners.costs[at] ?? 0),
      ]);
    });
  }
  return points.sort((a, b) => a[0] - b[0] || a[1] - b[1]);
}
