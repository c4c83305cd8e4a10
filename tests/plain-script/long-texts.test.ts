import { describe, expect, it } from 'vitest';
import { readScript } from '@/core/plain-script';
import { LIMITS, readPlan, stepsInOrder } from '@/core/plan';
import { itemAt } from '@/core/units';
import { countingIds } from '../support/chance';

const read = (lines: readonly string[]) => readScript(countingIds('t'), lines.join('\n'));

/** Parts of a hundred steps, so that none has too many of its own. */
function stepsOf(count: number): string[] {
  return Array.from({ length: count }, (_, at) => [
    ...(at % 100 === 0 ? [`## Part ${at / 100 + 1}`] : []),
    `- Rowing number ${at + 1}, ${(at % 9) + 2} times`,
    '  in: arms rise',
    '  out: arms sink',
  ]).flat();
}

describe('a text of more steps than a class can have', () => {
  it('is read to its end while the steps fit', () => {
    const lines = stepsOf(LIMITS.stepsInPlan);
    const { plan, lines: found, unreadFrom } = read(lines);
    expect(unreadFrom).toBeNull();
    expect(found).toHaveLength(lines.length);
    expect(itemAt(found, lines.length - 1)).toMatchObject({ kind: 'exhale', words: 'arms sink' });
    expect(stepsInOrder(plan)).toHaveLength(LIMITS.stepsInPlan);
    expect(readPlan(plan).ok).toBe(true);
  });

  it('says from which line on it was not read, and makes no class that lacks the rest', () => {
    const lines = [...stepsOf(LIMITS.stepsInPlan + 30), 'Closing', 'Thank you for the day.'];
    const { plan, lines: found, unreadFrom } = read(lines);
    const last = lines.indexOf(`- Rowing number ${LIMITS.stepsInPlan + 1}, ${(LIMITS.stepsInPlan % 9) + 2} times`);
    expect(unreadFrom).toBe(last + 2);
    expect(found.map(({ text }) => text)).toEqual(lines);
    expect(found.slice(last + 1).every(({ kind, words }) => kind === 'nothing' && words === '')).toBe(true);
    expect(readPlan(plan)).toMatchObject({ ok: false, problem: [{ code: 'too-many-steps' }] });
  });

  it('is read to its end where it is said, as long as it may be', () => {
    const lines = Array.from({ length: 5_900 }, (_, at) => `Let the weight sink to ${at} and breathe.`);
    const { plan, lines: found, unreadFrom } = read(lines);
    expect(unreadFrom).toBeNull();
    expect(found.every(({ kind }) => kind === 'said')).toBe(true);
    const said = stepsInOrder(plan).flatMap(({ step }) => (step.kind === 'talk' ? step.lines : []));
    expect(said.map(({ text }) => text)).toEqual(lines);
  });
});

describe('a line that was read before', () => {
  it('is read anew where it stands in something else', () => {
    const kindsOf = (lines: readonly string[]) => read(lines).lines.map(({ kind }) => kind);
    const line = 'Both sides';
    const ways = [
      ['Morning', '', 'Main set', '- Rowing x8', line],
      ['Morning', '', 'Main set', 'Welcome to the hall, everyone.', line],
      ['Morning', '', 'Bring:', '- a mat', `- ${line}`],
    ];
    const first = ways.map(kindsOf);
    expect(first.map((kinds) => kinds.at(-1))).toEqual(['setting', 'said', 'nothing']);
    expect(ways.map(kindsOf)).toEqual(first);
  });

  it('is the same again after an edit elsewhere', () => {
    const script = ['Morning - 20 min', '', 'Main set', '- Rowing x8', '  in: arms rise', '- Stand quietly 2 min', '  eyes closed']; // prettier-ignore
    const before = read(script).lines;
    const after = read(script.map((line) => line.replace('x8', 'x12'))).lines;
    expect(after.map(({ kind, words }) => [kind, words])).toEqual(before.map(({ kind, words }) => [kind, words]));
    expect(itemAt(after, 3).counts).toEqual({ rounds: 12 });
    expect(read(script).lines).toEqual(before);
  });
});
