import { itemAt } from '@/core/units';
import { TAKE_RATE } from '@/core/practice';
import { execFileSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readWav } from '@/core/signal';

/** Voices of Debian's espeak-ng and flite that say the takes; none of them is the aligner's own. */
export const TAKE_VOICES = {
  harbour: ['espeak-ng', '-v', 'en-gb', '-s', '122', '-p', '38'],
  gull: ['espeak-ng', '-v', 'en-us+f3', '-s', '128', '-p', '55'],
  heron: ['espeak-ng', '-v', 'en-gb-scotland+m3', '-s', '118', '-p', '45'],
  tide: ['espeak-ng', '-v', 'en-gb-x-rp+f2', '-s', '124', '-p', '60'],
  stove: ['flite', '-voice', 'awb', '--setf', 'duration_stretch=1.25'],
  rope: ['flite', '-voice', 'rms', '--setf', 'duration_stretch=1.3'],
} as const;
export type TakeVoice = keyof typeof TAKE_VOICES;

const cache = join(tmpdir(), 'calm-count-voices');

/** A line as a voice says it: mono at 16 kHz, silence at its ends cut off. Kept in the temporary folder by its text. */
export function speakLine(voice: TakeVoice, text: string): Float32Array {
  mkdirSync(cache, { recursive: true });
  const name = createHash('sha256')
    .update(JSON.stringify([TAKE_VOICES[voice], text]))
    .digest('hex')
    .slice(0, 24);
  const kept = join(cache, `${name}.f32`);
  if (!existsSync(kept)) {
    const mine = `${kept}.${process.pid}`;
    writeFileSync(mine, bytesOf(trimmed(synthesised(voice, text, `${mine}.wav`))));
    renameSync(mine, kept);
  }
  const bytes = readFileSync(kept);
  return new Float32Array(bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength));
}

function synthesised(voice: TakeVoice, text: string, file: string): Float32Array {
  const [program, ...settings] = TAKE_VOICES[voice];
  const args = program === 'flite' ? [...settings, '-t', text, '-o', file] : [...settings, '-w', file, '--', text];
  execFileSync(program, args);
  const resampled = `${file}.16.wav`;
  execFileSync('ffmpeg', ['-v', 'error', '-y', '-i', file, '-ar', String(TAKE_RATE), '-ac', '1', resampled]);
  const sound = readWav(readFileSync(resampled));
  if (!sound.ok) throw new Error(`${program} gave no sound for "${text}"`);
  return sound.value.samples;
}

function trimmed(samples: Float32Array): Float32Array {
  let from = 0;
  let to = samples.length;
  while (from < to && Math.abs(itemAt(samples, from)) < 0.008) from++;
  while (to > from && Math.abs(itemAt(samples, to - 1)) < 0.008) to--;
  const cut = samples.slice(from, to);
  const loudness = Math.sqrt(cut.reduce((sum, one) => sum + one * one, 0) / Math.max(1, cut.length));
  return cut.map((one) => (0.08 * one) / Math.max(1e-6, loudness));
}

function bytesOf(samples: Float32Array): Uint8Array {
  return new Uint8Array(samples.buffer, samples.byteOffset, samples.byteLength);
}
