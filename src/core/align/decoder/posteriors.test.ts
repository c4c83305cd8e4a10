import { itemAt } from '@/core/units';
import { describe, expect, it } from 'vitest';
import type { Cue } from '@/core/timeline';
import { expandPlan } from '@/core/timeline';
import { demoClasses } from '@/demo/classes';
import { decode } from './viterbi';

const cues: readonly Cue[] = expandPlan(itemAt(demoClasses(), 1).plan).cues.slice(0, 12);
const said = cues.map(({ startSeconds, endSeconds }) => ({
  startSeconds: startSeconds + 1,
  endSeconds: endSeconds + 1,
  likely: 1,
}));

describe('how sure a match is', () => {
  it('is high where each line has one place that fits', () => {
    const { path, odds } = decode(cues, said, null);
    expect(path.length).toBe(cues.length);
    for (const match of path) expect(odds.said(match.cueFrom, match)).toBeGreaterThan(0.8);
  });

  it('is shared where a line could be in two places, and the shares add up to one', () => {
    const at = 5;
    const twice = [...said];
    // The same length again, as far behind the planned place as the other is before it.
    const length = itemAt(said, at).endSeconds - itemAt(said, at).startSeconds;
    const middle = (itemAt(said, at).startSeconds + itemAt(said, at).endSeconds) / 2;
    twice.splice(
      at,
      1,
      { startSeconds: middle - 1.1 * length, endSeconds: middle - 0.1 * length, likely: 1 },
      { startSeconds: middle + 0.1 * length, endSeconds: middle + 1.1 * length, likely: 1 },
    );
    const { path, odds } = decode(cues, twice, null);
    const match = path.find(({ cueFrom }) => cueFrom === at);
    if (!match) throw new Error('not matched');
    const sure = odds.said(at, match);
    expect(sure).toBeLessThan(0.9);
    expect(sure + odds.skipped(at)).toBeLessThanOrEqual(1.000001);
  });

  it('tells a line that was not said', () => {
    const { path, odds } = decode(
      cues,
      said.filter((_, at) => at !== 4),
      null,
    );
    expect(path.some(({ cueFrom, cueTo }) => cueFrom <= 4 && cueTo > 4)).toBe(false);
    expect(odds.skipped(4)).toBeGreaterThan(0.5);
  });
});
