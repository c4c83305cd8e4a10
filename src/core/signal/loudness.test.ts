import { itemAt } from '@/core/units';
import { describe, expect, it } from 'vitest';
import { envelopeOf, HumFinder, joinSamples, kWeighting, Loudness, noiseFloor } from '.';

const RATE = 48_000;

function tone(hertz: number, decibels: number, seconds: number, rate = RATE): Float32Array {
  const size = 10 ** (decibels / 20);
  return Float32Array.from({ length: seconds * rate }, (_, at) => size * Math.sin((2 * Math.PI * hertz * at) / rate));
}

function measured(rate: number, ...planes: Float32Array[]) {
  const meter = new Loudness(rate, planes.length);
  // In pieces, as a decoder gives them.
  for (let at = 0; at < itemAt(planes, 0).length; at += 1024)
    meter.push(planes.map((plane) => plane.subarray(at, at + 1024)));
  return meter.read();
}

function joined(...parts: Float32Array[]): Float32Array {
  return joinSamples(parts);
}

describe('loudness', () => {
  it('has the coefficients of ITU-R BS.1770-4, tables 1 and 2, at 48 kHz', () => {
    const [shelf, pass] = kWeighting(RATE);
    const listed = [1.53512485958697, -2.69169618940638, 1.19839281085285, -1.69065929318241, 0.73248077421585];
    shelf.forEach((one, at) => expect(one).toBeCloseTo(itemAt(listed, at), 8));
    [1, -2, 1, -1.99004745483398, 0.99007225036621].forEach((one, at) => expect(pass[at]).toBeCloseTo(one, 8));
  });

  it.each([44_100, 48_000, 96_000])('reads the stereo tone of EBU Tech 3341, case 1, at %i Hz', (rate) => {
    const sound = tone(1000, -23, 20, rate);
    expect(Math.abs((measured(rate, sound, sound).integrated ?? 0) + 23)).toBeLessThanOrEqual(0.1);
  });

  it('gates as cases 3 and 4 of EBU Tech 3341 ask', () => {
    const three = joined(tone(1000, -36, 10), tone(1000, -23, 60), tone(1000, -36, 10));
    expect(measured(RATE, three, three).integrated).toBeCloseTo(-23, 1);
    const four = joined(tone(1000, -72, 10), three, tone(1000, -72, 10));
    expect(measured(RATE, four, four).integrated).toBeCloseTo(-23, 1);
  });

  it('weighs five channels as case 6 asks', () => {
    const at = (decibels: number): Float32Array => tone(1000, decibels, 20);
    const planes = [at(-28), at(-28), at(-24), new Float32Array(20 * RATE), at(-30), at(-30)];
    expect(measured(RATE, ...planes).integrated).toBeCloseTo(-23, 1);
  });

  it('finds the peak between samples: case 15 of EBU Tech 3341, a quarter of the rate at 45 degrees', () => {
    const sound = Float32Array.from(
      { length: RATE },
      (_, at) => 0.5 * Math.sin((Math.PI * at) / 2 + Math.PI / 4) * Math.min(1, at / 4800, (RATE - at) / 4800),
    );
    const { truePeak } = measured(RATE, sound, sound);
    expect(truePeak).toBeGreaterThan(-6.4);
    expect(truePeak).toBeLessThan(-5.8);
  });

  it('says nothing of silence, and refuses what is no sound', () => {
    const nothing = { integrated: null, momentaryMost: null, shortTermMost: null, truePeak: null };
    expect(measured(RATE, new Float32Array(RATE))).toEqual(nothing);
    expect(() => new Loudness(0, 1)).toThrow(RangeError);
    expect(() => new Loudness(RATE, 0)).toThrow(RangeError);
  });
});

describe('a hum', () => {
  const noise = Float32Array.from({ length: 16_000 * 8 }, (_, at) => 0.01 * Math.sin(at * at * 0.37));
  const heard = (sound: Float32Array) => {
    const finder = new HumFinder();
    for (let at = 0; at < sound.length; at += 1000) finder.push(sound.subarray(at, at + 1000));
    return finder.read();
  };
  const humming = (hertz: number): Float32Array => {
    const [first, second] = [tone(hertz, -50, 8, 16_000), tone(2 * hertz, -54, 8, 16_000)];
    return noise.map((one, at) => one + itemAt(first, at) + itemAt(second, at));
  };

  it.each([50, 60])('of %i Hz is found in noise', (hertz) => expect(heard(humming(hertz))?.hertz).toBe(hertz));
  const single = tone(50, -40, 8, 16_000);

  it('is not found in noise alone, nor in a single tone', () => {
    expect(heard(noise)).toBeNull();
    expect(heard(noise.map((one, at) => one + itemAt(single, at)))).toBeNull();
    expect(heard(noise.subarray(0, 9000))).toBeNull();
  });
});

describe('what is drawn and told of a sound', () => {
  it('is a byte for each level, from -80 dBFS to full scale', () => {
    expect([...envelopeOf(Float32Array.of(-100, -80, -40, 0, 3))]).toEqual([0, 0, 128, 255, 255]);
  });

  it('has a floor, the tenth percentile of what sounds', () => {
    const levels = Float32Array.from({ length: 100 }, (_, at) => (at < 20 ? -60 : -20));
    expect(noiseFloor(levels)).toBe(-60);
    expect(noiseFloor(new Float32Array(50).fill(-100))).toBeNull();
  });
});
