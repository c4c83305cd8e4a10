import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { lastStartedAt, overlapSeconds } from './interval';

describe('intervals', () => {
  it('finds the last item started, as a plain search does', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 50 })), fc.integer({ min: -5, max: 60 }), (starts, seconds) => {
        const items = [...starts]
          .sort((a, b) => a - b)
          .map((start) => ({ startSeconds: start, endSeconds: start + 1 }));
        expect(lastStartedAt(items, seconds)).toBe(items.findLastIndex((item) => item.startSeconds <= seconds));
      }),
    );
  });

  it('does not count touching ends as overlap', () => {
    const first = { startSeconds: 0, endSeconds: 2 };
    expect(overlapSeconds(first, { startSeconds: 2, endSeconds: 3 })).toBe(0);
    expect(overlapSeconds(first, { startSeconds: 1.5, endSeconds: 3 })).toBe(0.5);
  });
});
