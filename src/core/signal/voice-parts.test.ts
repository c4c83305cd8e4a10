import { describe, expect, it } from 'vitest';
import { firstItems, itemAt, Random } from '@/core/units';
import { Cepstra, COEFFICIENTS, Denoiser, Resampler, voiceStretches } from '.';

const RATE = 16_000;

function tone(hertz: number, seconds: number, rate = RATE, gain = 0.3): Float32Array {
  return Float32Array.from({ length: seconds * rate }, (_, at) => gain * Math.sin((2 * Math.PI * hertz * at) / rate));
}

function noise(seconds: number, gain: number, seed = 1): Float32Array {
  const chance = new Random(seed);
  return Float32Array.from({ length: seconds * RATE }, () => gain * (2 * chance.next() - 1));
}

const power = (samples: Float32Array): number => samples.reduce((sum, one) => sum + one * one, 0) / samples.length;

/** What comes out when sound is pushed in pieces of a length. */
function through(
  tool: { push: (samples: Float32Array) => Float32Array; finish: () => Float32Array },
  sound: Float32Array,
  piece: number,
): Float32Array {
  const out: number[] = [];
  for (let at = 0; at < sound.length; at += piece) out.push(...tool.push(sound.subarray(at, at + piece)));
  out.push(...tool.finish());
  return Float32Array.from(out);
}

describe('bringing sound to another rate', () => {
  it.each([
    [48_000, 1000],
    [44_100, 3000],
    [8_000, 1000],
    [96_000, 5000],
  ])('keeps a tone from %i Hz at %i Hz, however it is cut', (rate, hertz) => {
    const sound = tone(hertz, 1, rate);
    const out = through(new Resampler(rate, RATE), sound, 1234);
    expect(Math.abs(out.length - RATE)).toBeLessThan(3);
    const wanted = tone(hertz, 1);
    const middle = out.subarray(2000, 14_000).map((one, at) => one - itemAt(wanted, 2000 + at));
    expect(power(middle) / power(wanted)).toBeLessThan(1e-3);
    const other = through(new Resampler(rate, RATE), sound, 400).subarray(0, out.length - 2);
    expect(Math.max(...other.map((one, at) => Math.abs(one - itemAt(out, at))))).toBeLessThan(1e-6);
  });

  it('lets nothing through that the slower rate cannot hold', () => {
    const out = through(new Resampler(48_000, RATE), tone(11_000, 1, 48_000), 4800);
    expect(power(out.subarray(1000, 15_000)) / power(tone(11_000, 1))).toBeLessThan(1e-4);
    expect(() => new Resampler(0, RATE)).toThrow(RangeError);
  });
});

describe('denoising', () => {
  it('gives back as much as went in, and leaves quiet sound with a voice in it nearly as it was', () => {
    const sound = noise(10, 0.0001);
    sound.set(tone(300, 1), 4 * RATE);
    const out = through(new Denoiser(), sound, 777);
    expect(out.length).toBeGreaterThanOrEqual(sound.length);
    expect(out.length - sound.length).toBeLessThan(512);
    const [before, after] = firstItems(
      [sound, out].map((one) => power(one.subarray(4.2 * RATE, 4.8 * RATE))),
      2,
    );
    expect(Math.abs(after / before - 1)).toBeLessThan(0.1);
  });

  it('takes steady noise down by more than seven decibels and raises what stands in it', () => {
    const sound = noise(12, 0.1);
    const burst = tone(500, 1);
    burst.forEach((one, at) => (sound[6 * RATE + at] = (sound[6 * RATE + at] ?? 0) + one));
    const out = through(new Denoiser(), sound, 4096);
    const quiet = (of: Float32Array): number => power(of.subarray(2 * RATE, 4 * RATE));
    const loud = (of: Float32Array): number => power(of.subarray(6.2 * RATE, 6.8 * RATE));
    expect(10 * Math.log10(quiet(sound) / quiet(out))).toBeGreaterThan(7);
    expect(loud(out) / quiet(out)).toBeGreaterThan(4 * (loud(sound) / quiet(sound)));
  });

  it('bears silence and nothing at all', () => {
    expect(power(through(new Denoiser(), new Float32Array(RATE), 500))).toBe(0);
    expect(through(new Denoiser(), new Float32Array(0), 500).length).toBeLessThan(512);
  });
});

describe('cepstra', () => {
  it('come every 10 ms, the same however the sound is cut, and the level is the first', () => {
    const sound = Float32Array.from([...tone(400, 0.5), ...tone(400, 0.5, RATE, 0.03)]);
    const whole = new Cepstra();
    whole.push(sound);
    const pieces = new Cepstra();
    for (let at = 0; at < sound.length; at += 333) pieces.push(sound.subarray(at, at + 333));
    const found = whole.read();
    expect(pieces.read()).toEqual(found);
    expect(found.length / COEFFICIENTS).toBe(98);
    const level = (frame: number): number => itemAt(found, frame * COEFFICIENTS);
    expect(level(20)).toBeGreaterThan(level(75));
    expect(found.every(Number.isFinite)).toBe(true);
  });

  it('tell one vowel-like sound from another', () => {
    const of = (hertz: number): Float32Array => {
      const cepstra = new Cepstra();
      cepstra.push(tone(hertz, 0.2));
      return cepstra.read().subarray(COEFFICIENTS * 5, COEFFICIENTS * 6);
    };
    const apart = (a: Float32Array, b: Float32Array): number =>
      a.reduce((sum, one, at) => sum + (one - itemAt(b, at)) ** 2, 0);
    expect(apart(of(400), of(2400))).toBeGreaterThan(5 * apart(of(400), of(430)));
    // Low and high, by the second coefficient: the energy lies in the bands about the tone, and nowhere else.
    expect(of(300)[1] ?? 0).toBeGreaterThan(of(1200)[1] ?? 0);
    expect(of(1200)[1] ?? 0).toBeGreaterThan(of(4000)[1] ?? 0);
  });
});

describe('stretches of voice', () => {
  it('bridge the gaps inside a word, leave out clicks, and tell how likely they are', () => {
    const likely = new Float32Array(100);
    likely.fill(0.9, 10, 20);
    likely.fill(0.5, 22, 30);
    likely[50] = 1;
    likely.fill(0.2, 62, 76);
    likely.fill(0.4, 80, 100);
    const decibels = new Float32Array(100).fill(-40);
    expect(voiceStretches({ likely, decibels, stepSeconds: 0.032 })).toEqual([
      { startSeconds: 0.32, endSeconds: 0.96, likely: 0.65 },
      { startSeconds: 1.984, endSeconds: 2.432, likely: 0.2 },
      { startSeconds: 2.56, endSeconds: 3.2, likely: 0.4 },
    ]);
    const nothing = new Float32Array(0);
    expect(voiceStretches({ likely: nothing, decibels: nothing, stepSeconds: 0.032 })).toEqual([]);
  });

  it('hear short words in quiet by how loud they are, and pass over what is loud and no voice at all', () => {
    // Forty lines, a short word that the model doubts, and a knock.
    const likely = new Float32Array(2000).fill(0.001);
    for (let at = 0; at < 40; at++) likely.fill(0.9, at * 30, at * 30 + 10);
    likely.fill(0.03, 1300, 1320);
    const over = (background: number) => {
      const decibels = likely.map((one) => (one > 0.8 ? -20 : background));
      decibels.fill(-26, 1300, 1320).fill(-10, 1400, 1420);
      return voiceStretches({ likely, decibels, stepSeconds: 0.01 });
    };
    expect(over(-62)).toHaveLength(41);
    expect(over(-62)[40]).toMatchObject({ startSeconds: 13, endSeconds: 13.2 });
    expect(over(-32)).toHaveLength(40);
  });

  it('take what is soft for a voice where voices stand far out, and not where they do not', () => {
    // Forty lines, then one that begins and ends softly, and a noise.
    const likely = new Float32Array(2000);
    for (let at = 0; at < 40; at++) likely.fill(0.9, at * 30, at * 30 + 10);
    likely.fill(0.15, 1300, 1303).fill(0.9, 1303, 1320).fill(0.15, 1320, 1323);
    likely.fill(0.2, 1400, 1412);
    const over = (background: number) =>
      voiceStretches({ likely, decibels: likely.map((one) => (one > 0.8 ? -20 : background)), stepSeconds: 0.01 });
    const quiet = over(-62);
    expect(quiet.length).toBe(42);
    expect(quiet[40]).toMatchObject({ startSeconds: 13, endSeconds: 13.23 });
    const noisy = over(-32);
    expect(noisy.length).toBe(41);
    expect(noisy[40]).toMatchObject({ startSeconds: 13.03, endSeconds: 13.2 });
    // The noise stands out by 15 dB: it may be half a word, and is taken with all that is as loud.
    const decibels = likely.map((one, at) => (one > 0.8 ? -20 : at >= 1390 && at < 1420 ? -17 : -32));
    expect(voiceStretches({ likely, decibels, stepSeconds: 0.01 })[41]).toMatchObject({
      startSeconds: 13.9,
      endSeconds: 14.2,
      likely: 0.2,
    });
    // Nothing but a voice: nothing tells how quiet it is.
    const alone = {
      likely: new Float32Array(50).fill(0.9),
      decibels: new Float32Array(50).fill(-20),
      stepSeconds: 0.01,
    };
    expect(voiceStretches(alone)).toEqual([{ startSeconds: 0, endSeconds: 0.5, likely: 0.9 }]);
  });
});
