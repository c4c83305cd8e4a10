import { describe, expect, it } from 'vitest';
import { expandPlan } from '@/core/timeline';
import { demoClasses } from '@/demo/classes';
import { itemAt } from '@/core/units';
import { speakingRate } from './whole';

const { cues } = expandPlan(itemAt(demoClasses(), 0).plan);
const lines = cues.filter(({ text }) => text.length > 25).slice(0, 20);

/** The lines said `faster` than planned, but for some that were found with a wrong end. */
function rate(faster: number, wrong: ReadonlyMap<number, number> = new Map()): number {
  const said = lines.map((cue, at) => {
    const saidSeconds = cue.startSeconds;
    const lasts = ((cue.endSeconds - cue.startSeconds) / faster) * (wrong.get(at) ?? 1);
    return { cue, saidSeconds, endSeconds: saidSeconds + lasts };
  });
  return speakingRate(said as never) ?? 0;
}

describe('the rate of speech', () => {
  it('follows the lines, and the quickest and the slowest tenth do not count', () => {
    expect(rate(1.2) / rate(1)).toBeCloseTo(1.2, 1);
    const asMost = rate(1);
    // Two of twenty twice as long, two half as long.
    const strayed = rate(1, new Map([[0, 3], [1, 3], [2, 0.34], [3, 0.34]])); // prettier-ignore
    expect(Math.abs(strayed - asMost)).toBeLessThan(0.06 * asMost);
  });
});
