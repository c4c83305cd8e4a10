import { describe, expect, it } from 'vitest';
import { FRAME_SECONDS } from '@/core/signal';
import { speakingSeconds } from '@/core/speech';
import { measureVoice, middleVoice, VOICE_PARAGRAPH } from '.';

/** Levels of a paragraph said at a rate, over a noise, with a pause after each sentence. */
function levels(rate: number, { noise = -70, speech = -25, pause = 1.4 } = {}): Float32Array {
  const frames: number[] = [];
  const add = (level: number, seconds: number): void => {
    for (let frame = 0; frame < Math.round(seconds / FRAME_SECONDS); frame++) frames.push(level + (frame % 3));
  };
  add(noise, 2);
  for (const sentence of VOICE_PARAGRAPH) {
    add(speech, speakingSeconds(sentence, { syllablesPerMinute: rate }));
    add(noise, pause);
  }
  return Float32Array.from(frames);
}

describe('measuring a voice', () => {
  it.each([120, 160, 190, 240])('finds %s syllables a minute again, and the pauses', (rate) => {
    const found = measureVoice(VOICE_PARAGRAPH, { levels: levels(rate), clippedShare: 0 });
    if (!found.ok) throw new Error(found.problem.code);
    expect(Math.abs(found.value.syllablesPerMinute / rate - 1)).toBeLessThan(0.03);
    expect(found.value.pauseSeconds).toBeCloseTo(1.4, 1);
  });

  it.each([
    ['voice-silent', { levels: new Float32Array(1000).fill(-90), clippedShare: 0 }],
    ['voice-clipped', { levels: levels(190), clippedShare: 0.01 }],
    ['voice-noisy', { levels: levels(190, { noise: -36, speech: -25 }), clippedShare: 0 }],
    ['voice-other-words', { levels: levels(190).slice(0, 260), clippedShare: 0 }],
  ] as const)('says %s', (code, heard) => {
    expect(measureVoice(VOICE_PARAGRAPH, heard)).toMatchObject({ ok: false, problem: { code } });
  });

  it('uses the middle of several', () => {
    expect(middleVoice([])).toBeNull();
    const measure = (syllablesPerMinute: number, pauseSeconds: number | null) => ({ syllablesPerMinute, pauseSeconds });
    expect(middleVoice([measure(300, 2), measure(180, null), measure(190, 0.5)])).toEqual(measure(190, 0.5));
    expect(middleVoice([measure(180, null), measure(200, null)])).toEqual(measure(180, null));
  });
});
