import { describe, expect, it } from 'vitest';
import { LIMITS } from '@/core/plan';
import { cut, name } from './line-words';

describe('the name of a step', () => {
  it('is never empty, has no signs that do not print, and has an end', () => {
    expect(name(' \u0007 ')).toBe('Step');
    expect(name('a\tb')).toBe('a b');
    expect(name('é'.repeat(LIMITS.titleCharacters + 5))).toBe('é'.repeat(LIMITS.titleCharacters));
    expect(cut('😀😀😀', 2)).toBe('😀😀');
  });
});
