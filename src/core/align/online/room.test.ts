import { describe, expect, it } from 'vitest';
import { COEFFICIENTS } from '@/core/signal';
import { RoomLevel, type HeardSound } from './room';

/** Frames that are so loud, in natural logarithms of power. */
const frames = (level: number, count: number): Float32Array =>
  Float32Array.from({ length: count * COEFFICIENTS }, (_, at) => (at % COEFFICIENTS === 0 ? level : 0));
const stretch = (voice: number, room: number, gap = 100): HeardSound => ({
  cepstra: frames(voice, 80),
  before: frames(room, gap),
});
const after = (level: RoomLevel, times: number, voice: number, room: number): boolean => {
  for (let time = 0; time < times; time++) level.add(stretch(voice, room));
  return level.isLoud;
};

describe('how loud a room is beside the voice', () => {
  it('is taken for quiet until something is heard', () => {
    const level = new RoomLevel();
    expect(level.isLoud).toBe(false);
    level.add({ cepstra: frames(-2, 80), before: new Float32Array(0) });
    expect(level.isLoud).toBe(false);
  });

  it('counts how far the voice stands out, and not how near the microphone is', () => {
    expect(after(new RoomLevel(), 3, -2, -12)).toBe(false);
    expect(after(new RoomLevel(), 3, -8, -18)).toBe(false);
    expect(after(new RoomLevel(), 1, -2, -6)).toBe(true);
    expect(after(new RoomLevel(), 1, -8, -12)).toBe(true);
  });

  it('is quiet again some time after the music ends, and does not waver between', () => {
    const level = new RoomLevel();
    expect(after(level, 20, -2, -6)).toBe(true);
    expect(after(level, 3, -2, -12)).toBe(true);
    expect(after(level, 30, -2, -12)).toBe(false);
    expect(after(level, 40, -2, -9.5)).toBe(false);
    expect(after(level, 40, -2, -8)).toBe(true);
    expect(after(level, 40, -2, -9.5)).toBe(true);
  });

  it('is hardly told by a gap of a few frames', () => {
    const level = new RoomLevel();
    after(level, 10, -2, -12);
    level.add(stretch(-2, -3, 2));
    expect(level.isLoud).toBe(false);
  });
});
