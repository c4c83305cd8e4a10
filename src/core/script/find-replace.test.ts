import { itemAt } from '@/core/units';
import { describe, expect, it } from 'vitest';
import { planAfter, rewordEdit } from '@/core/plan';
import { demoClasses } from '@/demo/classes';
import { findAndReplace } from '.';

const plan = itemAt(demoClasses(), 0).plan;
const words = (find: string, part: object = {}) =>
  findAndReplace(plan, { find, replace: '$& and {x}', matchCase: false, wholeWords: true, ...part });

describe('find and replace', () => {
  it('finds whole words whatever their capitals, and writes the other word as it is', () => {
    expect(words('HOME').map(({ to }) => to)).toEqual(['Breathe out, and bring it $& and {x}.', 'Out, $& and {x}.']);
    expect(words('hom')).toEqual([]);
    expect(words('hom', { wholeWords: false }).length).toBe(2);
    expect(words('HOME', { matchCase: true })).toEqual([]);
    expect(words('')).toEqual([]);
    expect(words('.*')).toEqual([]);
    expect(words('{side}', { wholeWords: false }).length).toBeGreaterThan(2);
  });

  it('changes what it showed and nothing else', () => {
    const found = words('home');
    const after = planAfter(plan, rewordEdit(plan, found));
    expect(findAndReplace(after, { find: 'home', replace: '', matchCase: false, wholeWords: true })).toEqual([]);
    const back = found.map((one) => ({ ...one, from: one.to, to: one.from }));
    expect(planAfter(after, rewordEdit(after, back))).toEqual(plan);
    expect(rewordEdit(plan, [])).toBeNull();
  });
});
