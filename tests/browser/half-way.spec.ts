import { itemAt } from '@/core/units';
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, type Page } from '@playwright/test';
import { copyOf, origin, ownFolder, saveBehind, test } from './desk-page';

/* What happens to a take half-way: the tab is closed, the server is away or full, another is brought beside it. */

const folder = ownFolder();
const demo = (ending: string): string =>
  fileURLToPath(new URL(`../../demo/take/before-the-first-ferry${ending}`, import.meta.url));

function ffmpeg(name: string, ...options: string[]): string {
  const path = join(folder, name);
  execFileSync('ffmpeg', ['-y', '-v', 'error', ...options, path]);
  return path;
}

/** The first two sections of the class that the demo take is of: few lines to learn the sound of. */
async function opening(): Promise<string> {
  const id = await copyOf('Before the First Ferry');
  await saveBehind(id, (plan) => ({ ...plan, sections: plan.sections.slice(0, 2) }));
  return id;
}

async function bring(page: Page, id: string, sound: string, words = false): Promise<void> {
  await page.goto(`${origin()}/classes/${id}/takes`);
  await page.getByLabel('Sound or video').setInputFiles(sound);
  if (words) await page.getByLabel('Captions, text with times, or the prompter’s log').setInputFiles(demo('.vtt'));
  await page.getByRole('button', { name: 'Analyse the take' }).click();
}

const figures = (page: Page) => page.getByLabel('Figures of the take');

test('a tab that is closed half-way leaves no take; the same file brought again goes on with its sound', async ({
  context,
}) => {
  const id = await opening();
  // Long enough for several pieces of the sound copy.
  const sound = ffmpeg('half.wav', '-stream_loop', '1', '-i', demo('.webm'), '-t', '900', '-ar', '16000');
  const first = await context.newPage();
  const sent: string[] = [];
  context.on('request', (request) => {
    if (request.method() === 'PUT' && request.url().includes('/api/sounds/')) sent.push(request.url());
  });
  await bring(first, id, sound, true);
  await expect.poll(() => sent.length, { timeout: 60_000 }).toBeGreaterThan(1);
  await first.waitForTimeout(500);
  await first.close();
  const before = [...sent];
  const second = await context.newPage();
  await second.goto(`${origin()}/classes/${id}/takes`);
  await expect(second.getByText('No take yet.')).toBeVisible();
  sent.length = 0;
  await bring(second, id, sound, true);
  await expect(figures(second)).toContainText('15:00', { timeout: 90_000 });
  // The copy is the same: what was there already was not sent once more.
  expect(sent.length).toBeGreaterThan(0);
  expect(sent.filter((url) => before.slice(0, -1).includes(url))).toEqual([]);
  await expect(second.getByRole('button', { name: 'Play', exact: true })).toBeEnabled();
});

test('a server that is away half-way is waited for, and nothing is listened to twice', async ({ page, context }) => {
  const id = await opening();
  let away = true;
  let asked = 0;
  await context.route('**/api/**', (route) => {
    if (route.request().method() === 'GET' || !away) return route.continue();
    asked++;
    return route.abort();
  });
  await bring(page, id, ffmpeg('away.wav', '-i', demo('.webm'), '-t', '20'), true);
  await expect(page.getByRole('status').filter({ hasText: 'saved when it is back' })).toBeVisible({ timeout: 60_000 });
  expect(asked).toBeGreaterThan(0);
  away = false;
  await expect(figures(page)).toContainText('0:20', { timeout: 30_000 });
});

test('a server without room for the sound keeps the reading, and says what it did not keep', async ({
  page,
  context,
}) => {
  const id = await opening();
  const full = { type: 'about:blank', title: 'Full', status: 507, code: 'no-room', detail: 'There is no room.' };
  await context.route('**/api/sounds/*/*', (route) => route.fulfill({ status: 507, json: full }));
  await bring(page, id, ffmpeg('full.wav', '-i', demo('.webm'), '-t', '21'), true);
  const dialog = page.getByRole('dialog', { name: 'Analysed, with notes' });
  await expect(dialog).toContainText('audio proxy', { timeout: 60_000 });
  await dialog.getByRole('link', { name: 'Open the take' }).click();
  await expect(figures(page)).toContainText('0:21');
});

test('two takes brought at once are both read, also of one file', async ({ context }) => {
  const id = await opening();
  const sound = ffmpeg('both.wav', '-i', demo('.webm'), '-t', '22');
  const pages = [await context.newPage(), await context.newPage()];
  for (const page of pages) await bring(page, id, sound, true);
  for (const page of pages) await expect(figures(page)).toContainText('0:22', { timeout: 90_000 });
  expect(new Set(pages.map((page) => page.url())).size).toBe(2);
  await itemAt(pages, 0).goto(`${origin()}/classes/${id}/takes`);
  await expect(itemAt(pages, 0).getByRole('link', { name: 'both.wav' })).toHaveCount(2);
});

test('the guide’s log is laid on a recording by its sync mark', async ({ page }) => {
  const id = await opening();
  const tones = [
    [800, 9],
    [1000, 9.2],
    [1250, 9.4],
  ] as const;
  const sounds = tones.map(([hertz, at]) => `0.2*sin(2*PI*${hertz}*t)*between(t\\,${at}\\,${at + 0.1})`);
  const marked = ffmpeg(
    'marked.wav',
    ...['-f', 'lavfi', '-i', `aevalsrc=${sounds.join('+')}:s=16000:d=40`],
    ...['-f', 'lavfi', '-i', 'anoisesrc=c=pink:a=0.01:r=16000:d=40'],
    ...['-filter_complex', 'amix=2:normalize=0'],
  );
  const events = [
    { event: 'start', atSeconds: 0, placeSeconds: 0 },
    { event: 'mark', atSeconds: 2, placeSeconds: 2 },
  ];
  const log = { format: 'calm-count/performance-log', version: 1, title: 'Ferry', events };
  await page.goto(`${origin()}/classes/${id}/takes`);
  await page.getByLabel('Sound or video').setInputFiles(marked);
  await page
    .getByLabel('Captions, text with times, or the prompter’s log')
    .setInputFiles({ name: 'log.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(log)) });
  await page.getByRole('button', { name: 'Analyse the take' }).click();
  const dialog = page.getByRole('dialog', { name: 'Analysed, with notes' });
  await dialog.getByRole('link', { name: 'Open the take' }).click({ timeout: 60_000 });
  // The mark lies 7 s later in the recording than in the performance, and so does the first line.
  await page.getByRole('button', { name: /Good morning.*said at 0:07/ }).waitFor();
});

test('what a take teaches goes into my voice and the library too', async ({ page }) => {
  const id = await copyOf('Before the First Ferry');
  // The class given a good deal slower than it is planned, by somebody who speaks slower.
  const slower = readFileSync(demo('.vtt'), 'utf8').replace(
    /(\d\d):(\d\d):(\d\d\.\d{3})/g,
    (_, hours, minutes, seconds) => {
      const time = 1.25 * (3600 * Number(hours) + 60 * Number(minutes) + Number(seconds));
      const rest = (time % 60).toFixed(3).padStart(6, '0');
      return `00:${String(Math.floor(time / 60)).padStart(2, '0')}:${rest}`;
    },
  );
  await page.goto(`${origin()}/classes/${id}/takes`);
  await page
    .getByLabel('Captions, text with times, or the prompter’s log')
    .setInputFiles({ name: 'slower.vtt', mimeType: 'text/vtt', buffer: Buffer.from(slower) });
  await page.getByRole('button', { name: 'Analyse the take' }).click();
  await expect(figures(page)).toBeVisible({ timeout: 30_000 });
  await page.getByRole('group', { name: 'View of the take' }).getByRole('button', { name: 'Use this take' }).click();
  const proposed = page.getByRole('region', { name: 'Proposed changes' });
  await proposed.getByRole('button', { name: 'Save as my voice' }).click();
  await expect(proposed.getByRole('status')).toContainText('Saved as a measurement of my voice.');
  const entry = page.waitForResponse((answer) => /\/api\/movements\/[0-9a-f-]+$/.test(answer.url()) && answer.ok());
  await proposed.getByRole('button', { name: 'Save in the library too' }).first().click();
  const before = (await (await entry).json()) as { movement: object; revision: number };
  await expect(proposed.getByRole('status')).toContainText('was changed in the library.');
  await page.goto(`${origin()}/voice`);
  await expect(page.getByRole('main')).toContainText('from a take');
  // Other tests use the same studio.
  await page.getByRole('button', { name: /^Remove .*, from a take/ }).click();
  await expect(page.getByRole('main')).not.toContainText('from a take');
  const url = (await entry).url();
  const changed = (await (await page.request.get(url)).json()) as { movement: object; revision: number };
  expect(changed.movement).not.toEqual(before.movement);
  const data = { baseRevision: changed.revision, movement: before.movement };
  expect((await page.request.put(url, { data, headers: { origin: origin() } })).ok()).toBe(true);
});

test('files are dropped anywhere on the page, each goes where its kind belongs, and none opens in its place', async ({
  page,
}) => {
  const id = await opening();
  await page.goto(`${origin()}/classes/${id}/takes`);
  const words = await page.evaluateHandle(
    (text) => {
      const carried = new DataTransfer();
      carried.items.add(new File([text], 'dropped.vtt', { type: 'text/vtt' }));
      carried.items.add(new File([new Uint8Array(2000)], 'camera.mp4', { type: 'video/mp4' }));
      carried.items.add(new File([new Uint8Array(2000)], 'microphone.wav', { type: 'audio/wav' }));
      return carried;
    },
    readFileSync(demo('.vtt'), 'utf8').split('\n\n').slice(0, 20).join('\n\n'),
  );
  await expect(async () => {
    await page.dispatchEvent('h1', 'drop', { dataTransfer: words });
    await expect(page.getByLabel('A second recording from another microphone')).toBeVisible({ timeout: 1000 });
  }).toPass();
  const chosen = (label: string): Promise<string | undefined> =>
    page.getByLabel(label).evaluate((input: HTMLInputElement) => input.files?.[0]?.name);
  expect(await chosen('Sound or video')).toBe('camera.mp4');
  expect(await chosen('A second recording from another microphone')).toBe('microphone.wav');
  expect(await chosen('Captions, text with times')).toBe('dropped.vtt');
  // Without the two that are no recordings it is read.
  await page.getByLabel('Sound or video').setInputFiles([]);
  await expect(page.getByLabel('A second recording from another microphone')).toHaveCount(0);
  await page.getByRole('button', { name: 'Analyse the take' }).click();
  await expect(figures(page)).toBeVisible();
});
