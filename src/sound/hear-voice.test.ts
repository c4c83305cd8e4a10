import { describe, expect, it } from 'vitest';
import { itemAt, Random } from '@/core/units';
import { HEARING_RATE, VoiceHearing, type VoiceJudge } from './hear-voice';
import { STEP_SAMPLES } from './voice-activity';

/** Bursts of a buzz, three a second, over faint noise; each tells where somebody "speaks". */
function bursts(seconds: number, spoken: readonly (readonly [from: number, to: number])[]): Float32Array {
  const chance = new Random(3);
  const samples = Float32Array.from({ length: seconds * HEARING_RATE }, () => 0.002 * (2 * chance.next() - 1));
  for (const [from, to] of spoken) {
    for (let at = Math.round(from * HEARING_RATE); at < to * HEARING_RATE; at++) {
      const t = at / HEARING_RATE;
      for (const hertz of [210, 420, 630, 1050])
        samples[at] = (samples[at] ?? 0) + 0.08 * Math.sin(2 * Math.PI * hertz * t);
    }
  }
  return samples;
}

/** Takes loud steps for a voice, and counts what it was asked. */
class LoudJudge implements VoiceJudge {
  steps = 0;
  readonly blocks: number[] = [];
  running = 0;

  async judge(samples: Float32Array<ArrayBuffer>, from: number): Promise<Float32Array> {
    expect(++this.running).toBe(1);
    await new Promise((done) => setTimeout(done, 1));
    this.running--;
    expect(from % STEP_SAMPLES).toBe(0);
    const found: number[] = [];
    for (let at = from; at + STEP_SAMPLES <= samples.length; at += STEP_SAMPLES) {
      const power = samples.subarray(at, at + STEP_SAMPLES).reduce((sum, one) => sum + one * one, 0) / STEP_SAMPLES;
      found.push(power > 1e-4 ? 0.9 : 0.01);
    }
    this.steps += found.length;
    this.blocks.push(found.length);
    return Float32Array.from(found);
  }
}

async function hear(samples: Float32Array, piece: number) {
  const judge = new LoudJudge();
  const hearing = new VoiceHearing(judge);
  for (let at = 0; at < samples.length; at += piece) await hearing.push(samples.subarray(at, at + piece));
  return { judge, heard: await hearing.finish() };
}

describe('hearing where somebody speaks', () => {
  const spoken = Array.from({ length: 80 }, (_, at) => [3 + at * 5, 4.2 + at * 5] as const);
  const samples = bursts(405, spoken);

  it('puts each stretch where it was, whatever was passed over before it, over several blocks', async () => {
    const { judge, heard } = await hear(samples, 32_000);
    expect(heard.stretches.length).toBe(spoken.length);
    heard.stretches.forEach(({ startSeconds, endSeconds }, at) => {
      expect(Math.abs(startSeconds - itemAt(spoken, at)[0])).toBeLessThan(0.07);
      expect(Math.abs(endSeconds - itemAt(spoken, at)[1])).toBeLessThan(0.07);
    });
    const all = (405 * 8000) / STEP_SAMPLES;
    expect(judge.steps).toBeLessThan(0.6 * all);
    expect(judge.blocks.length).toBeGreaterThan(1);
  });

  it('hears the same however the sound is cut', async () => {
    const some = samples.subarray(0, 40 * HEARING_RATE);
    const [one, other] = [await hear(some, 32_000), await hear(some, 777)];
    expect(other.heard.stretches).toEqual(one.heard.stretches);
    expect(other.heard.cepstra).toEqual(one.heard.cepstra);
    expect(other.judge.steps).toBe(one.judge.steps);
  });

  it('judges nothing of digital silence, and hears a voice that ends with the sound', async () => {
    const { judge, heard } = await hear(new Float32Array(20 * HEARING_RATE), 16_000);
    expect(judge.steps).toBe(0);
    expect(heard.stretches).toEqual([]);
    const late = await hear(bursts(10, [[8.7, 10]]), 16_000);
    expect(late.heard.stretches.length).toBe(1);
    expect(itemAt(late.heard.stretches, 0).endSeconds).toBeGreaterThan(9.9);
  });

  it('fails where the judge does', async () => {
    const hearing = new VoiceHearing({ judge: () => Promise.reject(new Error('gone')) });
    await hearing.push(samples.subarray(0, 10 * HEARING_RATE));
    await expect(hearing.finish()).rejects.toThrow('gone');
  });
});
