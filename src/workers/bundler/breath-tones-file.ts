import { BreathTones } from '@/core/breath';
import { breathTimes, type Cutting } from '@/core/publish';
import type { Reading } from '@/core/reading';
import { pcm16, wavHeader } from '@/core/signal';
import type { Timeline } from '@/core/timeline';

/** Enough for tones below 250 Hz. */
const TONE_RATE = 8000;
const BLOCK = TONE_RATE * 30;

/** The breath of a class as a WAV file in pieces, mono 16-bit at 8 kHz, exactly as long as the class or its take. */
export function breathTonesFile(
  {
    timeline,
    reading,
    cutting,
  }: {
    readonly timeline: Timeline;
    readonly reading: Reading | null;
    readonly cutting: Cutting | null;
  },
  onProgress: (share: number) => void = () => undefined,
): Uint8Array<ArrayBuffer>[] {
  const { phases, lengthSeconds } = breathTimes(timeline, reading, cutting);
  const samples = Math.round(lengthSeconds * TONE_RATE);
  const tones = new BreathTones(phases, TONE_RATE);
  const pieces = [wavHeader(samples, TONE_RATE)];
  for (let at = 0; at < samples; at += BLOCK) {
    const block = new Float32Array(Math.min(BLOCK, samples - at));
    tones.addTo(block);
    pieces.push(pcm16(block));
    onProgress(Math.min(1, (at + BLOCK) / samples));
  }
  return pieces;
}
