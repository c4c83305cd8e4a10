import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { writeWithIndex } from './with-index';

/* A recording as a browser makes it, written by FFmpeg from Debian to a pipe, where nothing can be put in afterwards. */

const folder = mkdtempSync(join(tmpdir(), 'calm-count-index-'));
afterAll(() => rmSync(folder, { recursive: true }));

const LIVE = ['-f', 'lavfi', '-i', 'testsrc=size=160x90:rate=15', '-f', 'lavfi', '-i', 'sine=frequency=196', '-t', '4', '-c:v', 'libvpx', '-c:a', 'libopus', '-f', 'webm', '-live', '1', 'pipe:1']; // prettier-ignore
const live = execFileSync('ffmpeg', ['-v', 'error', ...LIVE], { maxBuffer: 64 * 1024 * 1024 });

const probe = (path: string, ...entries: string[]): string =>
  execFileSync('ffprobe', ['-v', 'error', ...entries, '-of', 'csv=p=0', path], { encoding: 'utf8' }).trim();
/** What each packet holds, as sums of it. */
const packets = (path: string): string[] =>
  [...probe(path, '-show_entries', 'packet=data_hash', '-show_data_hash', 'md5').matchAll(/MD5:\w+/g)]
    .map(String)
    .sort();

/** A file that is written at places, as the browser's private files are. */
function file() {
  let bytes = new Uint8Array(0);
  let aborted = false;
  const stream = new WritableStream<{ data: Uint8Array; position: number }>({
    write({ data, position }) {
      const longer = new Uint8Array(Math.max(bytes.length, position + data.length));
      longer.set(bytes);
      longer.set(data, position);
      bytes = longer;
    },
    abort: () => void (aborted = true),
  }) as FileSystemWritableFileStream;
  return { stream, bytes: () => bytes, aborted: () => aborted };
}

const recorded = (bytes: Uint8Array): Blob => new Blob([new Uint8Array(bytes)], { type: 'video/webm' });

describe('a recording written anew with its index', () => {
  it('has its length and an index, and every packet as it was', async () => {
    const [before, after] = [join(folder, 'before.webm'), join(folder, 'after.webm')];
    writeFileSync(before, live);
    expect(probe(before, '-show_entries', 'format=duration')).toBe('N/A');
    const to = file();
    expect(await writeWithIndex(recorded(live), to.stream)).toBe(true);
    writeFileSync(after, to.bytes());
    expect(Math.abs(Number(probe(after, '-show_entries', 'format=duration')) - 4)).toBeLessThan(0.1);
    // The element Cues, RFC 9559.
    expect(readFileSync(after).includes(Buffer.from([0x1c, 0x53, 0xbb, 0x6b]))).toBe(true);
    expect(packets(after).length).toBeGreaterThan(200);
    expect(packets(after)).toEqual(packets(before));
  });

  it('keeps what can be read of one that was cut off', async () => {
    const to = file();
    expect(await writeWithIndex(recorded(live.subarray(0, Math.floor(live.length * 0.7))), to.stream)).toBe(true);
    const path = join(folder, 'cut.webm');
    writeFileSync(path, to.bytes());
    expect(Number(probe(path, '-show_entries', 'format=duration'))).toBeGreaterThan(2);
  });

  it('is left as it was where it cannot be read', async () => {
    for (const bytes of [new Uint8Array(0), new TextEncoder().encode('no recording'), live.subarray(0, 20)]) {
      const to = file();
      expect(await writeWithIndex(recorded(bytes), to.stream)).toBe(false);
      expect(to.aborted()).toBe(true);
    }
  });
});
