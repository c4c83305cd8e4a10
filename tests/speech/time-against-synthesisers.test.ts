import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { readWav } from '@/core/signal';
import { lineWeight } from '@/core/speech';
import { CLASS_LINES } from './class-lines';

/* Source: espeak-ng and flite from Debian's packages, as yardsticks of how long a line takes to say. Synthetic speech
   only: no human voice was measured here. */

const folder = mkdtempSync(join(tmpdir(), 'calm-speech-'));
afterAll(() => rmSync(folder, { recursive: true }));

const SPEAKERS: readonly { readonly name: string; readonly speak: (text: string, file: string) => void }[] = [
  {
    name: 'espeak-ng',
    speak: (text, file) => execFileSync('espeak-ng', ['-v', 'en-gb', '-s', '140', '-w', file, '--', text]),
  },
  { name: 'flite', speak: (text, file) => execFileSync('flite', ['-voice', 'slt', '-t', text, '-o', file]) },
];

/** Length of the sound between its first and last sample that is not silence. */
function lengthOf(file: string): number {
  const sound = readWav(readFileSync(file));
  if (!sound.ok) throw new Error(sound.problem.code);
  const { samples, sampleRate } = sound.value;
  const loud = (value: number): boolean => Math.abs(value) > 0.01;
  return (samples.findLastIndex(loud) - samples.findIndex(loud)) / sampleRate;
}

function correlation(a: readonly number[], b: readonly number[]): number {
  const mean = (list: readonly number[]): number => list.reduce((sum, value) => sum + value, 0) / list.length;
  const [ma, mb] = [mean(a), mean(b)];
  const cross = a.reduce((sum, value, index) => sum + (value - ma) * (b[index] - mb), 0);
  const spread = (list: readonly number[], m: number): number =>
    Math.sqrt(list.reduce((sum, value) => sum + (value - m) ** 2, 0));
  return cross / (spread(a, ma) * spread(b, mb));
}

describe.each(SPEAKERS)('speaking time beside $name', ({ name, speak }) => {
  it('is within 10 % on average over 100 class lines, after fitting the one rate', () => {
    expect(CLASS_LINES.length).toBeGreaterThanOrEqual(100);
    const measured = CLASS_LINES.map((line, index) => {
      const file = join(folder, `${name}-${index}.wav`);
      speak(line, file);
      return lengthOf(file);
    });
    const weights = CLASS_LINES.map(lineWeight);
    // The rate that makes relative errors smallest in the least-squares sense.
    const ratios = weights.map((weight, index) => weight / measured[index]);
    const secondsPerSyllable =
      ratios.reduce((sum, ratio) => sum + ratio, 0) / ratios.reduce((sum, ratio) => sum + ratio * ratio, 0);
    const errors = ratios.map((ratio) => Math.abs(ratio * secondsPerSyllable - 1));
    const meanError = errors.reduce((sum, error) => sum + error, 0) / errors.length;
    const r = correlation(weights, measured);
    console.log(
      `${name}: mean absolute error ${(100 * meanError).toFixed(1)} %, correlation ${r.toFixed(3)}, ${Math.round(60 / secondsPerSyllable)} syllables a minute, ${measured.length} lines`,
    );
    expect(meanError).toBeLessThanOrEqual(0.1);
    expect(r).toBeGreaterThan(0.95);
  });
});
