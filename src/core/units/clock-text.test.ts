import { describe, expect, it } from 'vitest';
import { formatClock, formatDifference, formatExactClock, parseClock } from './clock-text';

describe('clock text', () => {
  it.each([
    [0, '0:00'],
    [59.4, '0:59'],
    [59.5, '1:00'],
    [600, '10:00'],
    [3599.4, '59:59'],
    [3600, '1:00:00'],
    [-42, '−0:42'],
    [-0.2, '0:00'],
  ])('writes %d s as %s', (seconds, text) => {
    expect(formatClock(seconds)).toBe(text);
  });

  it('signs differences, and only those that round to something', () => {
    expect([42, -42, 0.3, -0.3].map(formatDifference)).toEqual(['+0:42', '−0:42', '0:00', '0:00']);
  });

  it('writes tenths where a time is set by hand', () => {
    expect([45.25, 59.96, 0, 600.04].map(formatExactClock)).toEqual(['0:45.3', '1:00.0', '0:00.0', '10:00.0']);
  });

  it.each([
    ['10:00', 600],
    [' 1:02:03 ', 3723],
    ['90', 90],
    ['0:07.5', 7.5],
    ['90:00', 5400],
  ])('reads %j as %d s', (text, seconds) => {
    expect(parseClock(text)).toBe(seconds);
  });

  it.each(['', 'ten', '1:60', '-1:00', '1:2', '1:99:00', 'NaN', '1e9:00'])('does not read %j', (text) => {
    expect(parseClock(text)).toBeNull();
  });

  it('refuses what is no number', () => {
    expect(() => formatClock(NaN)).toThrow(RangeError);
  });
});
