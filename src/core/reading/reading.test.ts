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
    expect(totals).toMatchObject({ runtimeSeconds: 640, said: timeline.cues.length, skipped: 0, remarks: 0 });
    expect(totals.driftLastSeconds).toBeCloseTo(
      late(timeline.cues.at(-1)?.startSeconds ?? 0) - (timeline.cues.at(-1)?.startSeconds ?? 0),
      0,
    );
    expect(totals.breathTakenSeconds).toBeCloseTo((totals.breathPlannedSeconds ?? 0) * 1.05, 1);
    expect(totals.talkShare).toBeGreaterThan(0.2);
    expect(totals.talkShare).toBeLessThan(0.6);
  });

  it('is corrected by hand, and keeps the correction when read again', () => {
    const [first, second] = firstItems(timeline.cues, 2);
    const corrections = { [first.id]: { saidAtSeconds: 4.5 }, [second.id]: { saidAtSeconds: null } };
    const corrected = correct(reading, timeline, corrections, 640);
    expect(corrected.cues[0]).toMatchObject({ saidAtSeconds: 4.5, status: 'said', corrected: true, confidence: 1 });
    expect(corrected.cues[1]).toMatchObject({
      saidAtSeconds: null,
      endSeconds: null,
      status: 'skipped',
      corrected: true,
    });
    expect(corrected.totals.skipped).toBe(1);
    const again = readTake(timeline, evidence, corrections);
    const states = (one: typeof again) => one.cues.map(({ status, saidAtSeconds }) => [status, saidAtSeconds]);
    expect(states(again)).toEqual(states(corrected));
    // What the machine heard where the second line was planned is something else that was said.
    expect(again.remarks.map(({ text }) => text)).toEqual([second.text]);
    expect(itemAt(reading.cues, 0).corrected).toBe(false);
  });

  it('can give a time to a line that was not found', () => {
    const nothing = readTake(timeline, { captions: null, speech: [], lengthSeconds: 60 });
    expect(nothing.totals).toMatchObject({
      said: 0,
      skipped: timeline.cues.length,
      talkShare: 0,
      driftLastSeconds: null,
      breathTakenSeconds: null,
    });
    const corrected = correct(nothing, timeline, { [itemAt(timeline.cues, 0).id]: { saidAtSeconds: 2 } }, 60);
    expect(itemAt(corrected.cues, 0).endSeconds).toBeCloseTo(2 + itemAt(timeline.cues, 0).endSeconds, 3);
  });

  it('passes over corrections of cues that are not there', () => {
    expect(
      correct(reading, timeline, { nobody: { saidAtSeconds: 1 }, ['__proto__']: { saidAtSeconds: 1 } }, 640),
    ).toEqual(reading);
  });

  it('passes its own door, and a spoilt one does not', () => {
    expect(checkReading(JSON.parse(JSON.stringify(reading))).ok).toBe(true);
    for (const bad of [
      null,
      {},
      { ...reading, version: 9 },
      { ...reading, cues: 'all' },
      { ...reading, cues: [{ ...reading.cues[0], saidAtSeconds: -1 }] },
    ]) {
      expect(checkReading(bad).ok).toBe(false);
    }
  });
});
