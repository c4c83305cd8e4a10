import { describe, expect, it } from 'vitest';
import { expandPlan } from '@/core/timeline';
import { itemAt, Random } from '@/core/units';
import { demoClasses } from '@/demo/classes';
import type { TextDistances } from '../text-distances';
import { adLibSums, costsFor, type Task } from './costs';
import { matchesEnding } from './matches';

const cues = expandPlan(itemAt(demoClasses(), 1).plan).cues.slice(0, 14);

/** Stretches close to each other and distances drawn at random, few of them different, so that costs are often equal. */
function drawn(seed: number, matchesAtMost?: number): Task {
  const chance = new Random(seed);
  let at = 0;
  const speech = Array.from({ length: 60 }, () => {
    const startSeconds = at + (chance.next() < 0.5 ? 0.3 : 1.5);
    at = startSeconds + 1;
    return { startSeconds, endSeconds: at, likely: 1 };
  });
  const asked = new Map<string, number>();
  const distance = (from: number, to: number, text: string): number => {
    const key = `${from}/${to}/${text}`;
    const drawnNow = asked.get(key) ?? -Math.floor(3 * new Random(seed + 97 * from + 31 * to).next());
    asked.set(key, drawnNow);
    return drawnNow;
  };
  const distances: TextDistances = {
    by: 'words',
    matchesAtMost,
    distance,
    distanceOfEnd: distance,
    adaptedTo: () => distances,
    kept: () => [],
  };
  const place = (planned: number) => ({ centre: planned, reach: 40 });
  return { cues, speech, distances, costs: costsFor(distances), jumps: false, rate: 1, tempo: () => 1, place };
}

describe('the matches that a cue may have', () => {
  it('come in order of their ends, and of those that are too many the cheapest stay, the earlier of equals', () => {
    let cut = 0;
    for (let seed = 1; seed <= 20; seed++) {
      for (const cueTo of [1, 5, 14]) {
        const whole = drawn(seed);
        const all = matchesEnding(whole, cueTo, adLibSums(whole));
        expect(all.map(({ to }) => to)).toEqual(all.map(({ to }) => to).sort((a, b) => a - b));
        for (const max of [1, 7, 25]) {
          const few = drawn(seed, max);
          const kept = matchesEnding(few, cueTo, adLibSums(few));
          const cheapest = [...all].sort((a, b) => a.own - b.own).slice(0, max);
          expect(kept).toEqual(all.filter((one) => cheapest.includes(one)));
          if (all.length > max) cut++;
        }
      }
    }
    expect(cut).toBeGreaterThan(60);
  });
});
