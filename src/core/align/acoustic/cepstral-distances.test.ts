import { describe, expect, it } from 'vitest';
import { itemAt, Random } from '@/core/units';
import { COEFFICIENTS } from '@/core/signal';
import { cepstralDistances } from './cepstral-distances';
import { tempoAlong } from '../decoder/tempo';

/** Made-up cepstra of a word: a slow walk of its own. */
function word(seed: number, frames: number): Float32Array {
  const chance = new Random(seed);
  const now = new Float32Array(COEFFICIENTS);
  const out = new Float32Array(frames * COEFFICIENTS);
  for (let frame = 0; frame < frames; frame++) {
    if (frame % 10 === 0) for (let order = 0; order < COEFFICIENTS; order++) now[order] = 4 * (chance.next() - 0.5);
    out.set(now, frame * COEFFICIENTS);
  }
  return out;
}

/** The same said slower by a quarter, in another room. */
function slower(of: Float32Array): Float32Array {
  const frames = Math.floor((of.length / COEFFICIENTS) * 1.25);
  const out = new Float32Array(frames * COEFFICIENTS);
  for (let frame = 0; frame < frames; frame++) {
    for (let order = 0; order < COEFFICIENTS; order++) {
      out[frame * COEFFICIENTS + order] = 0.5 + 1.7 * itemAt(of, Math.floor(frame / 1.25) * COEFFICIENTS + order);
    }
  }
  return out;
}

describe('how a stretch is like a text', () => {
  const texts = new Map(Array.from({ length: 9 }, (_, at) => [`text ${at}`, word(at + 1, 60 + 8 * at)]));
  const said = [...texts.values()].map(slower);
  const cepstra = new Float32Array(said.reduce((sum, one) => sum + one.length, 0));
  const speech: { startSeconds: number; endSeconds: number }[] = [];
  let at = 0;
  for (const one of said) {
    cepstra.set(one, at);
    speech.push({ startSeconds: at / COEFFICIENTS / 100, endSeconds: (at + one.length) / COEFFICIENTS / 100 });
    at += one.length;
  }
  const distances = cepstralDistances(cepstra, speech, texts);

  it('is nearest for the right text, whatever the tempo and the room', () => {
    speech.forEach((_, index) => {
      const all = [...texts.keys()].map((text) => distances.distance(index, index + 1, text) ?? 99);
      expect(all.indexOf(Math.min(...all))).toBe(index);
      expect(all[index]).toBeLessThan(-3);
    });
  });

  it('is not told of a text that cannot be that long, or is none of the class', () => {
    expect(distances.distance(0, 4, 'text 0')).toBeNull();
    expect(distances.distance(0, 1, 'something else')).toBeNull();
    expect(cepstralDistances(cepstra, speech.slice(0, 1), new Map()).distance(0, 1, 'text 0')).toBeNull();
  });
});

describe('the tempo along a take', () => {
  const anchors = Array.from({ length: 60 }, (_, at) => ({
    plannedStart: 5 * at,
    actualStart: at < 30 ? 5 * at : 150 + 1.2 * 5 * (at - 30) + 15,
  }));

  it('follows where it changes, and is not bent by an interruption', () => {
    const tempo = tempoAlong(anchors, 1.1);
    expect(tempo(60)).toBeCloseTo(1, 2);
    expect(tempo(240)).toBeCloseTo(1.2, 2);
  });

  it('is the usual one where anchors are few', () => {
    expect(tempoAlong(anchors.slice(0, 2), 1.1)(60)).toBe(1.1);
    expect(tempoAlong([], 0.9)(0)).toBe(0.9);
  });
});
