import { describe, expect, it } from 'vitest';
import { Random } from '@/core/units';
import { Cepstra, CEPSTRA_SECONDS, COEFFICIENTS } from './cepstra';
import { Denoiser } from './denoiser';
import { OnlineStretches } from './online-stretches';
import { voiceStretches, type VoiceStretch } from './voice-stretches';

const STEP = 0.032;

/** Talk and silence by turns, as a model judges them and a meter hears them: so loud, with so much noise between. */
function steps(noise: number): { likely: Float32Array; decibels: Float32Array } {
  const chance = new Random(3);
  const likely: number[] = [];
  const decibels: number[] = [];
  for (let turn = 0; turn < 60; turn++) {
    const talk = turn % 2 === 1;
    for (let step = 0; step < 25 + 20 * chance.next(); step++) {
      likely.push(talk ? 0.85 + 0.14 * chance.next() : 0.015 * chance.next());
      decibels.push(talk ? -20 + chance.next() : noise + chance.next());
    }
  }
  return { likely: Float32Array.from(likely), decibels: Float32Array.from(decibels) };
}

function online({ likely, decibels }: ReturnType<typeof steps>): { found: VoiceStretch[]; delays: number[] } {
  const stretches = new OnlineStretches(STEP);
  const found: VoiceStretch[] = [];
  const delays: number[] = [];
  likely.forEach((one, at) => {
    const ended = stretches.add(one, decibels[at] ?? 0);
    if (!ended) return;
    found.push(ended);
    delays.push(stretches.seconds - ended.endSeconds);
  });
  return { found, delays };
}

describe('stretches of voice while the sound streams by', () => {
  it.each([-70, -32])('are those that are found afterwards, told within an eighth of a second (%d dB)', (noise) => {
    const all = steps(noise);
    const { found, delays } = online(all);
    const after = voiceStretches({ ...all, stepSeconds: STEP }).slice(0, found.length);
    expect(found.length).toBeGreaterThanOrEqual(29);
    found.forEach((one, at) => {
      expect(one.startSeconds).toBeCloseTo(after[at]?.startSeconds ?? NaN, 3);
      expect(one.endSeconds).toBeCloseTo(after[at]?.endSeconds ?? NaN, 3);
    });
    expect(Math.max(...delays)).toBeLessThan(0.13);
  });

  it.each([
    ['in quiet', -65, 4],
    ['over music', -32, 4],
    ['but not where what sounds along is as loud', -19, 0],
  ])('hear short words that the model doubts by how loud they are, %s', (_, noise, heard) => {
    const stretches = new OnlineStretches(STEP);
    const add = (as: number, decibels: number, count: number): VoiceStretch[] =>
      Array.from({ length: count }, () => stretches.add(as, decibels)).filter((one) => one !== null);
    for (let turn = 0; turn < 12; turn++) {
      add(0.95, -20, 20);
      add(0.001, noise, 20);
    }
    const found = [1, 2, 3, 4].flatMap(() => [...add(0.05, -18, 8), ...add(0.001, noise, 20)]);
    expect(found).toHaveLength(heard);
    found.forEach((one) => expect(one.endSeconds - one.startSeconds).toBeCloseTo(8 * STEP, 2));
  });

  it('pass over what is loud and no voice at all, and what is half a voice beside surf', () => {
    const stretches = new OnlineStretches(STEP);
    const add = (likely: number, decibels: number, count: number): VoiceStretch[] =>
      Array.from({ length: count }, () => stretches.add(likely, decibels)).filter((one) => one !== null);
    for (let turn = 0; turn < 12; turn++) {
      add(0.95, -20, 20);
      add(0.001, -40, 10);
      add(0.015, -30, 10);
    }
    expect(add(0.005, -15, 8)).toEqual([]);
    add(0.001, -40, 20);
    expect([...add(0.2, -30, 8), ...add(0.001, -40, 20)]).toEqual([]);
    expect([...add(0.3, -30, 8), ...add(0.001, -40, 20)]).toHaveLength(1);
  });

  it('tell since when somebody speaks', () => {
    const stretches = new OnlineStretches(STEP);
    for (let step = 0; step < 10; step++) stretches.add(0, -60);
    expect(stretches.openSince).toBeNull();
    for (let step = 0; step < 10; step++) stretches.add(0.9, -20);
    expect(stretches.openSince).toBeCloseTo(0.32, 6);
  });

  it('pass over a click, and bridge a gap within a word', () => {
    const stretches = new OnlineStretches(STEP);
    const add = (likely: number, count: number): VoiceStretch[] =>
      Array.from({ length: count }, () => stretches.add(likely, -20)).filter((one) => one !== null);
    expect(add(0.9, 2)).toEqual([]);
    expect(add(0, 12)).toEqual([]);
    add(0.9, 10);
    expect(add(0, 2)).toEqual([]);
    add(0.9, 10);
    const [one] = add(0, 12);
    expect(one?.endSeconds).toBeCloseTo(36 * STEP, 3);
    expect(one?.startSeconds).toBeCloseTo(14 * STEP, 3);
  });
});

describe('cepstra of which the beginning is let go', () => {
  it('are the same from there on', () => {
    const chance = new Random(5);
    const sound = Float32Array.from({ length: 16_000 * 20 }, () => chance.next() - 0.5);
    const whole = new Cepstra();
    whole.push(sound);
    const all = whole.read();
    const kept = new Cepstra();
    for (let at = 0; at < sound.length; at += 1600) {
      kept.push(sound.subarray(at, at + 1600));
      kept.forgetBefore(at / 16_000 - 3);
    }
    const [from, to] = [17.5, 19];
    expect(kept.between(from, to)).toEqual(
      all.slice((from / CEPSTRA_SECONDS) * COEFFICIENTS, (to / CEPSTRA_SECONDS) * COEFFICIENTS),
    );
    expect(kept.between(0, 1)).toHaveLength(0);
    expect(kept.read().length).toBeLessThan(all.length / 2);
  });
});

describe('noise taken out without looking ahead', () => {
  it('comes out at once, and takes a steady hiss away as the other does', () => {
    const chance = new Random(9);
    const hiss = Float32Array.from({ length: 16_000 * 8 }, () => 0.1 * (chance.next() - 0.5));
    const live = new Denoiser(0);
    const out = live.push(hiss);
    expect(hiss.length - out.length).toBeLessThanOrEqual(512);
    const late = new Denoiser();
    const waited = late.push(hiss);
    expect(hiss.length - waited.length).toBeGreaterThan(16_000);
    const power = (samples: Float32Array): number => samples.reduce((sum, one) => sum + one * one, 0) / samples.length;
    expect(power(out.subarray(16_000 * 4))).toBeLessThan(0.25 * power(hiss));
    expect(power(out.subarray(16_000 * 4))).toBeLessThan(1.2 * power(waited.subarray(16_000 * 4)));
  });
});
