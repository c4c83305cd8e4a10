import type { Bound } from './bound';
import type { FitProblem } from './problem';
import { tailCost } from './tail';

/** A full choice at one breath length. */
export interface Choice {
  readonly tenths: number;
  /** In billionths, exact. */
  readonly cost: number;
  /** Rounds of each item, in the problem's order. */
  readonly rounds: readonly number[];
  /** Milliseconds that quiets and tolerance have to take up: target less everything else at its preference. */
  readonly remainder: number;
}

interface Candidate {
  readonly rounds: number;
  readonly milliseconds: number;
  readonly cost: number;
  /** What it costs beyond the cheapest of its item at the bound's multiplier; never negative. */
  readonly extra: number;
}

interface Label {
  readonly milliseconds: number;
  readonly cost: number;
  readonly extra: number;
  readonly rounds: number;
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
/** Billionths that floating point may be off by in the extra costs; far below the smallest difference of costs. */
const SLACK = 0.5;

/**
 * The cheapest choice at one breath length that costs at most `cutoff`; `null` when there is none. Choices that
 * cannot be part of one go first; what remains is tried in full, keyed by milliseconds with the cheapest kept.
 */
export function searchBreath(problem: FitProblem, bound: Bound, cutoff: number, effort: SearchEffort): Choice | null {
  const room = cutoff - bound.cost + SLACK;
  const { breath, multiplier } = bound;
  let fixed = problem.fixed;
  let fixedCost = breath.cost;
  const open: { readonly index: number; readonly candidates: readonly Candidate[] }[] = [];
  const rounds = new Array<number>(problem.items.length).fill(0);
  for (let index = 0; index < problem.items.length; index++) {
    const candidates = candidatesOf(problem, index, breath.unitMilliseconds[index], multiplier, room);
    if (candidates.length === 1) {
      fixed += candidates[0].milliseconds;
      fixedCost += candidates[0].cost;
      rounds[index] = candidates[0].rounds;
    } else open.push({ index, candidates });
  }
  const finals = growLabels(
    open.map((item) => item.candidates),
    fixed,
    fixedCost,
    room,
    effort,
  );
  const elastic = problem.elastic.reduce((total, item) => total + item.preferred, 0);
  let best: { readonly label: Label; readonly cost: number; readonly remainder: number } | null = null;
  for (const label of finals) {
    const remainder = problem.target - label.milliseconds - elastic;
    const tail = tailCost(problem, remainder);
    if (tail === null) continue;
    const cost = label.cost + tail;
    if (cost <= cutoff && (best === null || cost < best.cost)) best = { label, cost, remainder };
  }
  if (best === null) return null;
  let label: Label | null = best.label;
  for (let at = open.length - 1; at >= 0 && label; at--) {
    rounds[open[at].index] = label.rounds;
    label = label.from;
  }
  return { tenths: breath.tenths, cost: best.cost, rounds, remainder: best.remainder };
}

/** The choices of one item that could be part of an answer below the cutoff, nearest to the preference first. */
function candidatesOf(problem: FitProblem, index: number, unit: number, multiplier: number, room: number): Candidate[] {
  const item = problem.items[index];
  let cheapest = Infinity;
  for (const choice of item.choices) cheapest = Math.min(cheapest, choice.cost - multiplier * choice.rounds * unit);
  const kept: Candidate[] = [];
  for (const choice of item.choices) {
    const milliseconds = choice.rounds * unit;
    const extra = choice.cost - multiplier * milliseconds - cheapest;
    if (extra <= room) kept.push({ rounds: choice.rounds, milliseconds, cost: choice.cost, extra });
  }
  return kept.sort(
    (a, b) => Math.abs(a.rounds - item.preferred) - Math.abs(b.rounds - item.preferred) || a.rounds - b.rounds,
  );
}

function growLabels(
  items: readonly (readonly Candidate[])[],
  fixed: number,
  fixedCost: number,
  room: number,
  effort: SearchEffort,
): Iterable<Label> {
  let labels: Label[] = [{ milliseconds: fixed, cost: fixedCost, extra: 0, rounds: 0, from: null }];
  for (const candidates of items) {
    const next = new Map<number, Label>();
    for (const label of labels) {
      for (const candidate of candidates) {
        const extra = label.extra + candidate.extra;
        if (extra > room) continue;
        const milliseconds = label.milliseconds + candidate.milliseconds;
        const cost = label.cost + candidate.cost;
        const known = next.get(milliseconds);
        if (known && known.cost <= cost) continue;
        next.set(milliseconds, { milliseconds, cost, extra, rounds: candidate.rounds, from: label });
      }
    }
    labels = [...next.values()];
    effort.labels += labels.length;
    if (labels.length > LABELS_AT_MOST) {
      labels.sort((a, b) => a.extra - b.extra || a.milliseconds - b.milliseconds);
      labels.length = LABELS_AT_MOST;
      effort.cut = true;
    }
  }
  return labels;
}
