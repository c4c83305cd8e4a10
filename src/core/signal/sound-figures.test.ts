import { describe, expect, it } from 'vitest';
import { clearnessOf } from '.';
import { FRAME_SECONDS } from './level-meter';

const levels = Float32Array.from({ length: 100 }, (_, frame) => (frame >= 20 && frame < 40 ? -20 - (frame % 3) : -60));
const over = (from: number, to: number) => ({ startSeconds: from * FRAME_SECONDS, endSeconds: to * FRAME_SECONDS });

describe('how far speech stands over the rest', () => {
  it('is the middle of the loudest moments of what is said, over the floor', () => {
    expect(clearnessOf(levels, [over(20, 40)], -60)).toBe(40);
    expect(clearnessOf(levels, [over(20, 40), over(50, 60), over(70, 80)], -60)).toBe(0);
  });

  it('is nothing where nobody speaks, or nothing is heard', () => {
    expect(clearnessOf(levels, [], -60)).toBe(0);
    expect(clearnessOf(levels, [over(20, 40)], null)).toBe(0);
    expect(clearnessOf(levels, [over(200, 240)], -60)).toBe(0);
  });
});
