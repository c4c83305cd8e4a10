import { itemAt } from '@/core/units';
import { describe, expect, it } from 'vitest';
import { readCaptions } from '../read-captions';

const read = (text: string) => {
  const result = readCaptions(text);
  if (!result.ok) throw new Error(result.problem.code);
  return result.value.captions;
};

describe('plain text with times', () => {
  it('is read with the words on the line of the time, or below it, with and without brackets and ends', () => {
    expect(read('0:01 Good morning.\n0:09.5 - 0:12 Feet apart,\nknees soft.\n[1:02:03] Out.\n')).toEqual([
      { startSeconds: 1, endSeconds: 2.4, text: 'Good morning.' },
      { startSeconds: 9.5, endSeconds: 12, text: 'Feet apart, knees soft.' },
      { startSeconds: 3723, endSeconds: 3723.95, text: 'Out.' },
    ]);
    expect(read('\uFEFF(0:05)\r\nand in\r\n(0:07)\r\nand out').map(({ text }) => text)).toEqual(['and in', 'and out']);
  });

  it('ends words before the next begin, whatever order they stand in', () => {
    const captions = read('0:10 a long line of many many words here\n0:12 next\n0:02 first');
    expect(captions.map(({ startSeconds }) => startSeconds)).toEqual([2, 10, 12]);
    expect(itemAt(captions, 1).endSeconds).toBe(12);
  });

  it('is not found where there is none', () => {
    for (const text of ['only words here', 'at 5:30 we open', '9:99 no such time'])
      expect(readCaptions(text)).toMatchObject({ ok: false, problem: { code: 'no-captions' } });
  });
});
