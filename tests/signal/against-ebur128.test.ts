import { itemAt } from '@/core/units';
import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, describe, expect, it } from 'vitest';
import { BreathTones } from '@/core/breath';
import { Loudness, pcm16, wavHeader } from '@/core/signal';
import { expandPlan } from '@/core/timeline';
import { demoClasses } from '@/demo/classes';

/* Levels beside ffmpeg's `ebur128`, an implementation from outside the project, and tones beside sox. */

const folder = mkdtempSync(join(tmpdir(), 'calm-levels-'));
afterAll(() => rmSync(folder, { recursive: true }));
const take = fileURLToPath(new URL('../../demo/take/before-the-first-ferry.webm', import.meta.url));

const SOUNDS: readonly (readonly [name: string, ...options: string[]])[] = [
  ['two minutes of the demo take', '-i', take, '-t', '120'],
  ['the same, louder and cut off at full scale', '-i', take, '-t', '60', '-af', 'volume=24dB'],
  ['pink noise in stereo', '-f', 'lavfi', '-i', 'anoisesrc=c=pink:a=0.3:d=20:seed=5,aformat=channel_layouts=stereo'],
  ['a tone by itself on the left', '-f', 'lavfi', '-i', 'sine=f=997:d=20,pan=stereo|c0=0.5*c0|c1=0*c0'],
];

describe('levels beside ffmpeg', () => {
  it.each(SOUNDS)('%s: integrated within 0.2 LU, true peak within 0.3 dB', (_name, ...options) => {
    const wav = join(folder, 'sound.wav');
    execFileSync('ffmpeg', ['-v', 'error', '-y', ...options, '-ar', '48000', '-c:a', 'pcm_f32le', wav]);
    const args = ['-hide_banner', '-nostats', '-i', wav, '-af', 'ebur128=peak=true', '-f', 'null', '-'];
    const told = spawnSync('ffmpeg', args, { encoding: 'utf8' }).stderr;
    const summary = told.slice(told.lastIndexOf('Summary:'));
    const theirs = {
      integrated: Number(/I:\s+(-?[\d.]+) LUFS/.exec(summary)?.[1]),
      peak: Number(/Peak:\s+(-?[\d.]+) dBFS/.exec(summary)?.[1]),
    };
    const raw = join(folder, 'sound.f32');
    const channels = /Stream.*stereo/.test(told) ? 2 : 1;
    execFileSync('ffmpeg', ['-v', 'error', '-y', '-i', wav, '-f', 'f32le', raw]);
    const bytes = readFileSync(raw);
    const samples = new Float32Array(bytes.buffer, bytes.byteOffset, bytes.length / 4);
    const planes = Array.from({ length: channels }, (_, channel) =>
      Float32Array.from({ length: samples.length / channels }, (__, at) => samples[at * channels + channel] ?? 0),
    );
    const loudness = new Loudness(48_000, channels);
    loudness.push(planes);
    const { integrated, truePeak } = loudness.read();
    expect(Math.abs((integrated ?? 0) - theirs.integrated)).toBeLessThan(0.2);
    expect(Math.abs((truePeak ?? 0) - theirs.peak)).toBeLessThan(0.3);
  });
});

describe('the breath as tones, beside sox', () => {
  it('is as long as the class, never at full scale, silent before the first breath, and between 147 and 221 Hz', () => {
    const timeline = expandPlan(itemAt(demoClasses(), 0).plan);
    const block = new Float32Array(Math.round(timeline.runtimeSeconds * 8000));
    new BreathTones(timeline.phases, 8000).addTo(block);
    const wav = join(folder, 'tones.wav');
    writeFileSync(wav, Buffer.concat([wavHeader(block.length, 8000), pcm16(block)]));
    const stat = (...effects: string[]): string =>
      spawnSync('sox', [wav, '-n', ...effects, 'stat'], { encoding: 'utf8' }).stderr;
    const number = (text: string, name: string): number =>
      Number(new RegExp(`${name}[^:]*:\\s+(-?[\\d.]+)`).exec(text)?.[1]);
    const whole = stat();
    expect(number(whole, 'Length \\(seconds\\)')).toBeCloseTo(timeline.runtimeSeconds, 2);
    expect(number(whole, 'Maximum amplitude')).toBeGreaterThan(0.2);
    expect(number(whole, 'Maximum amplitude')).toBeLessThan(0.3);
    const first = timeline.phases.find(({ kind }) => kind === 'inhale');
    if (!first) throw new Error('no breath');
    expect(number(stat('trim', '0', String(first.startSeconds)), 'Maximum amplitude')).toBeLessThan(0.001);
    const during = stat('trim', String(first.startSeconds + 0.5), String(first.endSeconds - first.startSeconds - 1));
    expect(number(during, 'Rough\\s+frequency')).toBeGreaterThan(147);
    expect(number(during, 'Rough\\s+frequency')).toBeLessThan(221);
  });
});
