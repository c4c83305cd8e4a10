import { itemAt } from '@/core/units';
import type { Bound, Bounding } from './bound';
import { ChoiceBuffer, writeChoices } from './choices';
import { byOrder } from './collect';
import type { ElasticItem, FitProblem } from './model';
import { tailCost } from './tail';

/** What is taken for one item. */
export interface Pick {
  readonly rounds: number;
  readonly out: boolean;
}

/** A full choice at one breath length. */
export interface Choice {
  /** Opening breath in tenths of a second. */
  readonly tenths: number;
  /** Index of that breath in the problem. */
  readonly at: number;
  /** In billionths, exact. */
  readonly cost: number;
  /** What is taken for each item, in the problem's order. */
  readonly picks: readonly Pick[];
  /** Milliseconds that what stretches and the tolerance have to take up: target less all at its preference. */
  readonly remainder: number;
  /** What there is to stretch with these picks, in the order of the class. */
  readonly elastic: readonly ElasticItem[];
}

interface Candidate extends Pick {
  readonly milliseconds: number;
  readonly cost: number;
  /** What it costs beyond the cheapest of its item at the bound's multiplier; never negative. */
  readonly extra: number;
  /** Set where it brings parts of its own that stretch. */
  readonly bit: number;
}

interface Label {
  readonly milliseconds: number;
  readonly cost: number;
  readonly extra: number;
  readonly mask: number;
  readonly picked: Candidate | null;
  readonly from: Label | null;
}

/** How far a search went. */
export interface SearchEffort {
  labels: number;
  /** Whether labels were given up, so that a better choice could have been missed. */
  cut: boolean;
}

/** Labels kept after one item at most; past it the dearest are given up and the answer is no longer proven. */
const LABELS_AT_MOST = 60_000;
/** Items with parts that stretch that may be left open at once; past it the search is no longer proven. */
const BITS_AT_MOST = 20;
/** Billionths that floating point may be off by in the extra costs; far below the smallest difference of costs. */
const SLACK = 2;

interface Opened {
  readonly index: number;
  readonly candidates: readonly Candidate[];
}

/**
 * The cheapest choice at one breath length that costs at most `cutoff`; `null` when there is none. Choices that
 * cannot be part of one go first; what remains is tried in full, keyed by milliseconds and by which stretching parts
 * are there, with the cheapest kept. Yields now and then, so that it can be given up.
 */
export function* searchBreath(
  problem: FitProblem,
  bounding: Bounding,
  bound: Bound,
  cutoff: number,
  effort: SearchEffort,
): Generator<void, Choice | null> {
  const room = cutoff - bound.cost + SLACK;
  const breath = itemAt(problem.breaths, bound.at);
  let fixed = problem.fixed;
  let fixedCost = breath.cost;
  const always: ElasticItem[] = [...problem.elastic];
  const open: Opened[] = [];
  const bits: (readonly ElasticItem[])[] = [];
  const picks = new Array<Pick>(problem.items.length);
  for (let index = 0; index < problem.items.length; index++) {
    const { elastic } = itemAt(problem.items, index);
    const mayBit = bits.length < BITS_AT_MOST;
    const found = candidatesOf(problem, bounding, index, bound, room, elastic.length > 0 && mayBit ? bits.length : -1);
    const stretching = elastic.length > 0 && found.some((one) => !one.out);
    const undecided = stretching && found.some((one) => one.out);
    const candidates = undecided && !mayBit ? found.filter((one) => !one.out) : found;
    if (undecided && mayBit) bits.push(elastic);
    else if (stretching) always.push(...elastic);
    if (undecided && !mayBit) effort.cut = true;
    if (candidates.length === 1) {
      fixed += itemAt(candidates, 0).milliseconds;
      fixedCost += itemAt(candidates, 0).cost;
      picks[index] = itemAt(candidates, 0);
    } else open.push({ index, candidates: undecided ? candidates : candidates.map((one) => ({ ...one, bit: 0 })) });
  }
  const finals = yield* growLabels(open, bits.length, fixed, fixedCost, room, effort);
  const best = cheapestEnd(problem, finals, new Stretches(always, bits), cutoff);
  if (best === null) return null;
  let label: Label | null = best.label;
  for (let at = open.length - 1; at >= 0 && label?.picked; at--) {
    picks[itemAt(open, at).index] = label.picked;
    label = label.from;
  }
  return {
    tenths: breath.tenths,
    at: bound.at,
    cost: best.cost,
    picks: picks.map(({ rounds, out }) => ({ rounds, out })),
    remainder: best.remainder,
    elastic: best.elastic,
  };
}

/** What stretches, in the order of the class, for each set of open items that are there. */
class Stretches {
  private readonly known = new Map<number, readonly ElasticItem[]>();

  constructor(
    private readonly always: readonly ElasticItem[],
    private readonly bits: readonly (readonly ElasticItem[])[],
  ) {}

  of(mask: number): readonly ElasticItem[] {
    const known = this.known.get(mask);
    if (known) return known;
    const there = this.bits.filter((_, bit) => (mask & (1 << bit)) !== 0).flat();
    const elastic = [...this.always, ...there].sort(byOrder);
    this.known.set(mask, elastic);
    return elastic;
  }
}

interface End {
  readonly label: Label;
  readonly cost: number;
  readonly remainder: number;
  readonly elastic: readonly ElasticItem[];
}

function cheapestEnd(problem: FitProblem, finals: Iterable<Label>, stretches: Stretches, cutoff: number): End | null {
  // What belongs to an item is counted in the item's own length.
  const standing = problem.elastic.reduce((total, item) => total + item.preferred, 0);
  let best: End | null = null;
  for (const label of finals) {
    const remainder = problem.target - label.milliseconds - standing;
    const elastic = stretches.of(label.mask);
    const tail = tailCost(elastic, problem.tolerance, remainder);
    if (tail === null) continue;
    const cost = label.cost + tail;
    if (cost <= cutoff && (best === null || cost < best.cost)) best = { label, cost, remainder, elastic };
  }
  return best;
}

const buffer = new ChoiceBuffer();

/**
 * The choices of one item that could be part of an answer below the cutoff: nearest to the preference first, left
 * out last.
 */
function candidatesOf(
  problem: FitProblem,
  bounding: Bounding,
  index: number,
  bound: Bound,
  room: number,
  bit: number,
): Candidate[] {
  const item = itemAt(problem.items, index);
  const corners = bounding.cornersAt(index);
  writeChoices(item, bound.at, problem.weights, buffer);
  const min = new Array<number>(buffer.size);
  let cheapest = Infinity;
  for (let at = 0; at < buffer.size; at++) {
    let low = Infinity;
    if (corners === null || at === buffer.out)
      low = (buffer.costs[at] ?? 0) - bound.multiplier * (buffer.milliseconds[at] ?? 0);
    else {
      corners.offsets.forEach((offset, corner) => {
        const length = (buffer.milliseconds[at] ?? 0) + offset;
        low = Math.min(low, (buffer.costs[at] ?? 0) + (corners.costs[corner] ?? 0) - bound.multiplier * length);
      });
    }
    min[at] = low;
    cheapest = Math.min(cheapest, low);
  }
  const kept: Candidate[] = [];
  for (let at = 0; at < buffer.size; at++) {
    const extra = (min[at] ?? 0) - cheapest;
    if (extra > room) continue;
    const out = at === buffer.out;
    const stretches = bit >= 0 && !out && item.elastic.length > 0;
    kept.push({
      rounds: buffer.rounds[at] ?? 0,
      out,
      milliseconds: buffer.milliseconds[at] ?? 0,
      cost: buffer.costs[at] ?? 0,
      extra,
      bit: stretches ? 1 << bit : 0,
    });
  }
  return kept.sort((a, b) => Number(a.out) - Number(b.out) || a.cost - b.cost || a.rounds - b.rounds);
}

function* growLabels(
  items: readonly Opened[],
  bits: number,
  fixed: number,
  fixedCost: number,
  room: number,
  effort: SearchEffort,
): Generator<void, Iterable<Label>> {
  const masks = 2 ** bits;
  let labels: Label[] = [{ milliseconds: fixed, cost: fixedCost, extra: 0, mask: 0, picked: null, from: null }];
  for (const { candidates } of items) {
    const next = new Map<number, Label>();
    for (const label of labels) {
      for (const candidate of candidates) {
        const extra = label.extra + candidate.extra;
        if (extra > room) continue;
        const milliseconds = label.milliseconds + candidate.milliseconds;
        const cost = label.cost + candidate.cost;
        const mask = label.mask | candidate.bit;
        const key = milliseconds * masks + mask;
        const known = next.get(key);
        if (known && known.cost <= cost) continue;
        next.set(key, { milliseconds, cost, extra, mask, picked: candidate, from: label });
      }
    }
    labels = [...next.values()];
    effort.labels += labels.length;
    if (labels.length > LABELS_AT_MOST) {
      labels.sort((a, b) => a.extra - b.extra || a.milliseconds - b.milliseconds);
      labels.length = LABELS_AT_MOST;
      effort.cut = true;
    }
    if (labels.length > 500) yield;
  }
  return labels;
}
