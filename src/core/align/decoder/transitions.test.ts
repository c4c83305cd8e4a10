import { describe, expect, it } from 'vitest';
import { expandPlan } from '@/core/timeline';
import { itemAt, Random } from '@/core/units';
import { demoClasses } from '@/demo/classes';
import { adLibSums, beginning, costsFor, ending, type Task } from './costs';
import { placed } from './matches';
import { posteriorsOf } from './posteriors';
import { CUES_BACK, MatchColumn, Transitions } from './transitions';
import { type SpeechMatch } from '../model';

const cues = expandPlan(itemAt(demoClasses(), 1).plan).cues.slice(0, 14);

/** Cues against stretches drawn at random, each match at a cost of its own, and the ad-libs between them. */
function drawn(seed: number) {
  const chance = new Random(seed);
  let at = 0;
  const speech = Array.from({ length: 40 }, () => {
    const startSeconds = at + chance.next() * 2;
    at = startSeconds + 0.3 + chance.next() * 2;
    return { startSeconds, endSeconds: at, likely: chance.next() };
  });
  const task: Task = {
    cues,
    speech,
    distances: null,
    costs: costsFor(null),
    jumps: false,
    rate: 1,
    tempo: () => 1.1,
    place: (planned) => ({ centre: planned, reach: 60 }),
  };
  const matchesOf = (cueTo: number): SpeechMatch[] =>
    Array.from({ length: 12 }, () => {
      const from = chance.whole(0, 36);
      const to = from + chance.whole(1, 3);
      return placed(task, { cueFrom: cueTo - 1, cueTo, from, to, led: 0, own: 4 * chance.next() - 2 });
    }).sort((a, b) => a.to - b.to);
  return { task, adLibs: adLibSums(task), matchesOf };
}

/** What lies between two matches, as the head of `costs.ts` says; `null` where the one cannot come before. */
function between({ costs }: Task, adLibs: Float64Array, before: SpeechMatch, match: SpeechMatch): number | null {
  const passedOver = match.cueFrom - before.cueTo;
  if (passedOver < 0 || passedOver > CUES_BACK || before.to > match.from) return null;
  const left = itemAt(adLibs, match.from) - itemAt(adLibs, before.to);
  if (left > 30) return null;
  const gap = (itemAt(cues, match.cueFrom).startSeconds - itemAt(cues, before.cueTo - 1).startSeconds) * 1.1;
  const stray = Math.abs(match.onset - before.lastOnset - gap) / (costs.gapSeconds + costs.gapShare * gap);
  return costs.skip * passedOver + left + Math.min(costs.gapAtMost, stray);
}

describe('what lies between two matches', () => {
  it('leads to each the cheapest way, as a plain search finds it', () => {
    for (let seed = 1; seed <= 40; seed++) {
      const { task, adLibs, matchesOf } = drawn(seed);
      const columns = [new MatchColumn([], 0, adLibs)];
      const transitions = new Transitions(task, columns, adLibs);
      const all: SpeechMatch[] = [];
      for (let cueTo = 1; cueTo <= cues.length; cueTo++) {
        const matches = matchesOf(cueTo);
        for (const match of matches) {
          const plain = all.reduce(
            (min, before) => {
              const cost = between(task, adLibs, before, match);
              return cost === null ? min : Math.min(min, before.cost + cost);
            },
            beginning(task, match, adLibs),
          );
          const found = transitions.cheapestTo(match);
          expect(found, `seed ${seed}`).toBeCloseTo(plain, 9);
          match.cost = found + match.own;
        }
        columns.push(new MatchColumn(matches, all.length, adLibs));
        all.push(...matches);
      }
    }
  });

  it('has each cue said or not said in the shares of all ways there are', () => {
    // Few enough that every way can be gone through one by one.
    const { task, adLibs, matchesOf } = drawn(7);
    const few = { ...task, cues: cues.slice(0, 3) };
    const columns = [new MatchColumn([], 0, adLibs)];
    const all: SpeechMatch[] = [];
    for (let cueTo = 1; cueTo <= 3; cueTo++) {
      const matches = matchesOf(cueTo).slice(0, 4);
      columns.push(new MatchColumn(matches, all.length, adLibs));
      all.push(...matches);
    }
    const odds = posteriorsOf(few, columns, adLibs);
    const ways = waysThrough(few, adLibs, all);
    const whole = ways.reduce((sum, { weight }) => sum + weight, 0);
    for (let cue = 0; cue < 3; cue++) {
      const without = ways.filter(({ path }) => path.every(({ cueFrom }) => cueFrom !== cue));
      expect(odds.skipped(cue)).toBeCloseTo(without.reduce((sum, { weight }) => sum + weight, 0) / whole, 6);
    }
  });
});

interface PlainWay {
  readonly path: readonly SpeechMatch[];
  readonly weight: number;
}

/** Every way there is, with how likely it is. */
function waysThrough(task: Task, adLibs: Float64Array, all: readonly SpeechMatch[]): PlainWay[] {
  const ways: PlainWay[] = [];
  const go = (path: readonly SpeechMatch[], cost: number): void => {
    const last = itemAt(path, path.length - 1);
    ways.push({ path, weight: Math.exp(-(cost + ending(task, last, adLibs)) / task.costs.temperature) });
    for (const next of all) {
      const more = next.cueFrom >= last.cueTo ? between(task, adLibs, last, next) : null;
      if (more !== null) go([...path, next], cost + more + next.own);
    }
  };
  for (const first of all) go([first], beginning(task, first, adLibs) + first.own);
  return ways;
}
