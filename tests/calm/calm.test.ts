import { itemAt } from '@/core/units';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, describe, expect, it } from 'vitest';

const ROOT = fileURLToPath(new URL('../..', import.meta.url));
const folder = mkdtempSync(join(tmpdir(), 'calm-cli-'));
afterAll(() => rmSync(folder, { recursive: true }));

function calm(...words: string[]): { out: string; err: string; status: number | null } {
  const { stdout, stderr, status } = spawnSync(join(ROOT, 'calm'), words, { encoding: 'utf8', cwd: folder });
  return { out: stdout, err: stderr, status };
}

function keep(name: string, text: string): string {
  writeFileSync(join(folder, name), text);
  return name;
}

const ferry = keep('ferry.json', calm('demo', 'before-the-first-ferry').out);
const storm = keep('storm.json', calm('demo', 'storm-day-indoors').out);

describe('./calm', () => {
  it('lists and prints the demo classes, which are valid', () => {
    expect(calm('demo').out.split('\n').filter(Boolean).length).toBe(8);
    expect(JSON.parse(calm('validate', ferry).out)).toMatchObject({ valid: true, title: 'Before the First Ferry' });
  });

  it('ends quietly when nobody reads on', () => {
    const { status, stderr } = spawnSync(
      'bash',
      ['-c', `set -o pipefail; "${join(ROOT, 'calm')}" timeline ferry.json | head -1`],
      {
        encoding: 'utf8',
        cwd: folder,
      },
    );
    expect([status, stderr]).toEqual([0, '']);
  });

  it.each([
    [
      'validate',
      'deep',
      `{"format":"calm-count/class-plan","sections":${'['.repeat(50_000)}${']'.repeat(50_000)}}`,
      'deeper',
    ],
    ['validate', 'wide', `[${'0,'.repeat(1_000_050)}0]`, 'more than 1000000 values'],
    ['validate', 'nul', '{"format":"calm-count/class-plan","title":"a\\u0000b"}', 'characters that cannot be saved'],
  ])('%s says what is wrong with a file that is too %s', (command, name, text, words) => {
    const { err, status } = calm(command, keep(`${name}.json`, text));
    expect(status).toBe(1);
    expect(err).toContain(words);
  });

  it.each([
    ['no reading', '{"cues": []}', 'missing'],
    ['no JSON', '{"cues": ', 'not readable JSON'],
    ['a list', '[]', 'reading.json'],
    ['deep', `{"cues":${'['.repeat(50_000)}${']'.repeat(50_000)}}`, 'deeper'],
  ])('export says what is wrong with a --reading that is %s', (_, text, words) => {
    const { err, status } = calm('export', ferry, '--format', 'webvtt', '--reading', keep('reading.json', text));
    expect(status).toBe(1);
    expect(err).toContain(words);
    expect(err).not.toMatch(/\bat .*:\d+:\d+/);
  });

  it('prints the timeline in the promised shape', () => {
    const timeline = JSON.parse(calm('timeline', ferry).out) as {
      runtimeSeconds: number;
      targetSeconds: number;
      phases: object[];
      cues: object[];
    };
    expect(Math.abs(timeline.runtimeSeconds - timeline.targetSeconds)).toBeLessThan(1);
    expect(Object.keys(itemAt(timeline.phases, 0))).toEqual(
      expect.arrayContaining(['step', 'round', 'side', 'kind', 'startSeconds', 'endSeconds']),
    );
    expect(Object.keys(itemAt(timeline.cues, 0))).toEqual(
      expect.arrayContaining(['id', 'step', 'text', 'startSeconds', 'endSeconds']),
    );
  });

  it('fits to a target, and the fitted plan is on it', () => {
    const { out, status } = calm('fit', storm, '--target', '11:00');
    const fit = JSON.parse(out) as { feasible: boolean; runtimeSeconds: number; cost: number; plan: object };
    expect(status).toBe(0);
    expect(fit.feasible).toBe(true);
    expect(Math.abs(fit.runtimeSeconds - 660)).toBeLessThan(1);
    const again = JSON.parse(calm('timeline', keep('fitted.json', JSON.stringify(fit.plan))).out) as {
      runtimeSeconds: number;
    };
    expect(again.runtimeSeconds).toBeCloseTo(fit.runtimeSeconds, 6);
  });

  it('says with status 1 that nothing fits, and what to loosen', () => {
    const { out, status } = calm('fit', storm, '--target', '1:30');
    expect(status).toBe(1);
    const fit = JSON.parse(out) as {
      feasible: boolean;
      shortestSeconds: number;
      longestSeconds: number;
      loosen: object[];
    };
    expect(fit.feasible).toBe(false);
    expect(fit.shortestSeconds).toBeGreaterThan(90);
    expect(fit.loosen.length).toBeGreaterThan(0);
  });

  it('fits in the way that is asked, and knows no others', () => {
    const breath = calm('fit', storm, '--target', '11:00', '--way', 'keep-breath');
    const fit = JSON.parse(breath.out) as { changes: { what: string }[] };
    expect(fit.changes.some((change) => change.what === 'breath')).toBe(false);
    expect(calm('fit', storm, '--way', 'quickly').status).toBe(2);
  });

  it('writes a class as a plain script, and reads it again', () => {
    const script = calm('export', ferry, '--format', 'script').out;
    expect(script).toMatch(/^# Before the First Ferry\n/);
    const again = calm('script', keep('ferry.txt', script));
    expect(again).toMatchObject({ status: 0, err: '' });
    expect(calm('export', keep('again.json', again.out), '--format', 'script').out).toBe(script);
    const natural = calm('script', keep('natural.txt', 'Morning\n\nMain set\n1. Bow x3\nLet the arms hang'));
    expect(natural.err).toContain('line 5: taken as said: Let the arms hang');
    expect(calm('script', keep('empty.txt', '  ')).status).toBe(1);
  });

  it('exports every format, planned and with a reading', () => {
    expect(calm('export', ferry, '--format', 'webvtt').out).toMatch(/^WEBVTT\n/);
    expect(calm('export', ferry, '--format', 'srt').out).toMatch(/^1\r\n00:00:00,000 --> /);
    expect(calm('export', ferry, '--format', 'chapters').out).toMatch(/^WEBVTT\n/);
    expect(calm('export', ferry, '--format', 'chapter-list').out).toMatch(/^0:00 Welcome\n/);
    const vtt = join(ROOT, 'demo/take/before-the-first-ferry.vtt');
    const read = calm('read', ferry, '--captions', vtt);
    const reading = JSON.parse(read.out) as {
      cues: { status: string; actualStart: number | null; confidence: number }[];
      adLibs: object[];
      totals: object;
    };
    expect(reading.cues.filter((cue) => cue.status === 'skipped').length).toBe(2);
    expect(reading.adLibs.length).toBe(3);
    const list = calm('export', ferry, '--format', 'chapter-list', '--reading', keep('reading.json', read.out)).out;
    expect(list).not.toBe(calm('export', ferry, '--format', 'chapter-list').out);
  });

  it.each([
    [['fit', 'nobody.json'], 1],
    [['validate', keep('broken.json', '{"format": "calm')], 1],
    [['validate', keep('empty.json', '')], 1],
    [['validate', keep('other.json', '[1, 2]')], 1],
    [['validate', keep('bytes.json', String.fromCharCode(0, 1, 2, 255))], 1],
    [['read', ferry, '--captions', keep('words.txt', 'only words')], 1],
    [['read', ferry, '--sound', keep('not.wav', 'no sound here')], 1],
    [['demo', 'nobody'], 1],
    [['fit', storm, '--target', '100:00:00'], 1],
    [['fit', storm, '--target', 'soon'], 2],
    [['export', ferry, '--format', 'gif'], 2],
    [['export', ferry], 2],
    [['read', ferry], 2],
    [['frobnicate'], 2],
    [['fit'], 2],
    [['fit', ferry, 'more'], 2],
    [['fit', ferry, '--nonsense'], 2],
    [[], 2],
  ])('%j ends with status %d, words on standard error and nothing else', (words, status) => {
    const result = calm(...words);
    expect(result.status).toBe(status);
    expect(result.err.length).toBeGreaterThan(10);
    expect(result.err).not.toMatch(/\n\s+at /);
    expect(result.out).toBe('');
  });

  it('refuses a plan of more than 10 MB', () => {
    const large = keep('large.json', `{"format": "${'x'.repeat(11 * 1024 * 1024)}"}`);
    expect(calm('validate', large)).toMatchObject({ status: 1, out: '' });
    expect(readFileSync(join(folder, large)).length).toBeGreaterThan(10 * 1024 * 1024);
  });
});
