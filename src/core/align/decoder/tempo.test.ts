import { describe, expect, it } from 'vitest';
import { takenAs } from '@/core/units';
import type { Anchor } from '../anchors';
import { tempoAlong } from './tempo';

const anchors = (pairs: readonly (readonly [number, number])[]): readonly Anchor[] =>
  pairs.map(([plannedStart, actualStart]) => takenAs<Anchor>({ plannedStart, actualStart }));

describe('the tempo along a take', () => {
  it('is the middle slope between anchors near it that are far enough apart', () => {
    const found = tempoAlong(anchors([0, 13, 26, 39].map((at) => [at, 5 + 1.2 * at])), 1);
    expect(found(20)).toBeCloseTo(1.2, 9);
  });

  it('is not bent by one that is wrong', () => {
    const right = [0, 13, 26, 39, 44].map((at): [number, number] => [at, 1.1 * at]);
    expect(tempoAlong(anchors([...right, [20, 70]]), 1)(20)).toBeCloseTo(1.1, 6);
  });

  it('is the usual one where fewer than four pairs are told apart', () => {
    // Three anchors make three pairs; anchors nearer than 12 s make none.
    expect(tempoAlong(anchors([0, 13, 26].map((at) => [at, 2 * at])), 0.9)(10)).toBe(0.9);
    expect(tempoAlong(anchors([0, 3, 6, 9, 12].map((at) => [at, 1.5 * at])), 0.9)(5)).toBe(0.9);
    expect(tempoAlong([], 1.3)(0)).toBe(1.3);
  });

  it('does not look further than 45 s, nor beyond what a person does', () => {
    const far = anchors([100, 113, 126, 139].map((at) => [at, 1.2 * at]));
    expect(tempoAlong(far, 1)(0)).toBe(1);
    expect(tempoAlong(anchors([0, 13, 26, 39].map((at) => [at, 3 * at])), 1)(20)).toBe(1.6);
    expect(tempoAlong(anchors([0, 13, 26, 39].map((at) => [at, 0.1 * at])), 1)(20)).toBe(0.65);
  });
});
