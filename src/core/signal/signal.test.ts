import { itemAt } from '@/core/units';
import { describe, expect, it } from 'vitest';
import { LevelMeter, readWav, SILENCE_DECIBELS, speechSegments } from '.';

const RATE = 16_000;

/** Noise with bursts of a 300 Hz tone: `[start, end]` in seconds. */
function sound(seconds: number, bursts: readonly (readonly [number, number])[], noise = 0.001): Float32Array {
  let state = 1;
  return Float32Array.from({ length: seconds * RATE }, (_, at) => {
    state = (state * 16_807) % 2_147_483_647;
    const tone = bursts.some(([from, to]) => at / RATE >= from && at / RATE < to)
      ? 0.3 * Math.sin((2 * Math.PI * 300 * at) / RATE)
      : 0;
    return tone + noise * (state / 1_073_741_823 - 1);
  });
}

function segmentsOf(samples: Float32Array): number[][] {
  const meter = new LevelMeter(RATE);
  for (let at = 0; at < samples.length; at += 1000) meter.push(samples.subarray(at, at + 1000));
  return speechSegments(meter.read()).map((segment) => [segment.startSeconds, segment.endSeconds]);
}

describe('finding speech by level', () => {
  it('finds bursts over a noise floor within two frames', () => {
    const bursts = [
      [2, 3.5],
      [6, 6.5],
      [9, 12],
    ] as const;
    const found = segmentsOf(sound(15, bursts));
    expect(found.length).toBe(3);
    found.forEach(([start = 0, end = 0], index) => {
      expect(Math.abs(start - itemAt(bursts, index)[0])).toBeLessThanOrEqual(0.041);
      expect(Math.abs(end - itemAt(bursts, index)[1])).toBeLessThanOrEqual(0.041);
    });
  });

  it('bridges the gaps inside a phrase and drops clicks', () => {
    const found = segmentsOf(
      sound(10, [
        [2, 2.6],
        [2.75, 3.4],
        [7, 7.04],
      ]),
    );
    expect(found.length).toBe(1);
  });

  it('finds nothing in silence, in steady noise, or in nothing', () => {
    expect(segmentsOf(new Float32Array(RATE * 5))).toEqual([]);
    expect(segmentsOf(sound(20, [], 0.2))).toEqual([]);
    expect(speechSegments(new Float32Array(0))).toEqual([]);
  });

  it('reads samples that are no numbers as silence', () => {
    const meter = new LevelMeter(RATE);
    meter.push(new Float32Array(RATE).fill(NaN));
    expect([...meter.read()].every((level) => level === SILENCE_DECIBELS)).toBe(true);
    expect(() => new LevelMeter(NaN)).toThrow(RangeError);
  });
});

/** A RIFF WAVE header of 44 bytes and its data. */
function wav(kind: number, bits: number, channels: number, data: Uint8Array, claimed = data.length): Uint8Array {
  const bytes = new Uint8Array(44 + data.length);
  const view = new DataView(bytes.buffer);
  const tag = (at: number, text: string): void =>
    [...text].forEach((letter, index) => view.setUint8(at + index, letter.charCodeAt(0)));
  tag(0, 'RIFF');
  view.setUint32(4, 36 + claimed, true);
  tag(8, 'WAVEfmt ');
  view.setUint32(16, 16, true);
  view.setUint16(20, kind, true);
  view.setUint16(22, channels, true);
  view.setUint32(24, RATE, true);
  view.setUint32(28, (RATE * channels * bits) / 8, true);
  view.setUint16(32, (channels * bits) / 8, true);
  view.setUint16(34, bits, true);
  tag(36, 'data');
  view.setUint32(40, claimed, true);
  bytes.set(data, 44);
  return bytes;
}

describe('WAV', () => {
  const sixteen = new Uint8Array(Int16Array.from([16_384, -16_384, 0, 32_767]).buffer);
  const atRate = (rate: number): Uint8Array => {
    const bytes = wav(1, 16, 1, sixteen);
    new DataView(bytes.buffer).setUint32(24, rate, true);
    return bytes;
  };

  it('reads 16 bit mono, and stereo as the mean of both', () => {
    const mono = readWav(wav(1, 16, 1, sixteen));
    expect(mono.ok && [...mono.value.samples]).toEqual([0.5, -0.5, 0, expect.closeTo(1, 3)]);
    const stereo = readWav(wav(1, 16, 2, sixteen));
    expect(stereo.ok && [...stereo.value.samples]).toEqual([0, expect.closeTo(0.5, 3)]);
  });

  it('reads 8, 24, 32 bit and float', () => {
    const first = (kind: number, bits: number, data: Uint8Array): number => {
      const read = readWav(wav(kind, bits, 1, data));
      return read.ok ? itemAt(read.value.samples, 0) : NaN;
    };
    expect(first(1, 8, Uint8Array.of(192))).toBe(0.5);
    expect(first(1, 24, Uint8Array.of(0, 0, 0xc0))).toBe(-0.5);
    expect(first(1, 32, new Uint8Array(Int32Array.of(-1_073_741_824).buffer))).toBe(-0.5);
    expect(first(3, 32, new Uint8Array(Float32Array.of(0.25).buffer))).toBe(0.25);
  });

  it('gives what is there when the data is cut short', () => {
    const read = readWav(wav(1, 16, 1, sixteen, 1_000_000));
    expect(read.ok && read.value.samples.length).toBe(4);
  });

  it.each([
    ['nothing', new Uint8Array(0), 'empty-file'],
    ['text', new TextEncoder().encode('this is a text file and no sound'), 'not-wav'],
    ['a header alone', wav(1, 16, 1, sixteen).subarray(0, 30), 'broken-wav'],
    ['a compressed kind', wav(85, 16, 1, sixteen), 'unknown-wav'],
    ['no channels', wav(1, 16, 0, sixteen), 'unknown-wav'],
    ['more channels than there are', wav(1, 16, 33, sixteen), 'unknown-wav'],
    ['too few samples a second', atRate(3999), 'unknown-wav'],
    ['too many samples a second', atRate(384_001), 'unknown-wav'],
  ])('refuses %s', (_, bytes, code) => {
    const read = readWav(bytes);
    expect(read.ok ? 'read' : read.problem.code).toBe(code);
  });
});
