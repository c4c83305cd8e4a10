import { firstItems, itemAt } from '@/core/units';
import { describe, expect, it } from 'vitest';
import { isMovement, planAfter, stepsInOrder } from '@/core/plan';
import { expandPlan } from '@/core/timeline';
import { demoClasses } from '@/demo/classes';
import {
  linesInRecording,
  linesShown,
  LOG_FORMAT,
  LOG_VERSION,
  readPerformanceLog,
  startByMarks,
  startInRecording,
  type PerformanceLog,
} from '.';

const timeline = expandPlan(itemAt(demoClasses(), 0).plan);
const [first, second, third] = firstItems(timeline.cues, 3);
const log = (...events: PerformanceLog['events']): PerformanceLog => ({
  format: LOG_FORMAT,
  version: LOG_VERSION,
  title: 'x',
  events,
  performed: null,
});
const start = { event: 'start', atSeconds: 0, placeSeconds: 0 } as const;

describe('a performance log', () => {
  it('tells when lines came up, through a hold and a jump', () => {
    const lines = linesShown(
      timeline,
      log(
        start,
        { event: 'hold', atSeconds: second.startSeconds - 1, placeSeconds: second.startSeconds - 1 },
        { event: 'mark', atSeconds: second.startSeconds + 3, placeSeconds: second.startSeconds - 1 },
        { event: 'go-on', atSeconds: second.startSeconds + 9, placeSeconds: second.startSeconds - 1 },
        {
          event: 'next-step',
          atSeconds: second.startSeconds + 12,
          placeSeconds: itemAt(timeline.cues, 8).startSeconds,
        },
      ),
    );
    expect(lines[0]).toEqual({ startSeconds: first.startSeconds, endSeconds: first.endSeconds, text: first.text });
    expect(itemAt(lines, 1).startSeconds).toBeCloseTo(second.startSeconds + 10, 3);
    expect(itemAt(lines, 2).text).toBe(itemAt(timeline.cues, 8).text);
    expect(lines.some(({ text, startSeconds }) => text === third.text && startSeconds < 60)).toBe(false);
    expect(lines.length).toBe(timeline.cues.length - 6);
  });

  it('tells the lines of the class as it was performed, where it was changed', () => {
    const { plan } = itemAt(demoClasses(), 0);
    const movement = stepsInOrder(plan)
      .map(({ step }) => step)
      .filter(isMovement)
      .find(({ rounds }) => rounds > 2);
    if (!movement) throw new Error('no movement');
    const performed = planAfter(plan, { kind: 'set-step', stepId: movement.id, field: 'rounds', value: 1 });
    const planned = linesShown(timeline, log(start));
    const shown = linesShown(timeline, { ...log(start), performed });
    expect(shown.length).toBeLessThan(planned.length);
    const read = readPerformanceLog(JSON.stringify({ ...log(start), performed }));
    expect(read.ok && read.value.performed).toEqual(performed);
  });

  it('tells only what a hand moved on to, where it was led by hand', () => {
    const lines = linesShown(
      timeline,
      log(
        start,
        { event: 'by-hand', atSeconds: 0, placeSeconds: 0 },
        { event: 'next-line', atSeconds: 50, placeSeconds: second.startSeconds },
        { event: 'end', atSeconds: 500, placeSeconds: second.startSeconds },
      ),
    );
    expect(lines.map(({ text }) => text)).toEqual([first.text, second.text]);
    expect(lines[1]?.startSeconds).toBe(50);
  });

  it('is read from a file; what is none is refused', () => {
    const good = log(start, { event: 'mark', atSeconds: 4, placeSeconds: 4 });
    const read = readPerformanceLog(JSON.stringify(good));
    expect(read).toEqual({ ok: true, value: good });
    const { performed: _, ...older } = { ...good, version: 1 };
    expect(readPerformanceLog(JSON.stringify(older))).toEqual({ ok: true, value: good });
    for (const bad of [
      '',
      '{',
      '[]',
      JSON.stringify({ ...good, events: [] }),
      JSON.stringify({ ...good, version: 4 }),
      JSON.stringify({ ...good, performed: {} }),
    ])
      expect(readPerformanceLog(bad)).toMatchObject({ ok: false, problem: { code: 'bad-log' } });
    expect(readPerformanceLog(JSON.stringify(log({ ...start, atSeconds: 9 }, start))).ok).toBe(false);
  });

  it('is laid on a recording by where speech begins, also where some of it is something else', () => {
    const lines = linesShown(timeline, log(start));
    const speech = lines.flatMap(({ startSeconds, endSeconds }, at) => [
      ...(at % 6 === 0 ? [] : [{ startSeconds: startSeconds + 41.3, endSeconds: endSeconds + 41.3 }]),
      { startSeconds: 37 * at + 3.2, endSeconds: 37 * at + 4 },
    ]);
    expect(startInRecording(lines, speech)).toBe(41.3);
    const before = speech.map((one) => ({ startSeconds: one.startSeconds - 80, endSeconds: one.endSeconds - 80 }));
    expect(startInRecording(lines, before)).toBe(-38.7);
    expect(startInRecording(lines, [])).toBe(0);
    const placed = linesInRecording(timeline, log(start), { speech: before, marks: [] });
    expect(placed.length).toBeLessThan(lines.length);
    expect(itemAt(placed, 0).startSeconds).toBeGreaterThanOrEqual(0);
    expect(placed.at(-1)?.text).toBe(lines.at(-1)?.text);
  });

  it('is laid on a recording by its sync marks before anything else', () => {
    const marked = log(
      start,
      { event: 'mark', atSeconds: 4, placeSeconds: 4 },
      { event: 'mark', atSeconds: 300, placeSeconds: 300 },
    );
    const lines = linesShown(timeline, marked);
    // Speech says one thing, the marks another; a third mark is of something else.
    const speech = lines.map((line) => ({ startSeconds: line.startSeconds + 7, endSeconds: line.endSeconds + 7 }));
    const placed = linesInRecording(timeline, marked, { speech, marks: [25.02, 90, 320.98] });
    // What was recorded in the prompter is known to begin when it did, whatever is heard in it.
    const known = linesInRecording(timeline, marked, { speech, marks: [25.02, 90, 320.98], startSeconds: 2.5 });
    expect(itemAt(known, 0).startSeconds).toBeCloseTo(itemAt(lines, 0).startSeconds + 2.5, 6);
    expect(itemAt(placed, 0).startSeconds).toBeCloseTo(itemAt(lines, 0).startSeconds + 21, 1);
    expect(startByMarks(marked, [25, 321], 7)).toBe(21);
    // One mark alone could be either: it is the one that speech is nearer to.
    expect(startByMarks(marked, [311], 7)).toBe(11);
    expect(startByMarks(marked, [], 7)).toBeNull();
    expect(startByMarks(log(start), [25], 7)).toBeNull();
  });
});
