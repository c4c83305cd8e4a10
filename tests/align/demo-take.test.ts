import { itemAt } from '@/core/units';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import type { Evidence } from '@/core/align';
import { readCaptions } from '@/core/interchange';
import { readTake } from '@/core/reading';
import { LevelMeter, readWav, speechSegments } from '@/core/signal';
import { expandPlan } from '@/core/timeline';
import { demoClasses } from '@/demo/classes';
import type { DemoTruth } from '@/demo/seed';

/* The demo take is synthetic speech with a known truth: figures here are of synthetic speech in a quiet room only. */

const folder = mkdtempSync(join(tmpdir(), 'calm-take-'));
afterAll(() => rmSync(folder, { recursive: true }));
const file = (ending: string): string =>
  new URL(`../../demo/take/before-the-first-ferry${ending}`, import.meta.url).pathname;
const truth = JSON.parse(readFileSync(file('.truth.json'), 'utf8')) as DemoTruth;
const timeline = expandPlan(itemAt(demoClasses(), 0).plan);

/** Speech as the level of the shipped sound shows it, decoded by ffmpeg. */
function speechInSound(): Evidence['speech'] {
  const out = join(folder, 'take.wav');
  execFileSync('ffmpeg', ['-v', 'error', '-y', '-i', file('.webm'), '-ar', '16000', '-ac', '1', out]);
  const wav = readWav(readFileSync(out));
  if (!wav.ok) throw new Error(wav.problem.code);
  const meter = new LevelMeter(wav.value.sampleRate);
  meter.push(wav.value.samples);
  return speechSegments(meter.read());
}

const captions = readCaptions(readFileSync(file('.vtt'), 'utf8'));
if (!captions.ok) throw new Error(captions.problem.code);
const speech = speechInSound();
const cases: readonly (readonly [string, Omit<Evidence, 'lengthSeconds'>, number])[] = [
  ['captions', { captions: captions.value.captions, speech: null }, 0.97],
  ['sound', { captions: null, speech }, 0.95],
  ['captions and sound', { captions: captions.value.captions, speech }, 0.98],
];

const plainWords = (text: string): string[] => text.toLowerCase().split(/[^a-z]+/);

describe('the demo take', () => {
  it('is as small as promised and tells its truth', () => {
    expect(statSync(file('.webm')).size).toBeLessThan(3_000_000);
    expect(truth.skipped.length).toBe(2);
    expect(truth.said.filter((line) => line.cueId === null).length).toBe(3);
  });

  it.each(cases)('read by %s finds what was said when', (name, evidence, share) => {
    const reading = readTake(timeline, { ...evidence, lengthSeconds: truth.lengthSeconds });
    const onsets = new Map(
      truth.said.flatMap((line) => (line.cueId === null ? [] : [[line.cueId, line.startSeconds] as const])),
    );
    const near = reading.cues.filter(
      (cue) => cue.actualStart !== null && Math.abs(cue.actualStart - (onsets.get(cue.id) ?? Infinity)) <= 0.3,
    );
    console.log(
      `demo take by ${name}: ${((100 * near.length) / onsets.size).toFixed(1)} % of ${onsets.size} cues within 0.3 s`,
    );
    expect(near.length / onsets.size).toBeGreaterThanOrEqual(share);
    expect(reading.cues.filter((cue) => cue.status === 'skipped').map((cue) => cue.id)).toEqual([...truth.skipped]);
    // Each line says what it was found by: the words heard there, or its length, as what it sounds like is not asked here.
    const by = evidence.captions ? 'words' : 'length';
    for (const { evidence: found, status, text } of reading.cues) {
      if (status === 'skipped') expect(found).toBeNull();
      else
        expect([found?.by, found?.nearer, typeof found?.heard]).toEqual([
          by,
          null,
          by === 'words' ? 'string' : 'object',
        ]);
      if (status === 'said' && by === 'words' && text.length > 30)
        expect(found?.heard?.toLowerCase()).toContain(plainWords(text)[1]);
    }
    const adLibs = truth.said.filter((line) => line.cueId === null);
    expect(reading.adLibs.length).toBe(adLibs.length);
    // An ad-lib inside a merged caption is timed by the caption's length shared out.
    adLibs.forEach((adLib, index) =>
      expect(Math.abs(itemAt(reading.adLibs, index).startSeconds - adLib.startSeconds)).toBeLessThan(1),
    );
  });
});
