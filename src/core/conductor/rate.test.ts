import { describe, expect, it } from 'vitest';
import type { LoggedEvent } from './performance-log';
import { rateOf } from './rate';

/** Lines of ten planned seconds each that took so long, moved on to by hand. */
function lines(took: readonly number[], planned = 10, event: LoggedEvent['event'] = 'next-line'): LoggedEvent[] {
  const events: LoggedEvent[] = [{ event: 'start', atSeconds: 0, placeSeconds: 0 }];
  let at = 0;
  took.forEach((seconds, index) => {
    at += seconds;
    events.push({ event, atSeconds: at, placeSeconds: planned * (index + 1) });
  });
  return events;
}
const six = (seconds: number): number[] => Array.from({ length: 6 }, () => seconds);

describe('the rate by the lines moved on to', () => {
  it('is time passed over time planned, from six lines on', () => {
    expect(rateOf(lines(six(11)))).toBeCloseTo(1.1, 9);
    expect(rateOf(lines(six(11).slice(1)))).toBe(1);
  });

  it('takes what was heard as what was moved on to, and nothing that was not', () => {
    expect(rateOf(lines(six(12), 10, 'heard'))).toBeCloseTo(1.2, 9);
    expect(rateOf(lines(six(12), 10, 'next-step'))).toBe(1);
    expect(rateOf(lines(six(12), 10, 'tick'))).toBe(1);
  });

  it('leaves stops and jumps out, at the bounds not', () => {
    expect(rateOf(lines([...six(12), 16.1, 5.9]))).toBeCloseTo(1.2, 9);
    expect(rateOf(lines([...six(12), 16]))).toBeCloseTo((72 + 16) / 70, 9);
    expect(rateOf(lines([...six(12), 6]))).toBeCloseTo((72 + 6) / 70, 9);
  });

  it('knows no pace of lines that are planned at once', () => {
    expect(rateOf(lines(six(0.45), 0.4))).toBe(1);
    expect(rateOf(lines(six(0.6), 0.5))).toBeCloseTo(1.2, 9);
  });

  it('looks at the last two hundred lines', () => {
    const long = [...Array.from({ length: 50 }, () => 14), ...Array.from({ length: 200 }, () => 10)];
    expect(rateOf(lines(long))).toBe(1);
  });
});
