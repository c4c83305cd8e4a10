import { itemAt } from '@/core/units';
import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { readWav } from '@/core/signal';
import { VOICE_PARAGRAPH } from '@/core/voice';

const RATE = 48_000;

/**
 * The paragraph of *My voice* as espeak-ng reads it, a pause after each sentence, as a WAV of 48 kHz: `words` a minute
 * as espeak-ng counts them, `gain` on the samples (more than 1 clips), `hiss` of noise under it.
 */
export function paragraphWav(
  folder: string,
  name: string,
  {
    words = 140,
    pause = 1.2,
    gain = 1,
    hiss = 0,
  }: { words?: number; pause?: number; gain?: number; hiss?: number } = {},
): { readonly path: string; readonly samples: Float32Array } {
  const pieces: Float32Array[] = [new Float32Array(RATE)];
  for (const sentence of VOICE_PARAGRAPH) {
    const [raw, out] = [join(folder, 'raw.wav'), join(folder, 'at.wav')];
    execFileSync('espeak-ng', ['-v', 'en-gb', '-s', String(words), '-w', raw, '--', sentence]);
    execFileSync('ffmpeg', ['-v', 'error', '-y', '-i', raw, '-ar', String(RATE), '-ac', '1', out]);
    const wav = readWav(readFileSync(out));
    if (!wav.ok) throw new Error(wav.problem.code);
    pieces.push(wav.value.samples, new Float32Array(RATE * pause));
  }
  const samples = new Float32Array(pieces.reduce((sum, piece) => sum + piece.length, 0));
  let at = 0;
  for (const piece of pieces) {
    samples.set(piece, at);
    at += piece.length;
  }
  // A small generator of its own: the same noise every time.
  let seed = 12_345;
  for (let index = 0; index < samples.length; index++) {
    seed = (Math.imul(seed, 1_103_515_245) + 12_345) & 0x7fffffff;
    const noise = hiss * (seed / 0x40000000 - 1);
    samples[index] = Math.max(-1, Math.min(1, itemAt(samples, index) * gain + noise));
  }
  const path = join(folder, name);
  writeFileSync(path, wavOf(samples));
  return { path, samples };
}

/** PCM of 16 bits; Microsoft/IBM RIFF WAVE (from memory). */
function wavOf(samples: Float32Array): Buffer {
  const data = Buffer.alloc(44 + samples.length * 2);
  data.write('RIFF', 0);
  data.writeUInt32LE(36 + samples.length * 2, 4);
  data.write('WAVEfmt ', 8);
  data.writeUInt32LE(16, 16);
  data.writeUInt16LE(1, 20);
  data.writeUInt16LE(1, 22);
  data.writeUInt32LE(RATE, 24);
  data.writeUInt32LE(RATE * 2, 28);
  data.writeUInt16LE(2, 32);
  data.writeUInt16LE(16, 34);
  data.write('data', 36);
  data.writeUInt32LE(samples.length * 2, 40);
  samples.forEach((sample, index) => data.writeInt16LE(Math.round(sample * 32_767), 44 + index * 2));
  return data;
}
