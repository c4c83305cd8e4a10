import { itemAt } from '@/core/units';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { readWav } from '@/core/signal';
import { lineWeight } from '@/core/speech';
import { stepsInOrder } from '@/core/plan';
import { expandPlan } from '@/core/timeline';
import { demoClasses } from '@/demo/classes';
import { CLASS_LINES } from './class-lines';

/* Source: espeak-ng and flite from Debian's packages, as yardsticks of how long a line takes to say. Synthetic speech
   only: no human voice was measured here. */

const folder = mkdtempSync(join(tmpdir(), 'calm-speech-'));
afterAll(() => rmSync(folder, { recursive: true }));

interface Speaker {
  readonly name: string;
  /** Says a text at a speed: 1 is its usual for guided classes. */
  readonly speak: (text: string, file: string, speed: number) => void;
}

const SPEAKERS: readonly Speaker[] = [
  {
    name: 'espeak-ng',
    speak: (text, file, speed) =>
      execFileSync('espeak-ng', ['-v', 'en-gb', '-s', String(Math.round(140 * speed)), '-w', file, '--', text]),
  },
  {
    name: 'flite',
    speak: (text, file, speed) =>
      execFileSync('flite', ['-voice', 'slt', '--setf', `duration_stretch=${1 / speed}`, '-t', text, '-o', file]),
  },
];
const SPEEDS = [0.85, 1, 1.2] as const;

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
  const cross = a.reduce((sum, value, index) => sum + (value - ma) * (itemAt(b, index) - mb), 0);
  const spread = (list: readonly number[], m: number): number =>
    Math.sqrt(list.reduce((sum, value) => sum + (value - m) ** 2, 0));
  return cross / (spread(a, ma) * spread(b, mb));
}

/** Seconds for one average syllable that make relative errors smallest in the least-squares sense. */
function secondsPerSyllable(weights: readonly number[], measured: readonly number[]): number {
  const ratios = weights.map((weight, index) => weight / itemAt(measured, index));
  return ratios.reduce((sum, ratio) => sum + ratio, 0) / ratios.reduce((sum, ratio) => sum + ratio * ratio, 0);
}

const mean = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length;

/** Every line of the demo classes as it is said, each once. */
const RENDERED = [
  ...new Set(demoClasses().flatMap(({ plan }) => expandPlan(plan).cues.map((cue) => cue.text.trim()))),
].filter((text) => text !== '');
/** The talks of the demo classes, each once. */
const TALKS = new Map(
  demoClasses().flatMap(({ plan }) =>
    stepsInOrder(plan).flatMap(({ step }) => (step.kind === 'talk' ? [[step.name, step.lines] as const] : [])),
  ),
);

describe.each(SPEAKERS)('speaking time beside $name', ({ name, speak }) => {
  const measure = (text: string, speed: number): number => {
    const file = join(folder, `${name}.wav`);
    speak(text, file, speed);
    return lengthOf(file);
  };

  it('is within 10 % on average over 100 class lines, after fitting the one rate', () => {
    expect(CLASS_LINES.length).toBeGreaterThanOrEqual(100);
    const measured = CLASS_LINES.map((line) => measure(line, 1));
    const weights = CLASS_LINES.map(lineWeight);
    const syllable = secondsPerSyllable(weights, measured);
    const meanError = mean(weights.map((weight, index) => Math.abs((weight * syllable) / itemAt(measured, index) - 1)));
    const r = correlation(weights, measured);
    console.log(
      `${name}: mean absolute error ${(100 * meanError).toFixed(1)} %, correlation ${r.toFixed(3)}, ${Math.round(60 / syllable)} syllables a minute, ${measured.length} lines`,
    );
    expect(meanError).toBeLessThanOrEqual(0.1);
    expect(r).toBeGreaterThan(0.95);
  });

  // Each speed has every third line, so that the three together have them all.
  it.each(SPEEDS.map((speed, index) => [speed, index] as const))(
    'is within 10 % over the demo classes’ lines as rendered, at %s of its usual speed',
    (speed, index) => {
      const lines = RENDERED.filter((_, at) => at % SPEEDS.length === index);
      const measured = lines.map((line) => measure(line, speed));
      const weights = lines.map(lineWeight);
      const syllable = secondsPerSyllable(weights, measured);
      const error = mean(weights.map((weight, at) => Math.abs((weight * syllable) / itemAt(measured, at) - 1)));
      console.log(
        `${name} × ${speed}: mean absolute error ${(100 * error).toFixed(1)} %, ${lines.length} lines as rendered`,
      );
      expect(error).toBeLessThanOrEqual(0.1);
    },
  );

  it('is within 5 % over whole talks with their pauses', () => {
    const talks = [...TALKS.values()].map((lines) => {
      const said = lines.filter((line) => line.text.trim() !== '');
      return {
        weights: said.map((line) => lineWeight(line.text)),
        measured: said.map((line) => measure(line.text, 1)),
        pauses: lines.reduce((sum, line) => sum + line.pauseSeconds, 0),
      };
    });
    const syllable = secondsPerSyllable(
      talks.flatMap(({ weights }) => weights),
      talks.flatMap(({ measured }) => measured),
    );
    const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);
    const errors = talks.map(({ weights, measured, pauses }) =>
      Math.abs((sum(weights) * syllable + pauses) / (sum(measured) + pauses) - 1),
    );
    console.log(
      `${name}: whole talks, mean absolute error ${(100 * mean(errors)).toFixed(1)} %, ${talks.length} talks`,
    );
    expect(mean(errors)).toBeLessThanOrEqual(0.05);
  });
});
