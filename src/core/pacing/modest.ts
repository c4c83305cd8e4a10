import { roundsCost } from './cost';
import type { ElasticItem, FitProblem, Item } from './model';

/*
 * A fit that changes little anywhere is looked for first: nobody wants a breath a third slower for a second. Common
 * practice, no published source.
 */

/** As a share of what was asked for. */
const BREATH = 0.2;
const ROUNDS = 0.5;
const TIME = 0.5;

/**
 * The same problem where no breath changes by more than a fifth, no count and no time by more than half of what was
 * asked for. Where a step's own bounds allow nothing like that, they stay.
 */
export function modestProblem(problem: FitProblem): FitProblem {
  const { preferredTenths } = problem;
  const near = problem.breaths.flatMap(({ tenths }, at) =>
    Math.abs(tenths - preferredTenths) <= BREATH * preferredTenths + 1e-9 ? [at] : [],
  );
  const kept = near.length > 0 ? near : problem.breaths.map((_, at) => at);
  return {
    ...problem,
    breaths: kept.flatMap((at) => problem.breaths[at] ?? []),
    items: problem.items.map((item) => modestItem(item, kept, problem)),
    elastic: problem.elastic.map(modestElastic),
  };
}

function modestItem(item: Item, kept: readonly number[], { weights }: FitProblem): Item {
  const { kind } = item;
  const elastic = item.elastic.map(modestElastic);
  const unitMilliseconds = Float64Array.from(kept, (at) => item.unitMilliseconds[at] ?? 0);
  const same = { ...item, elastic, unitMilliseconds };
  if (kind.what === 'clock') {
    const [min, max] = nearTo(kind.preferred, kind.min, kind.max);
    return { ...same, kind: { ...kind, min, max } };
  }
  if (kind.what !== 'rounds') return same;
  // A count costs by its share of what was asked for, so that the cost of half of it is the border.
  const most = item.tied.length * roundsCost(2 * (1 + ROUNDS), 2, weights);
  const near = kind.costs.flatMap((cost, index) => (cost <= most ? [index] : []));
  const choices = near.length > 0 ? near : kind.costs.map((_, index) => index);
  const counted = item.countedMilliseconds;
  const counts = kind.rounds.length;
  return {
    ...same,
    kind: {
      what: 'rounds',
      rounds: choices.map((index) => kind.rounds[index] ?? 0),
      costs: choices.map((index) => kind.costs[index] ?? 0),
    },
    countedMilliseconds:
      counted && Float64Array.from(kept.flatMap((at) => choices.map((index) => counted[at * counts + index] ?? 0))),
  };
}

function modestElastic(item: ElasticItem): ElasticItem {
  if (item.kind === 'landing') return item;
  const [min, max] = nearTo(item.preferred, item.min, item.max);
  return { ...item, min, max };
}

function nearTo(preferred: number, min: number, max: number): readonly [number, number] {
  const least = Math.max(min, Math.ceil(preferred * (1 - TIME)));
  const most = Math.min(max, Math.floor(preferred * (1 + TIME)));
  return least <= most ? [least, most] : [min, max];
}
