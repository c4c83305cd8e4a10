import { describe, expect, it } from 'vitest';
import { COEFFICIENTS } from '@/core/signal';
import { Random } from '@/core/units';
import { QUIET_ROOM } from './room';
import { OnlineSpeech, type OnlineStretch } from './online-speech';

const FRAMES = 60;

/** Twelve stretches of a second, heard through a microphone that colours them. */
function spoken(colour: number, gain: number): OnlineStretch[] {
  const chance = new Random(5);
  const sound = (frames: number): Float32Array =>
    Float32Array.from({ length: frames * COEFFICIENTS }, (_, at) => {
      return gain * (chance.next() - 0.5) + colour * (at % COEFFICIENTS);
    });
  return Array.from({ length: 12 }, (_, at) => {
    return { startSeconds: 2 * at, endSeconds: 2 * at + 1, likely: 1, before: sound(12), cepstra: sound(FRAMES) };
  });
}

function heard(stretches: readonly OnlineStretch[]): OnlineSpeech {
  const speech = new OnlineSpeech();
  for (const stretch of stretches) speech.add(stretch);
  return speech;
}

describe('speech heard stretch by stretch', () => {
  it('has the same shapes through another microphone in another room', () => {
    const plain = heard(spoken(0, 1)).shapesIn(QUIET_ROOM).shape(3, 5);
    const coloured = heard(spoken(0.7, 2)).shapesIn(QUIET_ROOM).shape(3, 5);
    expect(coloured.length).toBe(plain.length);
    plain.forEach((value, at) => expect(coloured[at]).toBeCloseTo(value, 3));
    expect(Math.max(...plain)).toBeGreaterThan(0.5);
  });

  it('is centred on what was said', () => {
    const shape = heard(spoken(0.7, 2)).shapesIn(QUIET_ROOM).shape(0, 12);
    const mean = shape.reduce((sum, one) => sum + one, 0) / shape.length;
    expect(Math.abs(mean)).toBeLessThan(0.05);
  });

  it('joins stretches with what lies between them, and lets go of what is long past', () => {
    const speech = heard(spoken(0, 1));
    expect(speech.shapesIn(QUIET_ROOM).shape(0, 2).length).toBeGreaterThan(
      speech.shapesIn(QUIET_ROOM).shape(0, 1).length + speech.shapesIn(QUIET_ROOM).shape(1, 2).length,
    );
    for (let at = 0; at < 20; at++) spoken(0, 1).forEach((one) => speech.add(one));
    expect(speech.has(0)).toBe(false);
    expect(speech.has(speech.stretches.length - 1)).toBe(true);
    expect(speech.has(speech.stretches.length - 200)).toBe(true);
  });
});
