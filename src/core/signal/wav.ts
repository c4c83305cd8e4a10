import { failed, ok, type Issue, type Result } from '@/core/units';

/** Sound as mono samples, -1 to 1. */
export interface MonoSound {
  readonly sampleRate: number;
  readonly samples: Float32Array;
}

/**
 * Reads a PCM (8, 16, 24, 32 bit) or float WAV file, channels averaged. A data chunk cut short gives what is there.
 * Source: Microsoft/IBM RIFF WAVE (from memory).
 */
export function readWav(bytes: Uint8Array): Result<MonoSound, Issue> {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const tag = (at: number): string => String.fromCharCode(...bytes.subarray(at, at + 4));
  if (bytes.length === 0) return failed({ code: 'empty-file', at: '', facts: {} });
  if (bytes.length < 20 || tag(0) !== 'RIFF' || tag(8) !== 'WAVE')
    return failed({ code: 'not-wav', at: '', facts: {} });
  let format: { kind: number; channels: number; sampleRate: number; bits: number } | null = null;
  for (let at = 12; at + 8 <= bytes.length;) {
    const size = view.getUint32(at + 4, true);
    if (tag(at) === 'fmt ' && at + 24 <= bytes.length) {
      const kind = view.getUint16(at + 8, true);
      format = {
        kind: kind === 0xfffe && at + 34 <= bytes.length ? view.getUint16(at + 32, true) : kind,
        channels: view.getUint16(at + 10, true),
        sampleRate: view.getUint32(at + 12, true),
        bits: view.getUint16(at + 22, true),
      };
    } else if (tag(at) === 'data') {
      if (!format) break;
      return decode(view, at + 8, Math.min(size, bytes.length - at - 8), format);
    }
    at += 8 + size + (size % 2);
  }
  return failed({ code: 'broken-wav', at: '', facts: {} });
}

function decode(
  view: DataView,
  from: number,
  length: number,
  { kind, channels, sampleRate, bits }: { kind: number; channels: number; sampleRate: number; bits: number },
): Result<MonoSound, Issue> {
  const reader = sampleReader(kind, bits);
  if (!reader || channels < 1 || channels > 32 || sampleRate < 4000 || sampleRate > 384_000) {
    return failed({ code: 'unknown-wav', at: '', facts: { kind, bits, channels, sampleRate } });
  }
  const width = bits / 8;
  const frames = Math.floor(length / (width * channels));
  const samples = new Float32Array(frames);
  for (let frame = 0; frame < frames; frame++) {
    let sum = 0;
    for (let channel = 0; channel < channels; channel++)
      sum += reader(view, from + (frame * channels + channel) * width);
    samples[frame] = sum / channels;
  }
  return ok({ sampleRate, samples });
}

function sampleReader(kind: number, bits: number): ((view: DataView, at: number) => number) | null {
  if (kind === 3 && bits === 32) return (view, at) => view.getFloat32(at, true);
  if (kind !== 1) return null;
  if (bits === 8) return (view, at) => (view.getUint8(at) - 128) / 128;
  if (bits === 16) return (view, at) => view.getInt16(at, true) / 32768;
  if (bits === 24) return (view, at) => ((view.getInt8(at + 2) << 16) | view.getUint16(at, true)) / 8388608;
  if (bits === 32) return (view, at) => view.getInt32(at, true) / 2147483648;
  return null;
}

/**
 * The 44 bytes before mono 16-bit PCM in a WAV file. Source: Microsoft/IBM RIFF WAVE (from memory).
 * @throws RangeError when so many samples do not fit the format's 32-bit sizes.
 */
export function wavHeader(samples: number, sampleRate: number): Uint8Array<ArrayBuffer> {
  const bytes = samples * 2;
  if (!Number.isInteger(samples) || samples < 0 || bytes + 36 > 0xffffffff)
    throw new RangeError(`wavHeader: ${samples} samples do not fit`);
  const header = new Uint8Array(44);
  const view = new DataView(header.buffer);
  const tag = (at: number, text: string): void => {
    for (let index = 0; index < 4; index++) header[at + index] = text.charCodeAt(index);
  };
  tag(0, 'RIFF');
  view.setUint32(4, 36 + bytes, true);
  tag(8, 'WAVE');
  tag(12, 'fmt ');
  view.setUint32(16, 16, true);
  view.setUint16(20, 1, true);
  view.setUint16(22, 1, true);
  view.setUint32(24, sampleRate, true);
  view.setUint32(28, sampleRate * 2, true);
  view.setUint16(32, 2, true);
  view.setUint16(34, 16, true);
  tag(36, 'data');
  view.setUint32(40, bytes, true);
  return header;
}

/** Samples from -1 to 1 as little-endian 16-bit PCM; what is louder is held at full scale. */
export function pcm16(samples: Float32Array): Uint8Array<ArrayBuffer> {
  const bytes = new Uint8Array(samples.length * 2);
  const view = new DataView(bytes.buffer);
  for (let at = 0; at < samples.length; at++)
    view.setInt16(at * 2, Math.round(Math.max(-1, Math.min(1, samples[at] ?? 0)) * 32767), true);
  return bytes;
}
