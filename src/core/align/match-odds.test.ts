import { describe, expect, it } from 'vitest';
import type { Cue } from '@/core/timeline';
import { expandPlan } from '@/core/timeline';
import { demoClasses } from '@/demo/classes';
import { likenessKept } from './likeness';
import { matchSpeech } from './match-speech';

const cues: readonly Cue[] = expandPlan(demoClasses()[1].plan).cues.slice(0, 12);
const said = cues.map(({ startSeconds, endSeconds }) => ({
  startSeconds: startSeconds + 1,
  endSeconds: endSeconds + 1,
  likely: 1,
}));

describe('how sure a match is', () => {
  it('is high where each line has one place that fits', () => {
    const { path, odds } = matchSpeech(cues, said, null);
    expect(path.length).toBe(cues.length);
    for (const match of path) expect(odds.said(match.cueFrom, match)).toBeGreaterThan(0.8);
  });

  it('is shared where a line could be in two places, and the shares add up to one', () => {
    const at = 5;
    const twice = [...said];
    // The same length again, as far behind the planned place as the other is before it.
    const length = said[at].endSeconds - said[at].startSeconds;
    const middle = (said[at].startSeconds + said[at].endSeconds) / 2;
    twice.splice(
      at,
      1,
      { startSeconds: middle - 1.1 * length, endSeconds: middle - 0.1 * length, likely: 1 },
      { startSeconds: middle + 0.1 * length, endSeconds: middle + 1.1 * length, likely: 1 },
    );
    const { path, odds } = matchSpeech(cues, twice, null);
    const match = path.find(({ cueFrom }) => cueFrom === at);
    if (!match) throw new Error('not matched');
    const sure = odds.said(at, match);
    expect(sure).toBeLessThan(0.9);
    expect(sure + odds.skipped(at)).toBeLessThanOrEqual(1.000001);
  });

  it('tells a line that was not said', () => {
    const { path, odds } = matchSpeech(
      cues,
      said.filter((_, at) => at !== 4),
      null,
    );
    expect(path.some(({ cueFrom, cueTo }) => cueFrom <= 4 && cueTo > 4)).toBe(false);
    expect(odds.skipped(4)).toBeGreaterThan(0.5);
  });
});

describe('likeness that was kept', () => {
  const kept = { texts: ['a', 'b'], found: [0, 1, 0, -350, 0, 1, 1, 20, 4, 2, 1, -100] };
  it('tells what was asked before, and nothing else', () => {
    const likeness = likenessKept(kept);
    expect(likeness.unlikeness(0, 1, 'a')).toBe(-3.5);
    expect(likeness.unlikeness(0, 1, 'b')).toBe(0.2);
    expect(likeness.unlikeness(4, 6, 'b')).toBe(-1);
    expect(likeness.unlikeness(4, 6, 'a')).toBeNull();
    expect(likeness.unlikeness(0, 1, 'c')).toBeNull();
    expect(likeness.adaptedTo([])).toBe(likeness);
    expect(likeness.kept()).toEqual(kept);
  });
});
