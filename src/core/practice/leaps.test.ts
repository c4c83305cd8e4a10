import { describe, expect, it } from 'vitest';
import { expandPlan, type Cue } from '@/core/timeline';
import { itemAt } from '@/core/units';
import { demoClasses } from '@/demo/classes';
import { plannedId } from '.';
import { withLeaps } from './leaps';

const TIMES = ['startSeconds', 'endSeconds', 'motionSeconds', 'dueSeconds'] as const;

describe('a class given otherwise than planned', () => {
  it('has one round said twice and one step left out, and what comes after moves by as much, with all its times', () => {
    let [repeated, left] = [0, 0];
    for (const { plan } of demoClasses()) {
      const timeline = expandPlan(plan);
      const { cues } = withLeaps(timeline);
      const planned = new Map(timeline.cues.map((cue) => [cue.id, cue]));
      const again = cues.filter((cue) => cue.id !== plannedId(cue.id));
      const twice = timeline.steps.find(({ step }) => step === again[0]?.step);
      const skipped = new Set(timeline.cues.map(({ id }) => id).filter((id) => !cues.some((cue) => cue.id === id)));
      const without = timeline.steps.filter(({ step, cueRange: [from, to] }) => {
        return to > from && timeline.cues.every((cue) => cue.step !== step || skipped.has(cue.id));
      });
      expect(without.length).toBeLessThan(2);
      if (twice) repeated++;
      left += without.length;
      const later = (cue: Cue): number => {
        const said = planned.get(plannedId(cue.id));
        if (!said) throw new Error(`nobody planned ${cue.id}`);
        const passed = twice !== undefined && cues.indexOf(cue) >= cues.indexOf(itemAt(again, 0));
        const gone = without.filter((one) => one.startSeconds < said.startSeconds);
        return (
          (passed ? twice.roundSeconds : 0) - gone.reduce((sum, one) => sum + one.endSeconds - one.startSeconds, 0)
        );
      };
      for (const cue of cues) {
        for (const time of TIMES) {
          const was = planned.get(plannedId(cue.id))?.[time] ?? NaN;
          expect(cue[time], `${cue.id} ${time}`).toBeCloseTo(was + later(cue), 6);
        }
      }
    }
    expect(repeated).toBeGreaterThan(3);
    expect(left).toBeGreaterThan(3);
  });
});
