/**
 * What a recording costs in Chromium, from the file to its reading: `npm run bench:recordings`, with lengths in minutes
 * after it where not all of 5, 20 and 60 are wanted. Prints time by what was done and the most memory of the page, then
 * a correction and a scroll on the take that came of it. Uses the application at CALM_URL, or one started here.
 */
import { firstItems } from '@/core/units';
import { execFileSync } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Browser, type Page } from '@playwright/test';
import { TAKE_RATE } from '../../src/core/practice';
import { pcm16, wavHeader } from '../../src/core/signal';
import { makeTake } from '../../tests/support/takes/make-take';
import { withApplication } from '../application';
import { ms, spread } from '../measure';
import { scriptTimeOf } from '../script-time';
import { planOf } from './sets';

const LENGTHS = new Map([
  [5, ['evening-ebb', 5]],
  [20, ['evening-ebb', null]],
  [60, ['thursday-live', null]],
] as const);
/** Of the video, in bits a second: an hour is half a gigabyte. */
const PICTURE = '1000k';

const kept = join(tmpdir(), 'calm-count-recordings');

/** A class as a phone would film it: AAC in stereo at 48 kHz beside H.264, in MP4. Kept in the temporary folder. */
function recordingOf(
  minutes: number,
  [script, target]: readonly [string, number | null],
): { file: string; plan: object } {
  const plan = planOf(script, target);
  const file = join(kept, `${minutes}.mp4`);
  if (existsSync(file)) return { file, plan };
  mkdirSync(kept, { recursive: true });
  const { samples } = makeTake({ plan, voice: 'harbour', tempo: 'steady', background: 'birds', seed: minutes });
  const folder = mkdtempSync(join(kept, 'making-'));
  const [wav, clip, made] = firstItems(
    ['sound.wav', 'clip.mp4', 'made.mp4'].map((name) => join(folder, name)),
    3,
  );
  writeFileSync(wav, Buffer.concat([wavHeader(samples.length, TAKE_RATE), pcm16(samples)]));
  const ffmpeg = (...args: string[]): void => void execFileSync('ffmpeg', ['-v', 'error', '-y', ...args]);
  const picture = ['-c:v', 'libx264', '-preset', 'veryfast', '-b:v', PICTURE, '-minrate', PICTURE, '-maxrate', PICTURE];
  const rate = ['-bufsize', PICTURE, '-x264-params', 'nal-hrd=cbr', '-pix_fmt', 'yuv420p'];
  ffmpeg('-f', 'lavfi', '-i', 'testsrc2=s=640x360:r=25:d=20', ...picture, ...rate, clip);
  const sound = ['-c:a', 'aac', '-b:a', '128k', '-ac', '2', '-ar', '48000'];
  ffmpeg('-stream_loop', '-1', '-i', clip, '-i', wav, '-shortest', '-c:v', 'copy', ...sound, made);
  execFileSync('mv', [made, file]);
  rmSync(folder, { recursive: true });
  return { file, plan };
}

/** The most anonymous memory that the page's process has held, in megabytes, by what was done; read four times a second. */
class PageMemory {
  doing = 'nothing yet';
  readonly max = new Map<string, number>();
  private readonly timer = setInterval(() => void this.read(), 250);

  constructor(private readonly browser: Browser) {}

  end(): void {
    clearInterval(this.timer);
  }

  private async read(): Promise<void> {
    const session = await this.browser.newBrowserCDPSession();
    const { processInfo } = await session.send('SystemInfo.getProcessInfo');
    await session.detach();
    const sum = processInfo
      .filter(({ type }) => type === 'renderer')
      .reduce((total, { id }) => total + anonymousMegabytes(id), 0);
    this.max.set(this.doing, Math.max(this.max.get(this.doing) ?? 0, sum));
  }
}

function anonymousMegabytes(process: number): number {
  try {
    const found = /^RssAnon:\s+(\d+) kB/m.exec(readFileSync(`/proc/${process}/status`, 'utf8'));
    return Number(found?.[1] ?? 0) / 1024;
  } catch {
    return 0;
  }
}

/** Brings a file as a person would; `setInputFiles` fails on large ones. How long each thing took, in milliseconds. */
async function bring(
  page: Page,
  url: string,
  classId: string,
  file: string,
  memory: PageMemory,
): Promise<Map<string, number>> {
  await page.goto(`${url}/classes/${classId}/takes`);
  const session = await page.context().newCDPSession(page);
  const { root } = await session.send('DOM.getDocument');
  const { nodeId } = await session.send('DOM.querySelector', { nodeId: root.nodeId, selector: 'input[type=file]' });
  await page.waitForTimeout(1500);
  await session.send('DOM.setFileInputFiles', { nodeId, files: [file] });
  await page.getByRole('button', { name: 'Read the take' }).click();
  const times = new Map<string, number>();
  for (let last = performance.now(); !page.url().includes('/takes/');) {
    const doing = await page
      .locator('progress')
      .getAttribute('aria-label', { timeout: 200 })
      .catch(() => null);
    // Asking costs the page time: not often.
    await page.waitForTimeout(500);
    const now = performance.now();
    if (doing) times.set(doing, (times.get(doing) ?? 0) + now - last);
    if (doing) memory.doing = doing;
    last = now;
    const refused = page.getByRole('alert');
    if (!doing && (await refused.isVisible())) throw new Error((await refused.textContent()) ?? 'refused');
    const open = page.getByRole('link', { name: 'Open the take' });
    if (!doing && (await open.isVisible())) await open.click();
  }
  await page.getByLabel('Figures of the take').waitFor();
  return times;
}

/** Nudges of one line after the other: script of the whole press; then the long tasks while the strip is scrolled. */
async function correctAndScroll(page: Page): Promise<void> {
  await page.waitForTimeout(1500);
  const scriptTime = await scriptTimeOf(page);
  const times: number[] = [];
  for (let press = 0; press < 30; press++) {
    await page.keyboard.press('j');
    await page.waitForTimeout(150);
    const before = await scriptTime();
    await page.keyboard.press('ArrowRight');
    await page.waitForTimeout(400);
    times.push((await scriptTime()) - before);
  }
  const { median, p95 } = spread(times.slice(5));
  console.log(`  a line nudged, script of the whole press: median ${ms(median)}, 95th percentile ${ms(p95)}`);
  await page.evaluate(() => {
    const seen: number[] = [];
    Object.assign(window, { longTasks: seen });
    new PerformanceObserver((list) => seen.push(...list.getEntries().map(({ duration }) => duration))).observe({
      type: 'longtask',
    });
  });
  const strip = page.getByRole('group', { name: 'Lines of the take' });
  const box = await strip.boundingBox();
  if (!box) throw new Error('no strip');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  for (let turn = 0; turn < 120; turn++) {
    await page.mouse.wheel(0, 700);
    await page.waitForTimeout(30);
  }
  const tasks = await page.evaluate(() => (window as { longTasks?: number[] }).longTasks ?? []);
  const lines = await strip.evaluate((group) => Math.round(group.scrollHeight / 44));
  console.log(
    `  the strip scrolled, about ${lines} rows: ${tasks.length} tasks over 50 ms${tasks.length > 0 ? `, the longest ${ms(Math.max(...tasks))}` : ''}`,
  );
}

async function measure(url: string, minutes: number, script: readonly [string, number | null]): Promise<void> {
  const { file, plan } = recordingOf(minutes, script);
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const headers = { origin: url };
  const made = await page.request.post(`${url}/api/classes`, { data: { from: 'plan', plan }, headers });
  if (!made.ok()) throw new Error(`the class was not made: ${made.status()} ${await made.text()}`);
  const { id } = (await made.json()) as { id: string };
  const memory = new PageMemory(browser);
  try {
    await page.goto(`${url}/classes/${id}/takes`);
    await page.waitForTimeout(1000);
    const began = performance.now();
    const times = await bring(page, url, id, file, memory);
    const whole = performance.now() - began - 1500;
    const before = memory.max.get('nothing yet') ?? 0;
    const max = Math.max(...memory.max.values());
    const parts = [...times].map(([doing, time]) => {
      return `${doing.toLowerCase()} ${(time / 1000).toFixed(1)} s and ${memory.max.get(doing)?.toFixed(0) ?? '?'} MB`;
    });
    console.log(
      `a recording of about ${minutes} minutes: ${(whole / 1000).toFixed(1)} s from file to reading; page ${before.toFixed(0)} MB before, ${max.toFixed(0)} MB at most\n  ${parts.join(', ')}`,
    );
    await correctAndScroll(page);
  } finally {
    memory.end();
    await page.request.delete(`${url}/api/classes/${id}`, { headers });
    await browser.close();
  }
}

const wanted = process.argv.slice(2).map(Number);
await withApplication(async (url) => {
  for (const [minutes, script] of LENGTHS) {
    if (wanted.length === 0 || wanted.includes(minutes)) await measure(url, minutes, script);
  }
});
