import { describe, expect, it } from 'vitest';
import { sleptBetween, targetOf } from './timing';

/** A time of one day, of this computer's own clock. */
const at = (hours: number, minutes: number): number => new Date(2026, 5, 4, hours, minutes).getTime();

describe('the end of a class at a time of day', () => {
  it.each([
    ['19:00', at(18, 5), 55 * 60],
    ['00:10', at(23, 40), 30 * 60],
    ['', at(18, 5), 600],
    ['18:05', at(18, 5), 600],
    ['17:00', at(18, 5), 600],
    ['soon', at(18, 5), 600],
  ])('“%s”', (endsAt, now, seconds) => {
    expect(targetOf(endsAt, 600, now)).toBe(seconds);
  });
});

describe('a computer that slept', () => {
  const at = (steadySeconds: number, wallSeconds: number) => ({ steadySeconds, wallMilliseconds: 1000 * wallSeconds });

  it('is known by either clock, whichever went on', () => {
    expect(sleptBetween(at(5, 1000), at(5.1, 1600))).toBe(600);
    expect(sleptBetween(at(5, 1000), at(605, 1000.1))).toBe(600);
    expect(sleptBetween(at(5, 1000), at(605, 1600))).toBe(600);
  });

  it('is none between ticks, nor where a page in the background has one a minute, nor where the clock is set back', () => {
    expect(sleptBetween(at(5, 1000), at(5.1, 1000.1))).toBeNull();
    expect(sleptBetween(at(5, 1000), at(66, 1061))).toBeNull();
    expect(sleptBetween(at(5, 1000), at(5.1, 400))).toBeNull();
  });
});
