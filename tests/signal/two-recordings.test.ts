import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { addBackground } from '@/core/practice';
import { matchRecordings, onFirstClock, pcm16, readWav, SoundTrace, wavHeader } from '@/core/signal';
import { demoPlan } from '../support/demo-plan';
import { makeTake } from '../support/takes/make-take';

/* Two recordings made of one by ffmpeg, a program from outside the project: cut, filtered, made louder, and run on a clock that
   is wrong by a known amount. */

const RATE = 16_000;
const folder = mkdtempSync(join(tmpdir(), 'calm-two-'));
afterAll(() => rmSync(folder, { recursive: true }));

const plan = demoPlan('net-menders-break');
const { samples } = makeTake({ plan, voice: 'tide', tempo: 'steady', background: 'clean', seed: 11 });
const whole = join(folder, 'whole.wav');
writeFileSync(whole, Buffer.concat([wavHeader(samples.length, RATE), pcm16(samples)]));

function made(name: string, ...filters: string[]): Float32Array {
  const out = join(folder, name);
  execFileSync('ffmpeg', ['-v', 'error', '-y', '-i', whole, '-af', filters.join(','), '-ar', String(RATE), out]);
  const sound = readWav(readFileSync(out));
  if (!sound.ok) throw new Error(sound.problem.code);
  return sound.value.samples;
}

function traceOf(sound: Float32Array): Int16Array {
  const trace = new SoundTrace(RATE);
  for (let at = 0; at < sound.length; at += 4096) trace.push(sound.subarray(at, at + 4096));
  return trace.read();
}

describe('two recordings of one class', () => {
  const camera = samples.slice();
  addBackground(camera, 0.004, 'surf', 3);
  const first = traceOf(camera);

  it('finds a known offset, before and after the start, through another microphone and surf', () => {
    for (const [late, filters] of [
      [12.345, ['atrim=start=12.345', 'highpass=f=300', 'volume=9dB']],
      [-4.2, ['adelay=4200', 'lowpass=f=3000', 'volume=-8dB']],
    ] as const) {
      const match = matchRecordings(first, traceOf(made('moved.wav', ...filters)));
      expect(Math.abs((match?.offsetSeconds ?? 0) - late)).toBeLessThan(0.01);
      expect(Math.abs(match?.driftPpm ?? 99)).toBeLessThan(10);
      expect(match?.confidence).toBeGreaterThan(0.8);
    }
  });

  it('finds a drift of 100 millionths, and puts every moment on the first clock within 15 ms', () => {
    // A clock that runs slow by 100 ppm gives samples that last longer when played at the nominal rate.
    for (const ppm of [100, -100]) {
      const wrong = Math.round(200_000 * (1 + ppm / 1e6));
      const match = matchRecordings(
        first,
        traceOf(made('drift.wav', 'atrim=start=3', `aresample=200000`, `asetrate=${wrong}`)),
      );
      if (!match) throw new Error('no match');
      expect(Math.abs(match.driftPpm - ppm)).toBeLessThan(25);
      expect(match.confidence).toBeGreaterThan(0.8);
      for (const at of [0, 60, 200, 300]) {
        const there = at / (1 + ppm / 1e6);
        expect(Math.abs(onFirstClock(match, there) - (3 + at))).toBeLessThan(0.015);
      }
    }
  });

  it('is not sure of a recording of something else, and says so of one too short', () => {
    const other = makeTake({ plan, voice: 'heron', tempo: 'wandering', background: 'birds', seed: 12 });
    expect(matchRecordings(first, traceOf(other.samples))?.confidence).toBeLessThan(0.5);
    expect(matchRecordings(first, traceOf(samples.subarray(0, RATE * 5)))).toBeNull();
  });
});
