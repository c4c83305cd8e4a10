import { describe, expect, it } from 'vitest';
import { targetOf } from './timing';

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
