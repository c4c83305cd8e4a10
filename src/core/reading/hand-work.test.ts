import { firstItems, itemAt } from '@/core/units';
import { describe, expect, it } from 'vitest';
import { correctable } from '@/core/align';
import { expandPlan } from '@/core/timeline';
import { demoClasses } from '@/demo/classes';
import {
  leastCertain,
  NO_HAND_WORK,
  readAgain,
  readTake,
  withCue,
  withoutAdLib,
  withAdLibSplit,
  withAdLibText,
  withSureTaken,
  type HandWork,
} from '.';

const { plan } = itemAt(demoClasses(), 1);
const timeline = expandPlan(plan);
/** Said as planned, two seconds late. */
const speech = timeline.cues.map((cue) => ({
  startSeconds: cue.startSeconds + 2,
  endSeconds: cue.endSeconds + 2,
  likely: 1,
}));
const evidence = { captions: null, speech, lengthSeconds: 320 };
const reading = readTake(timeline, evidence);
const again = (work: Pick<HandWork, 'corrections' | 'adLibs'>) =>
  readAgain(timeline, evidence, correctable(timeline, evidence), work);
const [, second, third] = firstItems(reading.cues, 3);

describe('work by hand', () => {
  it('sets when a cue was said, to the millisecond, never before the start', () => {
    expect(withCue(NO_HAND_WORK, 'a', 1.23456).corrections).toEqual({ a: { actualStart: 1.235 } });
    expect(withCue(NO_HAND_WORK, 'a', -3).corrections.a?.actualStart).toBe(0);
    expect(withCue(NO_HAND_WORK, 'a', null).corrections.a?.actualStart).toBeNull();
  });

  it('holds, and pulls the cues about it into place', () => {
    // Somebody says that the second line is where the third was found: the third cannot be there any more.
    const work = withCue(NO_HAND_WORK, second.id, third.actualStart);
    const pulled = again(work);
    expect(pulled.cues[1]).toMatchObject({ actualStart: third.actualStart, corrected: true, confidence: 1 });
    expect(itemAt(pulled.cues, 2).actualStart).not.toBe(third.actualStart);
    const later = pulled.cues.slice(8).map((cue) => cue.actualStart);
    expect(later).toEqual(reading.cues.slice(8).map((cue) => cue.actualStart));
  });

  it('takes the sure ones as found and leaves the others to be looked at, the least sure first', () => {
    const doubtful = {
      ...reading,
      cues: reading.cues.map((cue, at) => ({ ...cue, confidence: at === 3 ? 0.2 : at === 1 ? 0.5 : 0.9 })),
    };
    expect(leastCertain(doubtful, 0.8).map(({ id }) => id)).toEqual([itemAt(reading.cues, 3).id, second.id]);
    const { corrections } = withSureTaken(NO_HAND_WORK, doubtful, 0.8);
    expect(Object.keys(corrections).length).toBe(reading.cues.length - 2);
    expect(corrections[third.id]).toEqual({ actualStart: third.actualStart });
  });

  it('splits an ad-lib off a cue, gives it words, and takes it away again', () => {
    const at = (second.actualStart ?? 0) + 0.5;
    const split = withAdLibSplit(NO_HAND_WORK, reading, second.id, at);
    if (!split) throw new Error('not split');
    const once = again(split);
    expect(itemAt(once.cues, 1).actualEnd).toBeCloseTo(at, 3);
    expect(once.adLibs).toContainEqual({ startSeconds: at, endSeconds: second.actualEnd, text: null });
    const early = { startSeconds: 0.1, endSeconds: 0.4, text: null };
    const late = { startSeconds: 900, endSeconds: 901, text: null };
    const among = withAdLibSplit(NO_HAND_WORK, { ...reading, adLibs: [early, late] }, second.id, at);
    expect(among?.adLibs?.map(({ startSeconds }) => startSeconds)).toEqual([0.1, at, 900]);
    const place = once.adLibs.findIndex(({ startSeconds }) => startSeconds === at);
    const named = again(withAdLibText(split, once, place, '  Only the kettle. '));
    expect(itemAt(named.adLibs, place).text).toBe('Only the kettle.');
    expect(again(withoutAdLib(split, once, place)).adLibs.length).toBe(once.adLibs.length - 1);
    expect(withAdLibSplit(NO_HAND_WORK, reading, second.id, 0)).toBeNull();
    expect(withAdLibSplit(NO_HAND_WORK, reading, 'nobody', at)).toBeNull();
  });

  it('is undone by reading without it', () => {
    expect(again(NO_HAND_WORK)).toEqual(reading);
  });
});
