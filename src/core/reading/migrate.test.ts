import { expect, it } from 'vitest';
import { handWorkSince2 } from '.';

it('hand work of before has its lines, ad-libs and cuts under their names of now', () => {
  const before = {
    corrections: { a: { saidAtSeconds: 4.5 }, b: { saidAtSeconds: null, lengthSeconds: 2 } },
    remarks: [{ startSeconds: 1, endSeconds: 2, text: null }],
    cuts: [
      { startSeconds: 1, endSeconds: 2, reason: 'remark', on: true },
      { startSeconds: 3, endSeconds: 4, reason: 'fluff', on: false },
    ],
  };
  const now = {
    corrections: { a: { actualStart: 4.5 }, b: { actualStart: null, lengthSeconds: 2 } },
    adLibs: before.remarks,
    cuts: [{ ...before.cuts[0], reason: 'ad-lib' }, before.cuts[1]],
  };
  expect(handWorkSince2(before)).toEqual(now);
  expect(handWorkSince2({ ...before, remarks: null, cuts: null })).toEqual({ ...now, adLibs: null, cuts: null });
  expect(handWorkSince2(now)).toBe(now);
});
