import { describe, expect, it } from 'vitest';
import { reportOf } from '@/core/report';
import { expandPlan, type Cue } from '@/core/timeline';
import { firstItems, itemAt, median } from '@/core/units';
import { demoClasses } from '@/demo/classes';
import { breathsTaken, readTake } from '.';

const timeline = expandPlan(itemAt(demoClasses(), 0).plan);
const leads = ({ source }: Cue): boolean => source.part === 'phase';
const [led] = firstItems(
  timeline.steps.filter(({ cueRange }) => timeline.cues.slice(...cueRange).filter(leads).length > 6),
  1,
);
const inLed = (cue: Cue): boolean => cue.step === led.step;

/** The class with every line said where `when` puts it; left out where that is `null`. */
function said(when: (cue: Cue) => number | null) {
  const captions = timeline.cues.flatMap((cue) => {
    const startSeconds = when(cue);
    const lasts = cue.endSeconds - cue.startSeconds;
    return startSeconds === null ? [] : [{ startSeconds, endSeconds: startSeconds + lasts, text: cue.text }];
  });
  return readTake(timeline, { captions, speech: null, lengthSeconds: 900 });
}

describe('breaths as they were taken', () => {
  it('are as much longer as the lines that lead them are further apart', () => {
    const { cues } = said(({ startSeconds }) => 3 + 1.1 * startSeconds);
    const breaths = breathsTaken(timeline, cues);
    expect(breaths.length).toBeGreaterThan(3);
    for (const { plannedSeconds, actualSeconds } of breaths)
      for (const taken of actualSeconds) expect(taken / plannedSeconds).toBeCloseTo(1.1, 2);
  });

  it('do not hold an interruption for a long breath', () => {
    const own = timeline.cues.filter((cue) => inLed(cue) && leads(cue));
    const from = itemAt(own, Math.floor(own.length / 2)).startSeconds;
    const { cues } = said(({ startSeconds }) => startSeconds + (startSeconds >= from ? 25 : 0));
    const found = breathsTaken(timeline, cues).find(({ step }) => step === led.step);
    for (const taken of found?.actualSeconds ?? []) expect(taken / led.breathSeconds).toBeCloseTo(1, 2);
    expect(found?.actualSeconds.length).toBeGreaterThanOrEqual(2);
  });

  it('are not told of a step of which too little was said', () => {
    const { cues } = said((cue) => (inLed(cue) ? null : cue.startSeconds));
    expect(breathsTaken(timeline, cues).map(({ step }) => step)).not.toContain(led.step);
  });

  it('are the same ones in the figures of the take and in its report', () => {
    const reading = said(({ startSeconds }) => 3 + 0.93 * startSeconds);
    const all = breathsTaken(timeline, reading.cues).flatMap(({ actualSeconds }) => actualSeconds);
    expect(reading.totals.breathActualSeconds).toBeCloseTo(median(all), 3);
    const steps = reportOf(timeline, reading).steps.flatMap(({ breathActualSeconds }) => breathActualSeconds ?? []);
    expect(Math.min(...steps)).toBeLessThanOrEqual(reading.totals.breathActualSeconds ?? 0);
    expect(Math.max(...steps)).toBeGreaterThanOrEqual(reading.totals.breathActualSeconds ?? 0);
  });
});
