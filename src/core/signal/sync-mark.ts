import { itemAt, wholeMilliseconds, type Seconds } from '@/core/units';

/** The sync mark: three tones that rise, so that a recording holds when it was sounded. */
export const SYNC_TONES = [
  { atSeconds: 0, hertz: 800 },
  { atSeconds: 0.2, hertz: 1000 },
  { atSeconds: 0.4, hertz: 1250 },
] as const;
export const SYNC_TONE_SECONDS: Seconds = 0.1;

/** Frames of 20 ms at 16 kHz: each tone fills five, and the silence after it five more. */
const RATE = 16_000;
const FRAME = 320;
const FRAMES_A_TONE = 10;
/** Frames that surely lie within a tone and within the silence after it, wherever the frames fall. */
const WITHIN = [1, 2, 3];
const AFTER = [6, 7, 8];
/** Of a frame's energy in its tone, and over the silence after it. Found on marks under noise and speech, see the tests. */
const SHARE = 0.35;
const OVER = 4;
/** Of a frame, below which there is nothing: about -90 dBFS. */
const AUDIBLE = 1e-9 * FRAME;
const FRAMES_HELD = FRAMES_A_TONE * SYNC_TONES.length;

/** Finds sync marks in mono sound at 16 kHz as it streams by. */
export class SyncMarkFinder {
  private readonly turns = SYNC_TONES.map(({ hertz }) => 2 * Math.cos((2 * Math.PI * hertz) / RATE));
  private readonly held = new Float32Array(FRAME);
  private filled = 0;
  private frames = 0;
  /** Of the last frames, in a ring: the energy in each tone, and in all. */
  private readonly tones = SYNC_TONES.map(() => new Float64Array(FRAMES_HELD));
  private readonly energies = new Float64Array(FRAMES_HELD);
  private readonly found: { readonly frame: number; readonly clear: number }[] = [];

  push(samples: Float32Array): void {
    for (let at = 0; at < samples.length;) {
      const count = Math.min(FRAME - this.filled, samples.length - at);
      this.held.set(samples.subarray(at, at + count), this.filled);
      this.filled += count;
      at += count;
      if (this.filled === FRAME) this.frame();
    }
  }

  /** When each mark began, in seconds from the start. */
  read(): Seconds[] {
    return this.found.map(({ frame }) => wholeMilliseconds((frame * FRAME) / RATE));
  }

  private frame(): void {
    this.filled = 0;
    const place = this.frames++ % FRAMES_HELD;
    let energy = 0;
    for (const sample of this.held) energy += sample * sample;
    this.energies[place] = energy;
    this.turns.forEach((turn, tone) => (itemAt(this.tones, tone)[place] = energyIn(this.held, turn)));
    if (this.frames < FRAMES_HELD) return;
    const first = this.frames - FRAMES_HELD;
    const clear = this.clearness(first);
    if (clear === null) return;
    const last = this.found.at(-1);
    // Frames beside each other hold the same mark; the clearest tells when it began.
    if (!last || first - last.frame >= FRAMES_A_TONE) this.found.push({ frame: first, clear });
    else if (clear > last.clear) this.found[this.found.length - 1] = { frame: first, clear };
  }

  /** How much of the energy lies in the tones of a mark that begins with a frame; `null` where there is none. */
  private clearness(first: number): number | null {
    let clear = 0;
    for (let tone = 0; tone < SYNC_TONES.length; tone++) {
      const at = (frame: number): number => (first + tone * FRAMES_A_TONE + frame) % FRAMES_HELD;
      const energies = itemAt(this.tones, tone);
      const after = AFTER.reduce((sum, frame) => sum + (energies[at(frame)] ?? 0), 0) / AFTER.length;
      for (const frame of WITHIN) {
        const place = at(frame);
        const min = Math.max(AUDIBLE, SHARE * (this.energies[place] ?? 0), OVER * after);
        if ((energies[place] ?? 0) < min) return null;
      }
      for (let frame = 0; frame < 5; frame++)
        clear += (energies[at(frame)] ?? 0) / Math.max(1e-12, this.energies[at(frame)] ?? 0);
    }
    return clear;
  }
}

/** The energy of a frame that lies in one tone (Goertzel 1958, from memory). */
function energyIn(samples: Float32Array, turn: number): number {
  let before = 0;
  let earlier = 0;
  for (let at = 0; at < samples.length; at++) {
    const now = (samples[at] ?? 0) + turn * before - earlier;
    earlier = before;
    before = now;
  }
  return (2 * (before * before + earlier * earlier - turn * before * earlier)) / samples.length;
}
