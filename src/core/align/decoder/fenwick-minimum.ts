import { itemAt } from '@/core/units';
/** Keeps the cheapest of what was put in at places from 0, up to any place (a tree of minima; Fenwick 1994, from memory). */
export class FenwickMinimum<Item> {
  private readonly costs: Float64Array;
  private readonly items: (Item | null)[];

  /** @param places How many there are. */
  constructor(places: number) {
    this.costs = new Float64Array(places + 1).fill(Infinity);
    this.items = new Array<Item | null>(places + 1).fill(null);
  }

  put(place: number, cost: number, item: Item): void {
    for (let at = place + 1; at < this.costs.length; at += at & -at) {
      if ((this.costs[at] ?? 0) <= cost) continue;
      this.costs[at] = cost;
      this.items[at] = item;
    }
  }

  /** The cheapest at `place` or before; `null` where there is none. */
  upTo(place: number): { readonly item: Item; readonly cost: number } | null {
    let cost = Infinity;
    let item: Item | null = null;
    for (let at = place + 1; at > 0; at -= at & -at) {
      if ((this.costs[at] ?? 0) >= cost) continue;
      cost = this.costs[at] ?? 0;
      item = itemAt(this.items, at);
    }
    return item === null ? null : { item, cost };
  }
}
