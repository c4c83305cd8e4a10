import { itemAt } from '@/core/units';
import fc from 'fast-check';
import createTimecode from 'smpte-timecode';
import { describe, expect, it } from 'vitest';
import { readTake, type Cut } from '@/core/reading';
import { expandPlan } from '@/core/timeline';
import { demoClasses } from '@/demo/classes';
import { cutReading, cutTime, FRAME_RATES, frameAt, frameSeconds, keptSeconds, keptStretches, onFrames } from '.';
import { proposeCuts, timecodeOf, withCut, withCutAt, withDeadAirOf, writeCutList } from '.';

const rateOf = (id: string) => {
  const found = FRAME_RATES.find((rate) => rate.id === id);
  if (!found) throw new Error(`no rate ${id}`);
  return found;
};

describe('timecode', () => {
  it('has the published counts of SMPTE ST 12-1 for drop frame', () => {
    const drop = rateOf('29.97 drop');
    expect(timecodeOf(17_982, drop)).toBe('00:10:00;00');
    expect(timecodeOf(107_892, drop)).toBe('01:00:00;00');
    expect(timecodeOf(2_589_407, drop)).toBe('23:59:59;29');
    expect(timecodeOf(2_589_408, drop)).toBe('00:00:00;00');
    expect(timecodeOf(1799, drop)).toBe('00:00:59;29');
    expect(timecodeOf(1800, drop)).toBe('00:01:00;02');
    const double = rateOf('59.94 drop');
    expect([timecodeOf(3599, double), timecodeOf(3600, double)]).toEqual(['00:00:59;59', '00:01:00;04']);
    expect(timecodeOf(215_784, double)).toBe('01:00:00;00');
  });

  it('agrees with smpte-timecode at every rate, about every border and at random', () => {
    const known = { '23.976': 23.976, '24': 24, '25': 25, '29.97 drop': 29.97, '29.97 non-drop': 29.97 } as const;
    const numbers: Readonly<Record<string, number>> = { ...known, '30': 30, '50': 50, '59.94 drop': 59.94 };
    for (const rate of FRAME_RATES) {
      const theirs = (frame: number): string =>
        createTimecode(frame, numbers[rate.id] ?? 0, rate.dropped > 0).toString();
      const minute = 60 * rate.counted;
      for (let minutes = 0; minutes < 130; minutes++)
        for (let by = -5; by <= 5; by++) {
          const frame = minutes * (minute - (minutes % 10 ? rate.dropped : 0)) + by;
          if (frame >= 0) expect(timecodeOf(frame, rate), `${rate.id} ${frame}`).toBe(theirs(frame));
        }
      fc.assert(
        fc.property(fc.integer({ min: 0, max: 2_000_000 }), (frame) => timecodeOf(frame, rate) === theirs(frame)),
      );
    }
  });

  it('takes a time to the nearest frame and back', () => {
    for (const rate of FRAME_RATES)
      for (const frame of [0, 1, 999, 107_892, 863_136]) expect(frameAt(frameSeconds(frame, rate), rate)).toBe(frame);
    expect(() => timecodeOf(-1, FRAME_RATES[0])).toThrow(RangeError);
  });
});

const cut = (startSeconds: number, endSeconds: number, on = true): Cut => ({
  startSeconds,
  endSeconds,
  reason: 'fluff',
  on,
});

describe('cuts', () => {
  it('leave what is between them, in order, also where they overlap or are off', () => {
    const kept = keptStretches([cut(20, 30), cut(0, 5), cut(25, 40), cut(50, 60, false), cut(95, 120)], 100);
    expect(kept).toEqual([
      { startSeconds: 5, endSeconds: 20 },
      { startSeconds: 40, endSeconds: 95 },
    ]);
    expect(keptSeconds(kept)).toBe(70);
    expect([0, 5, 12, 20, 30, 40, 95, 100].map((at) => cutTime(kept, at))).toEqual([0, 0, 7, 15, 15, 15, 70, 70]);
    expect(keptStretches([cut(0, 100)], 100)).toEqual([]);
    expect(keptStretches([], 100)).toEqual([{ startSeconds: 0, endSeconds: 100 }]);
  });

  it('never put a time before another, and lose just what they cut', () => {
    const stretch = fc.tuple(fc.float({ min: 0, max: 100, noNaN: true }), fc.float({ min: 0, max: 30, noNaN: true }));
    fc.assert(
      fc.property(fc.array(stretch, { maxLength: 8 }), (all) => {
        const kept = keptStretches(
          all.map(([from, length]) => cut(from, from + length)),
          100,
        );
        let before = 0;
        for (let at = 0; at <= 100; at += 2.5) {
          const now = cutTime(kept, at);
          if (now < before || now > at + 0.001) return false;
          before = now;
        }
        return Math.abs(cutTime(kept, 100) - keptSeconds(kept)) < 0.001;
      }),
    );
  });

  it('are written as CMX 3600: whole frames, as long in the record as in the source, one after the other', () => {
    const rate = rateOf('25');
    const kept = onFrames(
      [
        { startSeconds: 5.013, endSeconds: 20.5 },
        { startSeconds: 40, endSeconds: 95.999 },
      ],
      rate,
    );
    const text = writeCutList({ title: 'Harbour\nmörning', clip: 'take 1.mp4', kept, rate, picture: true });
    expect(text.split('\r\n')).toEqual([
      'TITLE: Harbour mo rning',
      'FCM: NON-DROP FRAME',
      '',
      '001  AX       B     C        00:00:05:00 00:00:20:13 01:00:00:00 01:00:15:13',
      '* FROM CLIP NAME: take 1.mp4',
      '002  AX       B     C        00:00:40:00 00:01:36:00 01:00:15:13 01:01:11:13',
      '* FROM CLIP NAME: take 1.mp4',
      '',
    ]);
    const drop = writeCutList({ title: '', clip: null, kept, rate: rateOf('29.97 drop'), picture: false });
    expect(drop).toContain('TITLE: Untitled\r\nFCM: DROP FRAME');
    expect(drop).toMatch(/^001 {2}AX {7}A {5}C {8}00:00:05;00 /m);
    expect(drop).toContain(' 01:00:00;00 ');
  });
});

describe('the cut version of a take', () => {
  const { plan } = itemAt(demoClasses(), 0);
  const timeline = expandPlan(plan);
  // Begun 12 s into the recording; a long silence after the 20th line; 30 s run on after the end.
  const at = (seconds: number, index: number): number => 12 + seconds + (index > 20 ? 25 : 0);
  const captions = timeline.cues.map(({ text, startSeconds, endSeconds }, index) => ({
    text,
    startSeconds: at(startSeconds, index),
    endSeconds: at(endSeconds, index),
  }));
  const adLib = { startSeconds: 4, endSeconds: 6, text: 'is it running now' };
  const lengthSeconds = 12 + 25 + timeline.runtimeSeconds + 30;
  const reading = readTake(timeline, { captions: [adLib, ...captions], speech: null, lengthSeconds });
  const cuts = proposeCuts(timeline, reading);

  it('is proposed without head, tail and dead air; ad-libs wait to be chosen', () => {
    expect(cuts.map(({ reason, on }) => [reason, on])).toEqual([
      ['head', true],
      ['ad-lib', false],
      ['silence', true],
      ['tail', true],
    ]);
    const silence = itemAt(cuts, 2);
    expect(Math.abs(silence.endSeconds - silence.startSeconds - 25)).toBeLessThan(2.5);
    expect(proposeCuts(timeline, { ...reading, cues: [], adLibs: [] })).toEqual([]);
  });

  it('has the same lines at its own times, and its captions and length follow', () => {
    const kept = keptStretches(cuts, lengthSeconds);
    const short = cutReading(reading, timeline, kept);
    expect(short.totals.runtimeSeconds).toBeCloseTo(keptSeconds(kept), 3);
    expect(short.totals.said).toBe(reading.totals.said);
    for (const [index, cue] of short.cues.entries())
      expect(cue.actualStart).toBeCloseTo(cutTime(kept, itemAt(reading.cues, index).actualStart ?? 0), 3);
    const without = cutReading(reading, timeline, keptStretches([cut(0, 60)], lengthSeconds));
    expect(itemAt(without.cues, 0).status).toBe('skipped');
    expect(without.adLibs).toEqual([]);
  });
});

describe('changes to cuts', () => {
  it('keep them in order: one more, one changed, one away, dead air looked for again', () => {
    const [a, b] = [cut(5, 9), cut(20, 30, false)];
    const silence = { ...cut(12, 15), reason: 'silence' as const };
    expect(withCut([a, b], silence)).toEqual([a, silence, b]);
    expect(withCutAt([a, b], 0, { ...a, startSeconds: 40, endSeconds: 44 }).map((one) => one.startSeconds)).toEqual([
      20, 40,
    ]);
    expect(withCutAt([a, b], 1, null)).toEqual([a]);
    const longer = { ...silence, endSeconds: 18 };
    expect(withDeadAirOf([a, silence, b], [cut(0, 1), longer])).toEqual([a, longer, b]);
  });

  it('beyond what the format can number are left out, and a comment says so', () => {
    const kept = Array.from({ length: 1002 }, (_, at) => ({ startSeconds: 2 * at, endSeconds: 2 * at + 1 }));
    const text = writeCutList({ title: 'x', clip: null, kept, rate: rateOf('24'), picture: true });
    expect(text).toContain('\r\n999  AX');
    expect(text.trimEnd().endsWith('* 3 MORE STRETCHES WERE LEFT OUT')).toBe(true);
  });
});

describe('what is too short for a cut', () => {
  const timeline = expandPlan(itemAt(demoClasses(), 0).plan);
  const [first, last] = [itemAt(timeline.cues, 0), itemAt(timeline.cues, timeline.cues.length - 1)];
  const captions = timeline.cues.map(({ startSeconds, endSeconds, text }) => ({ startSeconds, endSeconds, text }));
  const reading = readTake(timeline, { captions, speech: null, lengthSeconds: last.endSeconds + 30 });

  it('is an ad-lib that is over at once, and no other that lasts under a second', () => {
    const adLibs = [0, 0.5].map((lasts, at) => ({ startSeconds: 50 + at, endSeconds: 50 + at + lasts, text: null }));
    const cuts = proposeCuts(timeline, { ...reading, adLibs });
    expect(cuts.filter(({ reason }) => reason === 'ad-lib').map((one) => [one.startSeconds, one.endSeconds])).toEqual(
      [
        [49.85, 50.15],
        [50.85, 51.65],
      ].filter(([from = 0, to = 0]) => to - from >= 0.3),
    );
  });

  it('is a head or a tail of less than a second', () => {
    const from = reading.cues.map((cue) => ({
      ...cue,
      actualStart: cue.actualStart === null ? null : cue.actualStart - first.startSeconds + 2.4,
      actualEnd: cue.actualEnd === null ? null : cue.actualEnd - first.startSeconds + 2.4,
    }));
    expect(proposeCuts(timeline, { ...reading, cues: from, adLibs: [] }).some(({ reason }) => reason === 'head')).toBe(
      false,
    );
  });
});
