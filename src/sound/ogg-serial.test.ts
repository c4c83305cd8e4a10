import { execFileSync } from 'node:child_process';
import { describe, expect, it } from 'vitest';
import { OggSerial } from './ogg-serial';

/** Opus in Ogg with a serial number, made by ffmpeg. */
function ogg(serial: number): Uint8Array {
  const source = ['-f', 'lavfi', '-i', 'sine=330:d=4', '-c:a', 'libopus', '-b:a', '24k', '-fflags', '+bitexact'];
  const options = ['-map_metadata', '-1', '-serial_offset', String(serial), '-f', 'ogg', '-'];
  return new Uint8Array(execFileSync('ffmpeg', ['-v', 'error', ...source, ...options]));
}

function numbered(bytes: Uint8Array, piece: number): Uint8Array {
  const serial = new OggSerial(1);
  const out: number[] = [];
  for (let at = 0; at < bytes.length; at += piece) out.push(...serial.push(bytes.subarray(at, at + piece)));
  return Uint8Array.from(out);
}

describe('the serial number of an Ogg stream', () => {
  it('is all that tells two copies of one sound apart, and is made the same, however the stream is cut', () => {
    const [one, other] = [ogg(1234), ogg(99)];
    expect(one).not.toEqual(other);
    for (const piece of [7, 1000, 100_000]) expect(numbered(one, piece)).toEqual(numbered(other, 4096));
  });

  it('leaves a stream that ffmpeg reads without complaint, checksums and all', () => {
    const bytes = numbered(ogg(1234), 4096);
    const read = execFileSync(
      'ffmpeg',
      ['-v', 'warning', '-err_detect', 'crccheck+explode', '-i', '-', '-f', 's16le', '-ar', '8000', '-'],
      {
        input: bytes,
        stdio: ['pipe', 'pipe', 'pipe'],
      },
    );
    expect(read.length / 2 / 8000).toBeCloseTo(4, 1);
    // A page whose checksum is wrong is left out: what was read above had none.
    const spoilt = bytes.slice();
    spoilt[spoilt.length - 40] = (spoilt[spoilt.length - 40] ?? 0) ^ 255;
    const less = execFileSync('ffmpeg', ['-v', 'quiet', '-i', '-', '-f', 's16le', '-ar', '8000', '-'], {
      input: spoilt,
    });
    expect(less.length).toBeLessThan(read.length);
  });
});
