import { describe, expect, it } from 'vitest';
import { clockOf } from './plan-fields';

describe('a length as it is written in the tidy form', () => {
  it.each([
    ['10:00', 600],
    ['1:02:03', 3723],
    ['0:45', 45],
    ['600 s', 600],
    ['7.5 seconds', 7.5],
    ['12', 12],
    ['10 minutes', 600],
    ['1.5 min', 90],
    ['2m', 120],
    [' 3:05 ', 185],
  ])('%s is %d seconds', (text, seconds) => {
    expect(clockOf(text)).toBe(seconds);
  });

  it.each(['', '1:60', 'ten', '5 hours', '1:2', '-3 s', '10:00 or so'])('“%s” is none', (text) => {
    expect(clockOf(text)).toBeNull();
  });
});
