import { describe, expect, it } from 'vitest';
import { expandPlan } from '@/core/timeline';
import { itemAt, Random, wholeMilliseconds } from '@/core/units';
import { demoClasses } from '@/demo/classes';
import { alignTake, correctable, packAlignment, type Evidence } from '..';

const timeline = expandPlan(itemAt(demoClasses(), 1).plan);
const { cues } = timeline;
const skippedAt = new Set([9, 17]);
/** Said two seconds late, two cues skipped, an ad-lib after the twelfth. */
const speech = cues
  .filter((_, at) => !skippedAt.has(at))
  .map(({ startSeconds, endSeconds }) => ({ startSeconds: startSeconds + 2, endSeconds: endSeconds + 2, likely: 1 }));
const evidence: Evidence = { captions: null, speech, lengthSeconds: 320 };
const found = alignTake(timeline, evidence);
const times = (alignment: typeof found) => new Map(alignment.found.map((cue) => [cue.cueId, cue.startSeconds]));

describe('what was found, kept with its evidence', () => {
  it('is what is found again, without finding it anew', () => {
    expect(found.way).not.toBeNull();
    const kept = JSON.parse(JSON.stringify({ ...evidence, ...packAlignment(found) })) as Evidence;
    expect(alignTake(timeline, kept)).toEqual(found);
  });

  it('is found anew where it does not fit the class or its speech', () => {
    const { way } = packAlignment(found);
    if (!way) throw new Error('no way');
    for (const spoilt of [
      { ...way, confidences: way.confidences.slice(1) },
      { ...way, matches: way.matches.slice(1) },
      { ...way, matches: [...way.matches.slice(6), ...way.matches.slice(0, 6)] },
      { ...way, matches: way.matches.map((one, at) => (at % 6 === 2 ? one + speech.length : one)) },
    ]) {
      expect(alignTake(timeline, { ...evidence, way: spoilt }), JSON.stringify(spoilt.matches.slice(0, 12))).toEqual(
        found,
      );
    }
  });
});

describe('putting a take right by hand', () => {
  const byHand = correctable(timeline, evidence);
  const again = (set: readonly (readonly [number, number | null])[]) =>
    byHand.withSet(new Map(set.map(([at, seconds]) => [itemAt(cues, at).id, seconds])));

  it('changes nothing where what is set is what was found', () => {
    const all = cues.map((cue, at) => [at, times(found).get(cue.id) ?? null] as const);
    expect(times(again(all))).toEqual(times(found));
    expect(again(all.filter(([, at]) => at !== null))).toEqual(found);
  });

  it('goes through what was set, and leaves the far ends as they were', () => {
    const at = 30;
    const to = wholeMilliseconds((times(found).get(itemAt(cues, at + 1).id) ?? 0) - 0.2);
    const pulled = times(again([[at, to]]));
    expect(pulled.get(itemAt(cues, at).id)).toBe(to);
    expect(pulled.get(itemAt(cues, at + 1).id)).not.toBe(times(found).get(itemAt(cues, at + 1).id));
    for (const far of [0, 5, 44, 48])
      expect(pulled.get(itemAt(cues, far).id)).toBe(times(found).get(itemAt(cues, far).id));
  });

  it('keeps every cue in order, wherever one is set, and holds all that is set', () => {
    const chance = new Random(5);
    for (let round = 0; round < 25; round++) {
      const first = chance.whole(0, cues.length - 8);
      const place = itemAt(cues, first).startSeconds + 2;
      const set = [
        [first, Math.max(0, place - 12 + 24 * chance.next())],
        [first + 3, null],
      ] as const;
      const pulled = again(set);
      expect(pulled.found.find(({ cueId }) => cueId === itemAt(cues, first).id)?.startSeconds).toBeCloseTo(
        set[0][1],
        2,
      );
      expect(pulled.found.some(({ cueId }) => cueId === itemAt(cues, first + 3).id)).toBe(false);
      const starts = pulled.found.map(({ startSeconds }) => startSeconds);
      expect(starts).toEqual([...starts].sort((a, b) => a - b));
    }
  });

  it('goes by the words of captions too, with their speech and without', () => {
    const captions = cues
      .filter((_, at) => !skippedAt.has(at))
      .map(({ startSeconds, endSeconds, text }) => ({
        startSeconds: startSeconds + 2,
        endSeconds: endSeconds + 2,
        text,
      }));
    for (const heard of [
      { ...evidence, captions },
      { ...evidence, captions, speech: null },
    ]) {
      const worded = alignTake(timeline, heard);
      expect(worded.unsaid.map(({ cueId }) => cueId)).toEqual([...skippedAt].map((at) => itemAt(cues, at).id));
      const before = times(worded);
      const to = wholeMilliseconds((before.get(itemAt(cues, 30).id) ?? 0) + 1.2);
      const pulled = times(correctable(timeline, heard).withSet(new Map([[itemAt(cues, 30).id, to]])));
      expect(pulled.get(itemAt(cues, 30).id)).toBe(to);
      for (const far of [0, 5, 44, 48]) expect(pulled.get(itemAt(cues, far).id)).toBe(before.get(itemAt(cues, far).id));
    }
  });
});
