import { itemAt } from '@/core/units';
import { describe, expect, it } from 'vitest';
import { expandPlan } from '@/core/timeline';
import { demoClasses } from '@/demo/classes';
import { packDistances, packWay, unpackDistances, unpackWay } from './codec';
import { placed } from './decoder/matches';
import { alignKept } from './decoder/align-speech';
import { distancesKept } from './text-distances';
import { PART } from './model';

const cues = expandPlan(itemAt(demoClasses(), 1).plan).cues.slice(0, 6);
const speech = cues.map(({ startSeconds, endSeconds }) => ({ startSeconds, endSeconds, likely: 0.9 }));
const match = (cue: number, to: number, led: number) =>
  placed({ cues, speech }, { cueFrom: cue, cueTo: cue + 1, from: cue, to, led, own: -1.234 });
/** The third is led in by a stretch of its own, the fifth within its one stretch; the fourth is not said. */
const way = {
  path: [match(0, 1, 0), match(2, 4, 1), match(4, 5, PART)],
  confidences: [0.98, 0.4, 0.77, 0.6, 0.9, 0.05],
  slowness: 1.0834,
};

describe('a way through a take’s speech', () => {
  it('is kept in whole numbers and comes back as it was, to a hundredth', () => {
    const kept = packWay(way);
    for (const one of [...kept.matches, ...kept.confidences]) expect(Number.isInteger(one)).toBe(true);
    const back = unpackWay(JSON.parse(JSON.stringify(kept)) as typeof kept, cues, speech);
    expect(back?.confidences).toEqual(way.confidences);
    expect(back?.slowness).toBe(1.083);
    expect(back?.path).toEqual(way.path.map((one) => ({ ...one, own: -1.23 })));
  });

  it('is refused where it leads in with more than it has, or with what is no number of stretches', () => {
    const kept = packWay(way);
    const with4 = (led: number) => kept.matches.map((one, at) => (at === 4 ? led : one));
    for (const led of [1, 2, -2]) expect(unpackWay({ ...kept, matches: with4(led) }, cues, speech)).toBeNull();
    expect(unpackWay({ ...kept, matches: with4(-1) }, cues, speech)?.path[0]?.led).toBe(PART);
  });

  it('gives each cue what it was found by, as the distances were kept', () => {
    const texts = [itemAt(cues, 0).text, itemAt(cues, 2).text, itemAt(cues, 4).text];
    // The first by its stretch, the third behind the one that leads in; of the fifth nothing near was kept.
    const distances = distancesKept(unpackDistances({ texts, found: [0, 1, 0, -315, 3, 1, 1, 20] }));
    const found = alignKept(cues, speech, distances, packWay(way))?.found.map(({ evidence }) => evidence.nearer);
    expect(found).toEqual([3.2, 0, 0]);
    const byLength = alignKept(cues, speech, null, packWay(way))?.found ?? [];
    for (const { evidence } of byLength) expect(evidence).toEqual({ by: 'length', heard: null, nearer: null });
  });
});

describe('distances that were kept', () => {
  const packed = { texts: ['a', 'b'], found: [0, 1, 0, -350, 0, 1, 1, 20, 4, 34, 1, -100] };

  it('tell what was asked before, and nothing else', () => {
    const distances = distancesKept(unpackDistances(packed));
    expect(distances.distance(0, 1, 'a')).toBe(-3.5);
    expect(distances.distance(0, 1, 'b')).toBe(0.2);
    expect(distances.distanceOfEnd(4, 6, 'b')).toBe(-1);
    expect(distances.distance(4, 6, 'b')).toBeNull();
    expect(distances.distance(4, 6, 'a')).toBeNull();
    expect(distances.distance(0, 1, 'c')).toBeNull();
    expect(distances.adaptedTo([])).toBe(distances);
    expect(packDistances(distances.kept())).toEqual(packed);
  });
});
