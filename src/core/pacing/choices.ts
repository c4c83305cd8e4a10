import { LIMITS, roundsFilling } from '@/core/plan';
import type { Milliseconds } from '@/core/units';
import { clockCost, type Weights } from './cost';
import type { Item, ItemKind } from './model';

/** The choices of one item at one breath length, in parallel arrays that are used again. */
export class ChoiceBuffer {
  size = 0;
  /** Rounds; 0 where nothing is counted or the item is left out. */
  readonly rounds = new Float64Array(LIMITS.rounds + 2);
  /** With elastic parts as preferred. */
  readonly milliseconds = new Float64Array(LIMITS.rounds + 2);
  /** In billionths. */
  readonly costs = new Float64Array(LIMITS.rounds + 2);
  /** Index of the choice that leaves it out, the first where there is one; -1 where there is none. */
  out = -1;

  push(rounds: number, milliseconds: number, cost: number): void {
    this.rounds[this.size] = rounds;
    this.milliseconds[this.size] = milliseconds;
    this.costs[this.size] = cost;
    this.size++;
  }
}

/** Writes the choices of an item at breath `at` into `into`: left out first, then by length. */
export function writeChoices(item: Item, at: number, weights: Weights, into: ChoiceBuffer): void {
  const { kind, base, outCost } = item;
  const { rounds, milliseconds, costs } = into;
  let size = 0;
  if (outCost !== null) {
    rounds[0] = 0;
    milliseconds[0] = 0;
    costs[0] = outCost;
    size = 1;
  }
  into.out = size - 1;
  if (kind.what === 'presence') {
    rounds[size] = 0;
    milliseconds[size] = base;
    costs[size] = 0;
    into.size = size + 1;
    return;
  }
  const unit = item.unitMilliseconds[at] ?? 0;
  if (kind.what === 'clock') {
    into.size = size;
    writeClockChoices(kind, base, unit, weights, into);
    return;
  }
  for (let index = 0; index < kind.rounds.length; index++) {
    rounds[size] = kind.rounds[index] ?? 0;
    milliseconds[size] = base + roundsMilliseconds(item, at, index, unit);
    costs[size] = kind.costs[index] ?? 0;
    size++;
  }
  into.size = size;
}

/** What the rounds of one choice take. */
export function roundsMilliseconds(
  { kind, countedMilliseconds }: Item,
  at: number,
  index: number,
  unit: Milliseconds,
): Milliseconds {
  if (kind.what !== 'rounds') return 0;
  if (countedMilliseconds) return countedMilliseconds[at * kind.rounds.length + index] ?? 0;
  return (kind.rounds[index] ?? 0) * unit;
}

type Clock = Extract<ItemKind, { what: 'clock' }>;

/** The counts of rounds that fill the time within its bounds, or the one that comes nearest. */
function writeClockChoices(kind: Clock, base: number, unit: number, weights: Weights, into: ChoiceBuffer): void {
  const before = into.size;
  if (kind.pinnedTo === null) {
    const step = unit * kind.multiple;
    const first = Math.max(1, Math.ceil(kind.min / step));
    const last = Math.min(Math.floor(LIMITS.rounds / kind.multiple), Math.floor(kind.max / step));
    for (let times = first; times <= last; times++) {
      into.push(times * kind.multiple, base + times * step, clockCost(times * step, kind.preferred, weights));
    }
  }
  if (into.size > before) return;
  const rounds = roundsFilling(kind.multiple, unit, kind.pinnedTo ?? kind.preferred);
  const cost = kind.pinnedTo === null ? clockCost(rounds * unit, kind.preferred, weights) : 0;
  into.push(rounds, base + rounds * unit, cost);
}
