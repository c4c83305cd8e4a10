import { itemAt } from '@/core/units';
import { beginning, type Task } from './costs';
import { type SpeechMatch } from '../model';

/*
 * What lies between a match and one that may come before it: cues passed over, stretches that belong to none, and the
 * gap against the planned one. These are compared by the million, so that they stand as numbers side by side.
 */

/** Cues passed over between two matches at most; for more see `farCost`. */
export const CUES_BACK = 8;
/** What stretches passed over between two matches may cost: a long quiet outdoors holds dozens of noises. */
const PASSED_COST = 30;

/** More than sums of costs are off by in floating point. */
const ROUNDING = 1e-6;
/** Ways less likely than the likeliest by this power of e count for nothing. */
export const REACH = 30;

/** The matches that end with one cue, in order of `to`, as numbers side by side. */
export class MatchColumn {
  readonly to: Int32Array;
  readonly lastOnset: Float64Array;
  /** Of leaving out the stretches up to its end. */
  readonly adLibs: Float64Array;
  /** Of the whole way to each. */
  readonly cost: Float64Array;
  /** The least, of each and those before it, of that cost less its ad-libs. */
  private readonly min: Float64Array;

  /** @param first The place of its first match among those of all columns. */
  constructor(
    readonly matches: readonly SpeechMatch[],
    readonly first: number,
    adLibs: Float64Array,
  ) {
    const { length } = matches;
    this.to = new Int32Array(length);
    this.lastOnset = new Float64Array(length);
    this.adLibs = new Float64Array(length);
    this.cost = new Float64Array(length);
    this.min = new Float64Array(length);
    let min = Infinity;
    for (let at = 0; at < length; at++) {
      const { to, lastOnset, cost } = itemAt(matches, at);
      min = Math.min(min, cost - (adLibs[to] ?? 0));
      this.to[at] = to;
      this.lastOnset[at] = lastOnset;
      this.adLibs[at] = adLibs[to] ?? 0;
      this.cost[at] = cost;
      this.min[at] = min;
    }
  }

  /** Whether no match up to a place can lead on for less, whatever the gap. */
  isDearer(at: number, passed: number, cost: number): boolean {
    return (this.min[at] ?? 0) + passed > cost + ROUNDING;
  }

  /** How many of them end at or before a stretch. */
  countUpTo(to: number): number {
    let low = 0;
    let high = this.to.length;
    while (low < high) {
      const middle = (low + high) >>> 1;
      if ((this.to[middle] ?? 0) <= to) low = middle + 1;
      else high = middle;
    }
    return low;
  }
}

/** All ways to each match, by its place among all. */
export interface WaySums {
  /** The logarithm of their sum. */
  readonly forward: Float64Array;
  /** The greatest, of each of its column and those before it, of that with its ad-libs. */
  readonly greatest: Float64Array;
  /** One over the temperature. */
  readonly cold: number;
}

/** How the columns before a cue lead to it; the nearest first. */
interface Approach {
  readonly columns: readonly MatchColumn[];
  /** Planned seconds from the cue of each, at the tempo there. */
  readonly gaps: Float64Array;
  /** By how much each gap may be off at a cost of 1. */
  readonly allowed: Float64Array;
}

/** The ways from match to match of one task; see the head of this file. */
export class Transitions {
  private readonly approaches = new Map<number, Approach>();

  /** @param columns One for each number of cues, as far as they are known yet. */
  constructor(
    private readonly task: Task,
    private readonly columns: readonly MatchColumn[],
    private readonly adLibs: Float64Array,
  ) {}

  /**
   * The cheapest way to a match, its own cost not counted: by a match before it, which it then remembers, or none.
   */
  cheapestTo(match: SpeechMatch): number {
    const { gapAtMost, skip } = this.task.costs;
    const { onset, from } = match;
    const behind = this.adLibs[from] ?? 0;
    const { columns, gaps, allowed } = this.approachTo(match.cueFrom);
    let cost = Infinity;
    for (let back = 0; back < columns.length; back++) {
      const column = itemAt(columns, back);
      const { lastOnset, adLibs: left, cost: costs, matches } = column;
      const [gap, allows, passed] = [gaps[back] ?? 0, allowed[back] ?? 0, skip * back + behind];
      for (let at = column.countUpTo(from) - 1; at >= 0; at--) {
        if (behind - (left[at] ?? 0) > PASSED_COST || column.isDearer(at, passed, cost)) break;
        const stray = Math.abs(onset - (lastOnset[at] ?? 0) - gap) / allows;
        const whole = (costs[at] ?? 0) + (passed - (left[at] ?? 0) + Math.min(gapAtMost, stray));
        if (whole >= cost) continue;
        cost = whole;
        match.before = itemAt(matches, at);
      }
    }
    if (match.far && match.far.before.cost + match.far.cost < cost) {
      cost = match.far.before.cost + match.far.cost;
      match.before = match.far.before;
    }
    // With none before it, what was said until then is left over at least.
    if (cost < behind) return cost;
    const begun = beginning(this.task, match, this.adLibs);
    if (begun > cost) return cost;
    match.before = null;
    return begun;
  }

  /**
   * Writes the place of each match that may come before one among all matches, and the logarithm of all ways by it to
   * the one, where that is within reach of `least` and of the greatest of them; gives how many. `places` and `logs` are
   * longer than there are matches.
   */
  waysBefore(match: SpeechMatch, ways: WaySums, least: number, places: Int32Array, logs: Float64Array): number {
    const { gapAtMost, skip } = this.task.costs;
    const { forward, greatest, cold } = ways;
    const { onset, from } = match;
    const behind = this.adLibs[from] ?? 0;
    const { columns, gaps, allowed } = this.approachTo(match.cueFrom);
    let found = 0;
    let floor = least;
    for (let back = 0; back < columns.length; back++) {
      const column = itemAt(columns, back);
      const { lastOnset, adLibs: left, first } = column;
      const [gap, allows, passed] = [gaps[back] ?? 0, allowed[back] ?? 0, skip * back + behind];
      for (let at = column.countUpTo(from) - 1; at >= 0; at--) {
        if (behind - (left[at] ?? 0) > PASSED_COST) break;
        if ((greatest[first + at] ?? 0) - cold * passed < floor - ROUNDING) break;
        const stray = Math.abs(onset - (lastOnset[at] ?? 0) - gap) / allows;
        const log = (forward[first + at] ?? 0) - cold * (passed - (left[at] ?? 0) + Math.min(gapAtMost, stray));
        if (log <= floor) continue;
        places[found] = first + at;
        logs[found++] = log;
        floor = Math.max(floor, log - REACH);
      }
    }
    if (match.far) {
      const { first, matches } = itemAt(this.columns, match.far.before.cueTo);
      places[found] = first + matches.indexOf(match.far.before);
      logs[found] = (forward[places[found] ?? 0] ?? 0) - cold * match.far.cost;
      if ((logs[found] ?? 0) > floor) found++;
    }
    return found;
  }

  private approachTo(cueFrom: number): Approach {
    let approach = this.approaches.get(cueFrom);
    if (!approach) {
      const { cues, costs, tempo } = this.task;
      const first = itemAt(cues, cueFrom);
      const slow = tempo(first.startSeconds);
      const near = Math.min(cueFrom, CUES_BACK + 1);
      const columns = this.columns.slice(cueFrom + 1 - near, cueFrom + 1).reverse();
      const gaps = new Float64Array(near);
      const allowed = new Float64Array(near);
      for (let back = 0; back < near; back++) {
        const gap = (first.startSeconds - itemAt(cues, cueFrom - back - 1).startSeconds) * slow;
        gaps[back] = gap;
        allowed[back] = costs.gapSeconds + costs.gapShare * gap;
      }
      approach = { columns, gaps, allowed };
      this.approaches.set(cueFrom, approach);
    }
    return approach;
  }
}
