import { describe, expect, it } from 'vitest';
import { expandPlan } from '@/core/timeline';
import { itemAt, Random } from '@/core/units';
import { demoClasses } from '@/demo/classes';
import { alignTake } from '..';
import { FenwickMinimum } from './fenwick-minimum';

describe('a step that was left out', () => {
  const timeline = expandPlan(itemAt(demoClasses(), 0).plan);
  const { cues } = timeline;
  /** Without the cues of `[from, to)`, and without the time they would have taken. */
  const without = (from: number, to: number) => {
    const gone = itemAt(cues, to).startSeconds - itemAt(cues, from).startSeconds;
    return cues.flatMap(({ startSeconds, endSeconds }, at) => {
      if (at >= from && at < to) return [];
      const late = at < from ? 2 : 2 - gone;
      return [{ startSeconds: startSeconds + late, endSeconds: endSeconds + late, likely: 1 }];
    });
  };

  it.each([
    [30, 44],
    [20, 45],
  ])('is told by sound alone, cues %i to %i, and bends nothing about it', (from, to) => {
    const speech = without(from, to);
    const lengthSeconds = itemAt(speech, speech.length - 1).endSeconds + 5;
    const { found } = alignTake(timeline, { captions: null, speech, lengthSeconds });
    const times = new Map(found.map(({ cueId, startSeconds }) => [cueId, startSeconds]));
    const right = cues.filter(({ id }, at) => {
      if (at >= from && at < to) return false;
      const said = itemAt(speech, at < from ? at : at - (to - from));
      return Math.abs((times.get(id) ?? -9) - said.startSeconds) < 0.3;
    });
    expect(right.length).toBeGreaterThan(0.95 * speech.length);
    expect(cues.slice(from, to).filter(({ id }) => times.has(id)).length).toBeLessThanOrEqual(1);
  });
});

describe('the cheapest so far', () => {
  it('is the least of what was put in up to a place, as a plain search finds it', () => {
    const chance = new Random(12);
    const tree = new FenwickMinimum<number>(40);
    const all: { place: number; cost: number }[] = [];
    expect(tree.upTo(39)).toBeNull();
    for (let turn = 0; turn < 200; turn++) {
      const one = { place: chance.whole(0, 39), cost: chance.next() };
      all.push(one);
      tree.put(one.place, one.cost, all.length - 1);
      const asked = chance.whole(0, 39);
      const min = Math.min(...all.filter(({ place }) => place <= asked).map(({ cost }) => cost));
      const found = tree.upTo(asked);
      expect(found?.cost ?? Infinity).toBe(min);
      if (found) expect(itemAt(all, found.item).cost).toBe(min);
    }
  });
});
