import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { LevelMeter } from '@/core/signal';
import { measureVoice, VOICE_PARAGRAPH } from '@/core/voice';
import { paragraphWav } from '../support/paragraph-sound';

/* espeak-ng from Debian's packages reads the paragraph; synthetic speech only. */

const folder = mkdtempSync(join(tmpdir(), 'calm-voice-'));
afterAll(() => rmSync(folder, { recursive: true }));

function heard(options: Parameters<typeof paragraphWav>[2]) {
  const { samples } = paragraphWav(folder, 'p.wav', options);
  const meter = new LevelMeter(48_000);
  meter.push(samples);
  return measureVoice(VOICE_PARAGRAPH, { levels: meter.read(), clippedShare: meter.clippedShare });
}

describe('a paragraph read by a synthesiser', () => {
  it('is measured in proportion to its speed, and its pauses are found', () => {
    const rates = [120, 140, 170].map((words) => {
      const found = heard({ words });
      if (!found.ok) throw new Error(found.problem.code);
      // The synthesiser ends and begins its files with a little silence of its own, up to a third of a second each.
      expect(found.value.pauseSeconds).toBeGreaterThanOrEqual(1.2);
      expect(found.value.pauseSeconds).toBeLessThan(1.9);
      return { words, rate: found.value.syllablesPerMinute };
    });
    console.log(rates.map(({ words, rate }) => `${words} words a minute: ${rate} syllables a minute`).join('; '));
    const perWord = rates.map(({ words, rate }) => rate / words);
    expect(Math.max(...perWord) / Math.min(...perWord)).toBeLessThan(1.1);
  });

  it('is refused when it is clipped, or drowned in noise', () => {
    expect(heard({ gain: 12 })).toMatchObject({ ok: false, problem: { code: 'voice-clipped' } });
    const noisy = heard({ gain: 0.3, hiss: 0.08 });
    expect(noisy.ok ? 'ok' : noisy.problem.code).toMatch(/^voice-(noisy|silent)$/);
  });
});
