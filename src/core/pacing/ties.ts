import type { ElasticItem, Item, TiedPart } from './model';

/*
 * What belongs together changes together: steps of the same tie have the same rounds, and their times grow and shrink by
 * the same share.
 */

interface Collected {
  readonly items: readonly Item[];
  readonly elastic: readonly ElasticItem[];
}

/** The items and what stretches, those of the same tie as one; where that cannot be, each stays by itself. */
export function tied({ items, elastic }: Collected, ties: ReadonlyMap<string, string>): Collected {
  if (ties.size === 0) return { items, elastic };
  return {
    items: joined(items, ties, tiedItems),
    elastic: joined(elastic, ties, tiedElastic),
  };
}

/** Things of the same tie as one, at the place of the first. */
function joined<Thing extends { readonly stepId: string }>(
  things: readonly Thing[],
  ties: ReadonlyMap<string, string>,
  join: (together: readonly Thing[]) => Thing | null,
): readonly Thing[] {
  const groups = new Map<string, Thing[]>();
  for (const thing of things) {
    const tie = ties.get(thing.stepId);
    const key = tie === undefined ? `step ${thing.stepId}` : `tie ${tie}`;
    groups.set(key, [...(groups.get(key) ?? []), thing]);
  }
  return [...groups.values()].flatMap((group): readonly Thing[] => {
    const one = group.length === 1 ? null : join(group);
    return one === null ? group : [one];
  });
}

/** Movements of whole rounds with the same rounds; `null` where they have none in common, or are of another kind. */
function tiedItems(together: readonly Item[]): Item | null {
  const [first] = together;
  const kinds = together.flatMap(({ kind }) => (kind.what === 'rounds' ? [kind] : []));
  if (!first || kinds.length < together.length) return null;
  const rounds = (kinds[0]?.rounds ?? []).filter((count) => kinds.every((kind) => kind.rounds.includes(count)));
  if (rounds.length === 0) return null;
  const costs = rounds.map((count) =>
    kinds.reduce((sum, kind) => sum + (kind.costs[kind.rounds.indexOf(count)] ?? 0), 0),
  );
  const always = together.some(({ outCost }) => outCost === null);
  return {
    ...first,
    kind: { what: 'rounds', rounds, costs },
    members: together.flatMap(({ members }) => members),
    tied: together.flatMap((item) => item.tied),
    base: together.reduce((sum, { base }) => sum + base, 0),
    elastic: together.flatMap((item) => item.elastic),
    outCost: always ? null : together.reduce((sum, { outCost }) => sum + (outCost ?? 0), 0),
    unitMilliseconds: first.unitMilliseconds.map((_, at) => sumOf(together, (item) => item.unitMilliseconds[at] ?? 0)),
    countedMilliseconds: countedTogether(together, rounds),
  };
}

/** All counts of each choice at each breath length, where any of them changes its pattern. */
function countedTogether(together: readonly Item[], rounds: readonly number[]): Float64Array | null {
  if (together.every(({ countedMilliseconds }) => countedMilliseconds === null)) return null;
  const breaths = together[0]?.unitMilliseconds.length ?? 0;
  const table = new Float64Array(breaths * rounds.length);
  for (let at = 0; at < breaths; at++) {
    rounds.forEach((count, index) => {
      table[at * rounds.length + index] = sumOf(together, ({ kind, countedMilliseconds, unitMilliseconds }) => {
        if (kind.what !== 'rounds' || !countedMilliseconds) return count * (unitMilliseconds[at] ?? 0);
        return countedMilliseconds[at * kind.rounds.length + kind.rounds.indexOf(count)] ?? 0;
      });
    });
  }
  return table;
}

/** Times that stretch by the same share, as far as all of them may; `null` where one has nothing to stretch. */
function tiedElastic(together: readonly ElasticItem[]): ElasticItem | null {
  const [first] = together;
  if (!first || together.some(({ preferred }) => preferred <= 0)) return null;
  const preferred = sumOf(together, (item) => item.preferred);
  const least = Math.max(...together.map((item) => item.min / item.preferred));
  const most = Math.min(...together.map((item) => item.max / item.preferred));
  return {
    ...first,
    preferred,
    min: Math.ceil(preferred * least),
    max: Math.max(Math.ceil(preferred * least), Math.floor(preferred * most)),
    costPerMillisecond: Math.max(
      1,
      Math.round(sumOf(together, (item) => item.costPerMillisecond * item.preferred) / preferred),
    ),
    parts: together.flatMap((item) => item.parts),
  };
}

/** What each step of something that stretches gets of a length; they add up to it. */
export function shareOut(
  { parts, preferred }: ElasticItem,
  length: number,
): readonly { readonly part: TiedPart; readonly milliseconds: number }[] {
  let before = 0;
  let given = 0;
  return parts.map((part) => {
    before += part.preferred;
    const until = preferred > 0 ? Math.round((length * before) / preferred) : length;
    const milliseconds = until - given;
    given = until;
    return { part, milliseconds };
  });
}

function sumOf<Thing>(things: readonly Thing[], of: (thing: Thing) => number): number {
  return things.reduce((sum, thing) => sum + of(thing), 0);
}
