import { itemAt, Random } from '@/core/units';

/** Takes are made at this rate. */
export const TAKE_RATE = 16_000;

export const BACKGROUNDS = ['clean', 'birds', 'music', 'surf'] as const;
/** What is heard behind the voice: nothing; birds over pink noise, 15 dB below it; music, 6 dB; surf, 6 dB. */
export type Background = (typeof BACKGROUNDS)[number];

const BELOW: Readonly<Record<Background, number>> = { clean: 45, birds: 15, music: 6, surf: 6 };

/** A background goes round after this long. */
const LOOP_SECONDS = 90;

/** Adds a background to a take, so far below the level of its speech. */
export function addBackground(take: Float32Array, speechPower: number, background: Background, seed: number): void {
  const chance = new Random(seed);
  const noise = MAKERS[background](Math.min(take.length, LOOP_SECONDS * TAKE_RATE), chance);
  const power = noise.reduce((sum, one) => sum + one * one, 0) / noise.length;
  const gain = Math.sqrt(speechPower / 10 ** (BELOW[background] / 10) / Math.max(1e-12, power));
  for (let at = 0; at < take.length; at++) take[at] = (take[at] ?? 0) + gain * itemAt(noise, at % noise.length);
}

const MAKERS: Readonly<Record<Background, (length: number, chance: Random) => Float32Array>> = {
  clean: pink,
  birds,
  music,
  surf,
};

/** Pink noise by Kellet's filter (published in the music-dsp archive; coefficients from memory). */
function pink(length: number, chance: Random): Float32Array {
  const noise = new Float32Array(length);
  let [b0, b1, b2] = [0, 0, 0];
  for (let at = 0; at < length; at++) {
    const white = chance.next() * 2 - 1;
    b0 = 0.99765 * b0 + white * 0.099046;
    b1 = 0.963 * b1 + white * 0.2965164;
    b2 = 0.57 * b2 + white * 1.0526913;
    noise[at] = b0 + b1 + b2 + white * 0.1848;
  }
  return noise;
}

/** Chirps between 2.5 and 6 kHz, in short phrases, over pink noise. */
function birds(length: number, chance: Random): Float32Array {
  const noise = pink(length, chance);
  for (let at = Math.round(TAKE_RATE * chance.next()); at < length;) {
    const notes = chance.whole(1, 6);
    const base = 2500 + 2500 * chance.next();
    for (let note = 0; note < notes; note++) {
      const lasts = Math.round(TAKE_RATE * (0.05 + 0.12 * chance.next()));
      const sweep = base * (0.2 * chance.next() - 0.05);
      let turn = 0;
      for (let step = 0; step < lasts && at + step < length; step++) {
        const share = step / lasts;
        turn += (2 * Math.PI * (base + sweep * share)) / TAKE_RATE;
        noise[at + step] = (noise[at + step] ?? 0) + 6 * Math.sin(Math.PI * share) * Math.sin(turn);
      }
      at += lasts + Math.round(TAKE_RATE * 0.06);
    }
    at += Math.round(TAKE_RATE * (0.4 + 3 * chance.next()));
  }
  return noise;
}

const SCALE = [0, 2, 4, 7, 9, 12, 14, 16];

/** A slow pad of four notes that changes every four seconds, and a plucked string above it. */
function music(length: number, chance: Random): Float32Array {
  const sound = new Float32Array(length);
  const pitch = (step: number): number => 110 * 2 ** (step / 12);
  for (let from = 0; from < length; from += TAKE_RATE * 4) {
    const root = chance.pick(SCALE);
    for (const step of [root, root + 7, root + 12, root + 16]) {
      for (let harmonic = 1; harmonic <= 5; harmonic++) {
        const turn = (2 * Math.PI * pitch(step) * harmonic) / TAKE_RATE;
        const start = chance.next() * 6;
        for (let at = 0; at < TAKE_RATE * 4.4 && from + at < length; at++) {
          const share = at / (TAKE_RATE * 4.4);
          sound[from + at] =
            (sound[from + at] ?? 0) + (0.3 / harmonic) * Math.sin(Math.PI * share) * Math.sin(start + turn * at);
        }
      }
    }
  }
  for (let from = 0; from < length; from += Math.round(TAKE_RATE * chance.pick([0.5, 0.5, 1, 1.5]))) {
    const step = chance.pick(SCALE) + 24;
    for (let harmonic = 1; harmonic <= 4; harmonic++) {
      const turn = (2 * Math.PI * pitch(step) * harmonic) / TAKE_RATE;
      for (let at = 0; at < TAKE_RATE * 1.2 && from + at < length; at++) {
        sound[from + at] =
          (sound[from + at] ?? 0) + (1 / harmonic) * Math.exp((-4 * harmonic * at) / TAKE_RATE) * Math.sin(turn * at);
      }
    }
  }
  return sound;
}

/** Noise that swells and falls by about 10 dB, a wave every six to ten seconds, brighter at its height. */
function surf(length: number, chance: Random): Float32Array {
  const noise = new Float32Array(length);
  let slow = 0;
  let fast = 0;
  for (let at = 0; at < length;) {
    const lasts = Math.round(TAKE_RATE * (6 + 4 * chance.next()));
    const height = 0.4 + 0.6 * chance.next();
    for (let step = 0; step < lasts && at < length; step++, at++) {
      const share = step / lasts;
      const swell = 0.35 + height * (share < 0.3 ? (share / 0.3) ** 2 : ((1 - share) / 0.7) ** 1.5);
      const white = chance.next() * 2 - 1;
      slow = 0.97 * slow + 0.03 * white;
      fast = 0.6 * fast + 0.4 * white;
      noise[at] = swell * (3 * slow + 0.5 * swell * fast);
    }
  }
  return noise;
}
