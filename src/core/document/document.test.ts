import { describe, expect, it } from 'vitest';
import { id, ISSUES_AT_MOST, judge, list, readJson, record, shape, text, title, tooBig, whole } from '.';

const line = shape({ id: id(), words: text(10), times: whole(1, 5).optional() });
const page = shape({ name: title(20), lines: list(line, 30, 1), notes: record(line.nullable(), 3).optional() });
const good = { name: 'Page', lines: [{ id: 'a', words: 'one' }] };

function problems(document: unknown): string[] {
  const judged = judge(document, page);
  return judged.ok ? [] : judged.problem.map(({ code, at }) => `${at} ${code}`);
}

describe('a document at the door', () => {
  it('passes as it is', () => {
    expect(judge(good, page)).toEqual({ ok: true, value: good });
    expect(problems({ ...good, notes: { a: null, b: { id: 'b', words: '' } } })).toEqual([]);
  });

  it('names every problem at its place, inside lists and records too', () => {
    expect(
      problems({
        ...good,
        lines: [
          { id: 'a', words: 'one' },
          { id: '!', words: 7, times: 9 },
        ],
      }),
    ).toEqual(['lines[1].id bad-id', 'lines[1].words not-text', 'lines[1].times out-of-range']);
    expect(problems({ ...good, notes: { a: { id: 'a' } } })).toEqual(['notes.a.words missing']);
    expect(problems({ ...good, more: 1 })).toEqual([' unknown-field']);
  });

  it.each([
    [{ ...good, lines: 'none' }, 'lines not-list'],
    [{ ...good, lines: null }, 'lines not-list'],
    [{ name: 'Page' }, 'lines missing'],
    [{ ...good, lines: [] }, 'lines too-few'],
    [{ ...good, lines: Array(31).fill({}) }, 'lines too-many'],
    [{ ...good, notes: [] }, 'notes not-object'],
    [{ ...good, notes: { a: null, b: null, c: null, d: null } }, 'notes too-many'],
    [{ ...good, notes: { 'a b': null } }, 'notes bad-id'],
    [{ ...good, name: '  ' }, 'name empty'],
    [{ ...good, name: 'two\nlines' }, 'name bad-characters'],
  ])('refuses %j with one problem', (document, problem) => {
    expect(problems(document)).toEqual([problem]);
  });

  it('stops looking once enough is wrong', () => {
    const seen: unknown[] = [];
    const counted = list(
      text(5).test('seen', 'seen', (value) => {
        seen.push(value);
        return false;
      }),
      100_000,
    );
    const judged = judge(Array(100_000).fill('x'), counted);
    expect(judged.ok ? 0 : judged.problem.length).toBe(ISSUES_AT_MOST);
    expect(seen.length).toBe(ISSUES_AT_MOST);
  });
});

describe('how large a document is', () => {
  const nested = (depth: number): unknown => Array.from({ length: depth }).reduce<unknown>((inside) => [inside], 0);

  it.each([
    ['few values', [1, [2, { a: 3 }]], null],
    ['a hundred values', Array(100).fill(0), null],
    ['one more', Array(101).fill(0), 'too-many-values'],
    ['as many in parts', { a: Array(60).fill(0), b: Array(60).fill(0) }, 'too-many-values'],
    ['24 deep', nested(24), null],
    ['25 deep', nested(25), 'too-deep'],
    ['a hundred thousand deep', nested(100_000), 'too-deep'],
    ['NUL in a text', { a: 'x\u0000' }, 'bad-characters'],
    ['half a sign', ['\uD83C'], 'bad-characters'],
    ['half a sign in a name', { '\uDFFF': 1 }, 'bad-characters'],
    ['a whole sign', { '🌊': '🌊' }, null],
  ])('%s', (_, document, code) => {
    expect(tooBig(document, 100)?.code ?? null).toBe(code);
  });

  it('is looked at when a file is read', () => {
    expect(readJson('{"a": 1}', 100)).toEqual({ ok: true, value: { a: 1 } });
    for (const [file, code] of [
      ['', 'empty-file'],
      ['{', 'not-json'],
      ['x'.repeat(101), 'too-large'],
    ] as const) {
      // prettier-ignore
      const read = readJson(file, 100);
      expect(read.ok ? null : read.problem.code).toBe(code);
    }
    const deep = readJson('['.repeat(100) + ']'.repeat(100), 1_000);
    expect(deep.ok ? null : deep.problem.code).toBe('too-deep');
  });
});

describe('the JSON of a file', () => {
  it('says in megabytes how much is too much', () => {
    const read = readJson('x'.repeat(3 * 1024 * 1024), 2 * 1024 * 1024);
    expect(read).toEqual({ ok: false, problem: { code: 'too-large', at: '', facts: { megabytes: 2 } } });
    expect(readJson('x'.repeat(8), 8)).toMatchObject({ ok: false, problem: { code: 'not-json' } });
  });
});
