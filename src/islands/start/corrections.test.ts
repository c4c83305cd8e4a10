import { describe, expect, it } from 'vitest';
import { readScript } from '@/core/plain-script';
import { itemAt } from '@/core/units';
import { correctionsIn } from './kept-script';
import { alike, carried, confirmLine, isOpen, nextOpen, NO_CORRECTIONS, putLines } from './corrections';

const numbered = (): (() => string) => {
  let count = 0;
  return () => `id${count++}`;
};
const SCRIPT = ['Slack tide', '', 'Main set', '1. Raising the lamp x5', 'Let the arms hang', 'Let the jaw hang', 'Closing', 'Stand quietly for two minutes']; // prettier-ignore
const read = (): ReturnType<typeof readScript>['lines'] => readScript(numbered(), SCRIPT.join('\n')).lines;

describe('what a person says of the lines of a script', () => {
  it('stays with its lines when lines are added or removed above, between and below', () => {
    const said = confirmLine(putLines(NO_CORRECTIONS, [4, 8], 'talk'), { number: 6, kind: 'said' });
    const before = SCRIPT.join('\n');
    const below = carried(said, before, `${before}\nThanks.`);
    expect([[...below.put], [...below.right]]).toEqual([[[4, 'talk'], [8, 'talk']], [[6, 'said']]]); // prettier-ignore
    const above = carried(said, before, `Notes\n${before}`);
    expect([[...above.put], [...above.right]]).toEqual([[[5, 'talk'], [9, 'talk']], [[7, 'said']]]); // prettier-ignore
    const between = carried(said, before, [...SCRIPT.slice(0, 4), ...SCRIPT.slice(5)].join('\n'));
    expect([[...between.put], [...between.right]]).toEqual([[[4, 'talk'], [7, 'talk']], [[5, 'said']]]); // prettier-ignore
  });

  it('goes with a line that is removed, and with another script', () => {
    const said = putLines(NO_CORRECTIONS, [4], 'talk');
    const without = [...SCRIPT.slice(0, 3), ...SCRIPT.slice(4)].join('\n');
    expect(carried(said, SCRIPT.join('\n'), without).put.size).toBe(0);
    expect(carried(said, SCRIPT.join('\n'), SCRIPT.map((line) => `${line}, other`).join('\n')).put.size).toBe(0);
  });

  it('keeps what a line was put to while that line is edited, and asks anew whether a guess is right', () => {
    const said = confirmLine(putLines(NO_CORRECTIONS, [5], 'movement'), { number: 5, kind: 'said' });
    const edited = SCRIPT.map((line, at) => (at === 4 ? `${line} down` : line)).join('\n');
    const after = carried(said, SCRIPT.join('\n'), edited);
    expect([[...after.put], [...after.right]]).toEqual([[[5, 'movement']], []]);
  });

  it('leads from guess to guess, round to the first, and to none', () => {
    const lines = read();
    const guesses = lines.filter((line) => isOpen(line, NO_CORRECTIONS)).map(({ number }) => number);
    expect(guesses).toEqual([5, 6]);
    expect(nextOpen(lines, NO_CORRECTIONS, 0)).toBe(5);
    expect(nextOpen(lines, NO_CORRECTIONS, 5)).toBe(6);
    expect(nextOpen(lines, NO_CORRECTIONS, 6)).toBe(5);
    expect(nextOpen(lines, confirmLine(NO_CORRECTIONS, { number: 6, kind: 'said' }), 5)).toBeNull();
  });

  it('asks again where a guess that was right is read as something else', () => {
    const [line] = read().filter(({ number }) => number === 5);
    const said = confirmLine(NO_CORRECTIONS, { number: 5, kind: 'said' });
    expect(line && isOpen(line, said)).toBe(false);
    expect(line && isOpen({ ...line, kind: 'section' }, said)).toBe(true);
  });

  it('knows the guesses that look like one, and no line that is certain', () => {
    const lines = read();
    expect(alike(lines, NO_CORRECTIONS, itemAt(lines, 4))).toEqual([6]);
    expect(alike(lines, confirmLine(NO_CORRECTIONS, { number: 6, kind: 'said' }), itemAt(lines, 4))).toEqual([]);
    expect(alike(lines, NO_CORRECTIONS, itemAt(lines, 3))).toEqual([]);
  });

  it('is read back for its own text alone, and what cannot be read is none', () => {
    const written = JSON.stringify({ length: 3, put: [[1, 'talk'], [2, 'nonsense'], 'x'], right: [[3, 'said'], '4'] }); // prettier-ignore
    const back = correctionsIn(written, 'abc');
    expect([[...back.put], [...back.right]]).toEqual([[[1, 'talk']], [[3, 'said']]]);
    for (const [stored, text] of [
      [written, 'abcd'],
      ['{', 'abc'],
      [null, 'abc'],
      ['[]', ''],
      ['{"length":0,"put":1}', ''],
    ] as const)
      // prettier-ignore
      expect(correctionsIn(stored, text).put.size).toBe(0);
  });
});
