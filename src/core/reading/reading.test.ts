import { firstItems, itemAt } from '@/core/units';
import { describe, expect, it } from 'vitest';
import { expandPlan } from '@/core/timeline';
import { demoClasses } from '@/demo/classes';
import { checkReading, correct, readTake } from '.';

const { plan } = itemAt(demoClasses(), 0);
const timeline = expandPlan(plan);
const late = (seconds: number): number => 3 + seconds * 1.05;
const captions = timeline.cues.map((cue) => ({
  startSeconds: late(cue.startSeconds),
  endSeconds: late(cue.endSeconds),
  text: cue.text,
}));
const evidence = { captions, speech: null, lengthSeconds: 640 };

describe('a reading', () => {
  const reading = readTake(timeline, evidence);

  it('gives the figures of the whole take', () => {
    const { totals } = reading;
    expect(totals).toMatchObject({ runtimeSeconds: 640, said: timeline.cues.length, skipped: 0, adLibs: 0 });
    expect(totals.driftLastSeconds).toBeCloseTo(
      late(timeline.cues.at(-1)?.startSeconds ?? 0) - (timeline.cues.at(-1)?.startSeconds ?? 0),
      0,
    );
    expect(totals.breathActualSeconds).toBeCloseTo((totals.breathPlannedSeconds ?? 0) * 1.05, 1);
    expect(totals.talkShare).toBeGreaterThan(0.2);
    expect(totals.talkShare).toBeLessThan(0.6);
  });

  it('is corrected by hand, and keeps the correction when read again', () => {
    const [first, second] = firstItems(timeline.cues, 2);
    const corrections = { [first.id]: { actualStart: 4.5 }, [second.id]: { actualStart: null } };
    const corrected = correct(reading, timeline, corrections, 640);
    expect(corrected.cues[0]).toMatchObject({ actualStart: 4.5, status: 'said', corrected: true, confidence: 1 });
    expect(corrected.cues[1]).toMatchObject({
      actualStart: null,
      actualEnd: null,
      status: 'skipped',
      corrected: true,
    });
    expect(corrected.totals.skipped).toBe(1);
    const again = readTake(timeline, evidence, corrections);
    const states = (one: typeof again) => one.cues.map(({ status, actualStart }) => [status, actualStart]);
    expect(states(again)).toEqual(states(corrected));
    // What the machine heard where the second line was planned is something else that was said.
    expect(again.adLibs.map(({ text }) => text)).toEqual([second.text]);
    expect(itemAt(reading.cues, 0).corrected).toBe(false);
  });

  it('can give a time to a line that was not found', () => {
    const nothing = readTake(timeline, { captions: null, speech: [], lengthSeconds: 60 });
    expect(nothing.totals).toMatchObject({
      said: 0,
      skipped: timeline.cues.length,
      talkShare: 0,
      driftLastSeconds: null,
      breathActualSeconds: null,
    });
    const corrected = correct(nothing, timeline, { [itemAt(timeline.cues, 0).id]: { actualStart: 2 } }, 60);
    expect(itemAt(corrected.cues, 0).actualEnd).toBeCloseTo(2 + itemAt(timeline.cues, 0).endSeconds, 3);
  });

  it('passes over corrections of cues that are not there', () => {
    expect(correct(reading, timeline, { nobody: { actualStart: 1 }, ['__proto__']: { actualStart: 1 } }, 640)).toEqual(
      reading,
    );
  });

  it('passes its own door, and a spoilt one does not', () => {
    expect(checkReading(JSON.parse(JSON.stringify(reading))).ok).toBe(true);
    for (const bad of [
      null,
      {},
      { ...reading, version: 9 },
      { ...reading, cues: 'all' },
      { ...reading, cues: [{ ...reading.cues[0], actualStart: -1 }] },
    ]) {
      expect(checkReading(bad).ok).toBe(false);
    }
  });
});
