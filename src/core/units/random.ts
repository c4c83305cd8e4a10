import { itemAt } from './item-at';
/** A seeded source of chance (mulberry32), so that the same seed gives the same again. */
export class Random {
  private state: number;

  constructor(readonly seed: number) {
    this.state = seed >>> 0;
  }

  /** In `[0, 1)`. */
  next(): number {
    this.state = (this.state + 0x6d2b79f5) >>> 0;
    let mixed = this.state;
    mixed = Math.imul(mixed ^ (mixed >>> 15), mixed | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  }

  /** A whole number from `least` to `most`, both included. */
  whole(min: number, max: number): number {
    return min + Math.floor(this.next() * (max - min + 1));
  }

  pick<Item>(items: readonly Item[]): Item {
    return itemAt(items, this.whole(0, items.length - 1));
  }

  yes(probability: number): boolean {
    return this.next() < probability;
  }
}
