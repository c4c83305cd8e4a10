import { execFileSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { expect, type Page } from '@playwright/test';
import { paragraphWav } from '../support/paragraph-sound';
import { expectAccessible } from './accessible';
import { classOf, copyOf, origin, ownFolder, test } from './desk-page';
import { inBrowser } from './own-browser';
import { showsOnce } from './shows-once';

/*
 * The camera and the microphone recorded in the prompter, with the stand-ins that ship; Chromium's own fake devices
 * where permission is the question. What is in the files is told by FFmpeg's ffprobe, from Debian.
 */

const folder = ownFolder();
const corner = (page: Page) => page.getByRole('region', { name: 'Recording' });
const record = (page: Page) => page.getByRole('button', { name: 'Record here' });

/** Of a file, as FFmpeg reads it: seconds of sound, where the last packet of any stream is, kinds, the told length. */
function probed(path: string) {
  const shown = (...entries: string[]): string[] =>
    execFileSync('ffprobe', ['-v', 'error', '-of', 'csv=p=0', ...entries, path], { encoding: 'utf8' }).trim().split('\n'); // prettier-ignore
  const last = (...of: string[]): number =>
    Math.max(0, ...shown('-show_entries', 'packet=pts_time', ...of).map(Number.parseFloat).filter(Number.isFinite)); // prettier-ignore
  return {
    seconds: last('-select_streams', 'a'),
    ends: last(),
    kinds: shown('-show_entries', 'stream=codec_type').sort(),
    told: Number.parseFloat(shown('-show_entries', 'format=duration')[0] ?? ''),
  };
}

/** Whether a WebM file has an index (the element Cues, RFC 9559, by its number). */
async function hasIndex(path: string): Promise<boolean> {
  return (await readFile(path)).includes(Buffer.from([0x1c, 0x53, 0xbb, 0x6b]));
}

/** The newest recording of a class, saved from its page of takes. */
async function savedFile(page: Page, id: string, name: string): Promise<string> {
  await page.goto(`${origin()}/classes/${id}/takes`);
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as a file' }).first().click();
  const path = `${folder}/${name}`;
  await (await saving).saveAs(path);
  return path;
}

/** Seconds of sound the browser's files hold of a class's newest recording now, and its clock, as FFmpeg reads them. */
async function written(page: Page, classId: string): Promise<{ readonly seconds: number; readonly clock: number }> {
  const newest = await page.evaluate(async (of) => {
    const folder = await (await navigator.storage.getDirectory()).getDirectoryHandle('recordings');
    let found = { startedAt: 0, bytes: new ArrayBuffer(0) };
    for await (const handle of folder.values()) {
      const pieces: [string, File][] = [];
      for await (const one of (handle as FileSystemDirectoryHandle).values()) {
        // What is being written lies beside the pieces for a moment.
        if (!/^(\d+|about\.json)$/.test(one.name)) continue;
        pieces.push([one.name, await (one as FileSystemFileHandle).getFile()]);
      }
      const about = pieces.find(([name]) => name === 'about.json')?.[1];
      const meta = JSON.parse((await about?.text()) ?? '{}') as { classId?: string; startedAt?: number };
      if (meta.classId !== of || (meta.startedAt ?? 0) < found.startedAt) continue;
      const parts = pieces.filter(([name]) => name !== 'about.json').sort(([a], [b]) => a.localeCompare(b));
      const bytes = await new Blob(parts.map(([, file]) => file)).arrayBuffer();
      found = { startedAt: meta.startedAt ?? 0, bytes };
    }
    return { clock: (Date.now() - found.startedAt) / 1000, bytes: [...new Uint8Array(found.bytes)] };
  }, classId);
  const path = `${folder}/written.webm`;
  writeFileSync(path, Uint8Array.from(newest.bytes));
  return { seconds: newest.bytes.length > 0 ? probed(path).seconds : 0, clock: newest.clock };
}

/** When the performance began on the clock of what was recorded meanwhile, by what the browser wrote of both. */
function startOnRecording(page: Page, classId: string): Promise<number> {
  return page.evaluate(async (of) => {
    const [, run = '{}'] = Object.entries(localStorage).find(([key]) => key.startsWith(`performance/${of}/`)) ?? [];
    const began = (JSON.parse(String(run)) as { startedAt: number }).startedAt;
    const folder = await (await navigator.storage.getDirectory()).getDirectoryHandle('recordings');
    for await (const one of folder.values()) {
      const file = await (await (one as FileSystemDirectoryHandle).getFileHandle('about.json')).getFile();
      const about = JSON.parse(await file.text()) as { classId: string; startedAt: number };
      if (about.classId === of) return (began - about.startedAt) / 1000;
    }
    return NaN;
  }, classId);
}

test('a class is recorded while it is performed, and analysed with one press in step with its log', async ({
  page,
  context,
}) => {
  test.setTimeout(180_000);
  const id = await copyOf('Before the First Ferry');
  // The microphone's stand-in plays the take of the demo.
  await page.goto(`${origin()}/classes/${await classOf('Before the First Ferry')}/takes`);
  const href = await page.getByRole('link', { name: 'Monday, before the ferry' }).getAttribute('href');
  const sound = `/api/takes/${href?.split('/').at(-1) ?? ''}/sound`;
  await page.goto(`${origin()}/classes/${id}/perform?stand-in=${sound}`);
  await record(page).click();
  await expect(corner(page)).toContainText(/Recording 0:0\d/);
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expectAccessible(page, 'recording in the prompter');
  // Off for the audience.
  const stage = await context.newPage();
  await stage.goto(`${origin()}/classes/${id}/stage`);
  await expect(stage.getByTestId('stage')).toHaveAttribute('data-mode', 'running');
  await expect(stage.locator('video')).toHaveCount(0);
  await stage.close();
  await page.waitForTimeout(12_000);
  await page.getByRole('button', { name: 'Pause' }).click();
  await page.getByRole('button', { name: 'Stop recording' }).click();
  await expect(corner(page)).toHaveCount(0);
  await page.getByRole('link', { name: 'Analyse the recording' }).click();
  await expect(page.getByRole('heading', { name: /Analysed|before-the-first-ferry/i })).toBeVisible({
    timeout: 90_000,
  });
  await page.goto(`${origin()}/classes/${id}/takes`);
  await page.getByRole('link', { name: /before-the-first-ferry/ }).click();
  // The first line is said when the prompter began, on the recording's clock.
  const said = /0:(\d\d\.\d)/.exec(await page.getByRole('textbox', { name: 'Said at' }).inputValue())?.[1];
  expect(Math.abs(Number(said) - (await startOnRecording(page, id)))).toBeLessThan(1.5);
  const path = await savedFile(page, id, 'recorded.webm');
  const { seconds, ends, kinds, told } = probed(path);
  expect(kinds).toEqual(['audio', 'video']);
  expect(seconds).toBeGreaterThan(11);
  // It tells its length, which is that of its longer stream (a busy machine's encoder may be behind with the other),
  // has all the sound that was recorded, and can be wound: a frame near its end is found without reading it through.
  expect(Math.abs(told - ends)).toBeLessThan(0.2);
  expect(Math.abs(seconds - (await written(page, id)).seconds)).toBeLessThan(0.1);
  expect(await hasIndex(path)).toBe(true);
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await page.getByRole('button', { name: 'Remove it for good' }).click();
  await expect(page.getByRole('list', { name: 'Recorded in this browser' })).toHaveCount(0);
});

test('a crash of the page keeps all but the last two seconds', async ({ context }) => {
  const id = await copyOf('Before the First Ferry');
  const page = await context.newPage();
  await page.goto(`${origin()}/classes/${id}/perform?stand-in`);
  await record(page).click();
  await showsOnce(corner(page), /Recording 0:05/);
  // How far a busy machine's encoder is behind the clock is the machine's; once it keeps pace, so must the files.
  let before = await written(page, id);
  await expect(async () => {
    before = await written(page, id);
    expect(before.seconds).toBeGreaterThan(3);
    expect(before.clock - before.seconds).toBeLessThan(2);
  }).toPass({ timeout: 60_000 });
  await page.goto('chrome://crash').catch(() => undefined);
  await page.close();
  const after = await context.newPage();
  expect(probed(await savedFile(after, id, 'crashed.webm')).seconds).toBeGreaterThanOrEqual(before.seconds);
});

test('a device that is unplugged and a full disk say so, and what was recorded stays', async ({ page }) => {
  const id = await copyOf('Before the First Ferry');
  await page.addInitScript(() => {
    const open = Reflect.get<object, string>(
      FileSystemFileHandle.prototype,
      'createWritable',
    ) as () => Promise<FileSystemWritableFileStream>;
    FileSystemFileHandle.prototype.createWritable = function () {
      const full = (window as { diskFull?: boolean }).diskFull === true;
      return full ? Promise.reject(new DOMException('full', 'QuotaExceededError')) : open.call(this);
    };
    const stream = Reflect.get<object, string>(HTMLCanvasElement.prototype, 'captureStream') as (
      rate?: number,
    ) => MediaStream;
    HTMLCanvasElement.prototype.captureStream = function (rate) {
      const made = stream.call(this, rate);
      Object.assign(window, { unplug: () => made.getVideoTracks()[0]?.dispatchEvent(new Event('ended')) });
      return made;
    };
  });
  await page.goto(`${origin()}/classes/${id}/perform?stand-in`);
  await record(page).click();
  await showsOnce(corner(page), /Recording 0:05/);
  await page.evaluate(() => (window as { unplug?: () => void }).unplug?.());
  await expect(corner(page).getByRole('alert')).toContainText(
    'The camera was unplugged. What was recorded until then is saved.',
  );
  await record(page).click();
  await showsOnce(corner(page), /Recording 0:05/);
  await expect.poll(async () => (await written(page, id)).seconds, { timeout: 60_000 }).toBeGreaterThan(1);
  const { seconds: before } = await written(page, id);
  await page.evaluate(() => Object.assign(window, { diskFull: true }));
  await expect(corner(page).getByRole('alert')).toContainText('There is no room left to record.');
  // The prompter goes on.
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(page.getByTestId('line-now')).toContainText('Good morning');
  await page.goto(`${origin()}/classes/${id}/takes`);
  await expect(page.getByRole('list', { name: 'Recorded in this browser' }).getByRole('listitem')).toHaveCount(2);
  const { seconds } = probed(await savedFile(page, id, 'full.webm'));
  expect(seconds).toBeGreaterThanOrEqual(before);
});

test('a microphone that hears nothing, or too much, is told while there is time', async () => {
  for (const [name, gain, says] of [
    ['still.wav', 0, 'No sound'],
    ['loud.wav', 12, 'Too loud'],
  ] as const) {
    const { path } = paragraphWav(folder, name, { gain });
    const devices = ['--use-fake-device-for-media-stream', '--use-fake-ui-for-media-stream'];
    await inBrowser([...devices, `--use-file-for-fake-audio-capture=${path}`], async (own) => {
      await own.goto(`${origin()}/classes/${await classOf('Before the First Ferry')}/perform`);
      await record(own).click();
      await expect(corner(own)).toContainText(says);
    });
  }
});

test('a camera that is refused, or none, is told, and the class is performed without', async () => {
  for (const [fake, says] of [
    [['--use-fake-device-for-media-stream'], 'was not allowed to use the camera'],
    [['--use-fake-ui-for-media-stream'], 'No camera or no microphone was found'],
  ] as const) {
    await inBrowser([...fake], async (own) => {
      await own.goto(`${origin()}/classes/${await classOf('Before the First Ferry')}/perform`);
      await record(own).click();
      await expect(corner(own).getByRole('alert')).toContainText(says);
      await own.keyboard.press('Space');
      await expect(own.getByTestId('line-now')).toContainText('Good morning');
    });
  }
});
