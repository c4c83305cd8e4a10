import { itemAt } from '@/core/units';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { fitPlan } from '@/core/pacing';
import { demoClasses } from '@/demo/classes';
import { changeWords, looseningWords, whyNot } from '@/messages/fit';
import { issueText } from '@/messages/issues';

const src = fileURLToPath(new URL('../../src', import.meta.url));
const sources = readdirSync(src, { recursive: true, encoding: 'utf8' }).filter((name) =>
  /^(core|files|workers|islands)\/.*(?<!\.test)\.tsx?$/.test(name),
);

/** Codes as they are written where issues are made. */
function codesInUse(): string[] {
  const found = new Set<string>();
  for (const name of sources) {
    const text = readFileSync(join(src, name), 'utf8');
    for (const [, code = ''] of text.matchAll(/\bcode: '([a-z-]+)', at:/g)) found.add(code);
    for (const [, code = ''] of text.matchAll(/\b(?:note|refused|bounds)\((?:reading, )?'([a-z-]+)'/g)) found.add(code);
  }
  return [...found].sort();
}

describe('the wording of codes', () => {
  it('has a sentence for every code that is used', () => {
    const codes = codesInUse().filter(
      (code) => !['no-such-section', 'no-such-step', 'no-such-field', 'id-in-use'].includes(code),
    );
    expect(codes.length).toBeGreaterThan(35);
    const wordless = codes.filter((code) => issueText({ code, at: '', facts: {} }).startsWith('Not in order ('));
    expect(wordless).toEqual([]);
  });

  it('puts the place in front', () => {
    expect(issueText({ code: 'not-whole', at: 'sections[0].steps[1].rounds', facts: {} })).toBe(
      'sections[0].steps[1].rounds: This has to be a whole number.',
    );
    expect(issueText({ code: 'never-heard-of', at: '', facts: {} })).toBe('Not in order (never-heard-of).');
  });
});

describe('the wording of a fit', () => {
  const storm = itemAt(demoClasses(), 3).plan;
  const nameOf = (id: string): string => (id === '' ? '' : 'a step');

  it('tells each change from what to what', () => {
    const fit = fitPlan(storm);
    if (!fit.feasible) throw new Error('the storm day cannot be fitted');
    for (const change of fit.changes) {
      const { what, from, to } = changeWords(change, nameOf);
      expect([what, from, to].every((words) => words.length > 0)).toBe(true);
      expect(from).not.toBe(to);
    }
  });

  it('tells why nothing fits, and what to loosen', () => {
    const low = fitPlan(storm, 60);
    const high = fitPlan(storm, 7200);
    if (low.feasible || high.feasible) throw new Error('neither should fit');
    expect(whyNot(low, 60)).toBe('1:00 is shorter than this class can be: the shortest is 1:59.');
    expect(whyNot(high, 7200)).toContain('2:00:00 is longer than this class can be');
    expect(low.loosen.length + high.loosen.length).toBeGreaterThan(1);
    for (const one of [...low.loosen, ...high.loosen])
      expect(looseningWords(one, nameOf)).toMatch(/allow|Allow|unpin|Unpin/);
  });
});
