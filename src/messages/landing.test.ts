import { describe, expect, it } from 'vitest';
import type { Replan } from '@/core/conductor';
import { emptyPlan } from '@/core/plan';
import { expandPlan } from '@/core/timeline';
import { landingWords } from './landing';

let count = 0;
const plan = emptyPlan(() => `m${++count}`, 'Sample', 600, 10);
const offered = (part: Partial<Replan>): Replan => ({
  plan,
  timeline: expandPlan(plan),
  edit: { kind: 'together', edits: [] },
  changes: [],
  breathFactor: 1,
  lateSeconds: 42,
  lateAfterSeconds: 0.4,
  ...part,
});
const change = (what: 'rounds' | 'time' | 'left-out', from: number, to: number, stepId = 'a') => ({
  ...{ what, stepId, from, to, seconds: -10 },
});
const nameOf = (id: string): string => ({ a: 'Nets', b: 'Post' })[id] ?? '';

describe('what is said of a class that is late', () => {
  it('tells what changes and where that ends', () => {
    const changes = [change('rounds', 3, 2), change('time', 113, 90, 'b')];
    expect(landingWords(42, offered({ changes }), nameOf)).toEqual({
      late: '42 s late.',
      changes: 'Nets 3 → 2 rounds, Post 1:53 → 1:30:',
      ends: 'ends on time',
    });
  });

  it('counts what is too much to tell, the breath among it', () => {
    const changes = [change('left-out', 0, 1), change('rounds', 3, 1), change('rounds', 4, 2)];
    const words = landingWords(-75, offered({ changes, breathFactor: 0.95, lateAfterSeconds: -12 }), nameOf);
    expect(words).toEqual({
      late: '1:15 early.',
      changes: 'skip Nets, Nets 3 → 1 round, Nets 4 → 2 rounds, and 1 more:',
      ends: 'ends 12 s early',
    });
    expect(landingWords(9, offered({ breathFactor: 1.1 }), nameOf).changes).toBe('breath 10 % slower:');
  });

  it('does not read out a second that is left over', () => {
    const slight = change('time', 300, 299, 'b');
    const words = (part: Partial<Replan>) => landingWords(-42, offered(part), nameOf).changes;
    expect(words({ changes: [change('rounds', 9, 10), slight] })).toBe('Nets 9 → 10 rounds:');
    expect(words({ changes: [slight], breathFactor: 1.1 })).toBe('breath 10 % slower:');
    expect(words({ changes: [slight] })).toBe('Post 5:00 → 4:59:');
    expect(words({ changes: [change('time', 300, 302, 'b')] })).toBe('Post 5:00 → 5:02:');
  });

  it('says so where nothing helps', () => {
    expect(landingWords(30, null, nameOf)).toMatchObject({
      changes: 'No remaining step can make up for that.',
      ends: '',
    });
  });
});
