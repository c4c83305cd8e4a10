import { firstItems, itemAt } from '@/core/units';
import { execFileSync } from 'node:child_process';
import { readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, type Download, type Page } from '@playwright/test';
import { unzipSync } from 'fflate';
import { copyOf, openDesk, origin, ownFolder, saveBehind, storedClass, test } from './desk-page';
import { showsOnce } from './shows-once';

/* What a take gives back: its report, its cut version, everything in one file, and a better plan; and the class heard
   before it is recorded. With CALM_SCREENSHOTS set the pictures go to docs/screenshots. */

const shots = process.env.CALM_SCREENSHOTS;
const shot = async (page: Page, name: string): Promise<void> => {
  if (shots) await page.screenshot({ path: `${shots}/${name}.png` });
};
const folder = ownFolder();
const demo = (ending: string): string =>
  fileURLToPath(new URL(`../../demo/take/before-the-first-ferry${ending}`, import.meta.url));
const view = (page: Page, name: string) =>
  page.getByRole('group', { name: 'View of the take' }).getByRole('button', { name, exact: true });
const saved = (page: Page) => expect(page.getByRole('status').filter({ hasText: 'Saving' })).toHaveCount(0);

async function openTake(page: Page, name = 'Monday, before the ferry'): Promise<void> {
  await page.goto(origin());
  await page.getByRole('link', { name: /^Takes of Before the First Ferry: / }).click();
  await page.getByRole('link', { name }).click();
  await expect(page.getByLabel('Figures of the take')).toBeVisible();
}

async function bringWords(page: Page, id: string, name: string, text: string): Promise<void> {
  await page.goto(`${origin()}/classes/${id}/takes`);
  await page
    .getByLabel('Captions, text with times, or the prompter’s log')
    .setInputFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(text) });
  await page.getByRole('button', { name: 'Analyse the take' }).click();
  await expect(page.getByLabel('Figures of the take')).toBeVisible({ timeout: 30_000 });
}

async function keep(download: Promise<Download>, name: string): Promise<string> {
  const path = join(folder, name);
  await (await download).saveAs(path);
  return path;
}

test('the report tells each step as taken, draws it, and gives each drawing as a table', async ({ page }) => {
  await openTake(page);
  await view(page, 'Report').click();
  const steps = page.getByRole('region', { name: 'Step by step' });
  await expect(steps.getByRole('row', { name: /^Coiling the line/ })).toContainText('one way 5 of 5');
  await expect(steps.getByRole('row', { name: /^Raising the lamp/ })).toContainText('4 of 4');
  await expect(page.getByRole('region', { name: 'What differs' })).toContainText('syllables a minute');
  await shot(page, 'take-report');
  for (const name of ['Drift', 'Talk', 'Breath']) {
    const region = page.getByRole('region', { name, exact: true });
    await region.getByRole('button', { name: `${name} as a table` }).click();
    await expect(region.getByRole('row').nth(1)).toBeVisible();
    await region.getByRole('button', { name: `${name} drawn` }).click();
    await expect(region.getByRole('table')).toHaveCount(0);
  }
});

test('a take that lacks a step says which', async ({ page }) => {
  const id = await copyOf('Before the First Ferry');
  const { plan } = await storedClass(id);
  await openDesk(page, id);
  await page.getByRole('button', { name: 'Publish' }).click();
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save Labels (tab-separated)' }).click();
  const labels = readFileSync(await keep(saving, 'labels.txt'), 'utf8')
    .trimEnd()
    .split('\n');
  // The last movement is not given, and what comes after it comes sooner.
  const heron = plan.sections.flatMap(({ steps }) => steps).find(({ name }) => name === 'Heron on the piling');
  const lines = labels
    .map((label) => label.split('\t'))
    .map(([start, , text = '']) => ({ start: Number(start), text }));
  const from = lines.findIndex(({ text }) => heron?.kind === 'movement' && text === heron.teach[0]?.text);
  const to = lines.findIndex(({ text }) => text.startsWith('Setting down') || text.includes('nets'));
  expect(from).toBeGreaterThan(0);
  expect(to).toBeGreaterThan(from);
  const gone = itemAt(lines, to).start - itemAt(lines, from).start;
  const said = lines.flatMap(({ start, text }, at) =>
    at >= from && at < to ? [] : [`${clock(at >= to ? start - gone : start)} ${text}`],
  );
  await bringWords(page, id, 'said.txt', said.join('\n'));
  await view(page, 'Report').click();
  await expect(page.getByRole('region', { name: 'What differs' })).toContainText('Heron on the piling: skipped');
});

function clock(seconds: number): string {
  const tenths = Math.round(seconds * 10);
  return `${Math.floor(tenths / 600)}:${((tenths % 600) / 10).toFixed(1).padStart(4, '0')}`;
}

test('cuts are proposed, chosen, marked and put right; the edited version is published with them, in one ZIP', async ({
  page,
}) => {
  await openTake(page);
  await view(page, 'Cuts').click();
  const cuts = page.getByRole('list', { name: 'Cuts' });
  await page.getByRole('button', { name: 'Use these cuts' }).click();
  await cuts.getByRole('checkbox').nth(1).check();
  await page.getByRole('button', { name: 'Start a cut at 0:00.0' }).click();
  await page.getByRole('button', { name: 'Hear ad-lib' }).first().click();
  await page.getByRole('button', { name: 'Pause' }).click();
  await page.getByRole('button', { name: /^End it at/ }).click();
  await expect(cuts.getByRole('listitem')).toHaveCount(4);
  await cuts.getByRole('button', { name: 'Change marked by hand at 0:00' }).click();
  const cut = page.getByRole('region', { name: 'The cut' });
  await cut.getByRole('textbox', { name: 'To' }).fill('0:05.0');
  await cut.getByRole('button', { name: 'Set To' }).click();
  await expect(cuts.getByRole('listitem').first()).toContainText('0:00.0 to 0:05.0');
  await shot(page, 'cuts');
  await view(page, 'Lines').click();
  await expect(page.getByRole('button', { name: 'cut at 0:00' })).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(page.getByRole('button', { name: 'cut at 0:00' })).toBeVisible();

  await page.getByRole('button', { name: 'Publish' }).click();
  await page.getByLabel('Frames a second').selectOption('29.97 drop');
  await page.getByRole('button', { name: 'Show Cut list (EDL)' }).click();
  await expect(page.getByLabel('The file')).toContainText('FCM: DROP FRAME');
  await expect(page.getByLabel('The file')).toContainText('00:00:05;00');
  const whole = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save everything (ZIP)' }).click();
  const zip = await keep(whole, 'all.zip');
  const names = execFileSync(
    'python3',
    ['-c', 'import sys,zipfile; print("\\n".join(zipfile.ZipFile(sys.argv[1]).namelist()))', zip],
    { encoding: 'utf8' },
  );
  expect(
    names
      .trim()
      .split('\n')
      .every((name) => /^[a-z0-9.-]+$/.test(name)),
  ).toBe(true);
  const files = unzipSync(readFileSync(zip));
  const file = (name: string): Uint8Array => files[name] ?? new Uint8Array();
  expect(Object.keys(files)).toEqual(
    expect.arrayContaining([
      'before-the-first-ferry.vtt',
      'before-the-first-ferry.edl',
      'before-the-first-ferry.breath-tones.wav',
    ]),
  );
  const tones = join(folder, 'tones.wav');
  writeFileSync(tones, file('before-the-first-ferry.breath-tones.wav'));
  const probe = execFileSync('ffprobe', ['-v', 'error', '-show_entries', 'format=duration', '-of', 'csv=p=0', tones]);
  const reading = JSON.parse(Buffer.from(file('before-the-first-ferry.reading.json')).toString()) as {
    totals: { runtimeSeconds: number };
  };
  expect(Number(probe)).toBeCloseTo(reading.totals.runtimeSeconds, 2);
  expect(reading.totals.runtimeSeconds).toBeLessThan(620);
  expect(Buffer.from(file('before-the-first-ferry.vtt')).toString()).not.toContain('never mind the girls');
});

test('what takes teach is taken into the class one by one, and taken back', async ({ page }) => {
  await openTake(page);
  const [, id] = firstItems(/classes\/([0-9a-f-]+)/.exec(page.url()) ?? [], 2);
  const before = (await storedClass(id)).plan;
  await view(page, 'Use this take').click();
  const proposed = page.getByRole('region', { name: 'Proposed changes' });
  await expect(proposed).toContainText('From 3 takes of this class');
  await shot(page, 'use-this-take');
  const breath = proposed.getByRole('listitem').filter({ hasText: 'You lead a breath' });
  await breath.getByRole('button', { name: 'Use in the class' }).click();
  await expect(proposed.getByRole('status')).toContainText('Changed in the class.');
  await expect(breath).toHaveCount(0);
  expect((await storedClass(id)).plan.pace.breathSeconds).toBeGreaterThan(before.pace.breathSeconds);
  await proposed.getByRole('button', { name: 'Undo' }).click();
  await expect(breath).toHaveCount(1);
  expect((await storedClass(id)).plan).toEqual(before);
  const told = page.getByRole('region', { name: 'Predicted and actual', exact: true });
  await told.getByRole('button', { name: 'Predicted and actual as a table' }).click();
  await expect(told.getByRole('row')).toHaveCount(4);
  await expect(told.getByRole('row').nth(1)).toContainText('Thursday, a first try');
});

test('a class is heard before it is recorded, and a practice take is made of it', async ({ page }) => {
  const id = await copyOf('Before the First Ferry');
  await saveBehind(id, (plan) => ({ ...plan, sections: plan.sections.slice(0, 2) }));
  await openDesk(page, id);
  await page.getByRole('link', { name: 'Preview' }).click();
  await page.getByRole('button', { name: 'Play', exact: true }).click();
  const place = page.getByLabel('Place in the class', { exact: true });
  await showsOnce(place, /^0:03$/);
  await expect(page.getByTestId('line-now')).toContainText('Good morning');
  await shot(page, 'preview');
  const sill = await page.getByRole('option', { name: /Stand at the sill/ }).getAttribute('value');
  await page.getByRole('combobox', { name: 'From' }).selectOption(sill ?? '');
  await expect(page.getByTestId('line-now')).toContainText(/hand’s width|shoulders|crown/);
  await page.getByRole('button', { name: 'Pause' }).click();
  const downloads: Download[] = [];
  page.on('download', (one) => downloads.push(one));
  await page.getByRole('button', { name: 'Create practice take' }).click();
  await expect.poll(() => downloads.length, { timeout: 60_000 }).toBe(2);
  const wav = downloads.find((one) => one.suggestedFilename().endsWith('.practice.wav'));
  if (!wav) throw new Error('no sound');
  const path = await keep(Promise.resolve(wav), 'practice.wav');
  expect(statSync(path).size).toBeGreaterThan(1_000_000);
  const rate = execFileSync('ffprobe', ['-v', 'error', '-show_entries', 'stream=sample_rate', '-of', 'csv=p=0', path]);
  expect(rate.toString().trim()).toBe('16000');
});

test('the prompter logs what was done, and its log alone is analysed as a take', async ({ page }) => {
  const id = await copyOf('Before the First Ferry');
  await openDesk(page, id);
  await page.getByRole('button', { name: 'Prompter', exact: true }).click();
  await page.keyboard.press('Space');
  await page.getByRole('button', { name: 'Sync mark' }).click();
  for (let step = 0; step < 3; step++) await page.keyboard.press('PageDown');
  await page.waitForTimeout(1500);
  await page.keyboard.press('Space');
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save log' }).click();
  const log = JSON.parse(readFileSync(await keep(saving, 'log.json'), 'utf8')) as { events: { event: string }[] };
  expect(log.events.map(({ event }) => event)).toEqual([
    'start',
    'mark',
    'next-step',
    'next-step',
    'next-step',
    'hold',
  ]);
  await page.goto(`${origin()}/classes/${id}/takes`);
  await page.getByRole('button', { name: /^Log of .*stopped at/ }).click();
  await page.getByRole('button', { name: 'Analyse the take' }).click();
  const said = page.getByLabel('Figures of the take');
  await expect(said).toContainText(/said[1-9] of 86/, { timeout: 30_000 });
});

test('a second microphone is laid on the clock of the first', async ({ page }) => {
  test.setTimeout(180_000);
  const id = await copyOf('Before the First Ferry');
  await saveBehind(id, (plan) => ({ ...plan, sections: plan.sections.slice(0, 3) }));
  const made = (name: string, ...options: string[]): string => {
    const out = join(folder, name);
    execFileSync('ffmpeg', ['-v', 'error', '-y', ...options, out]);
    return out;
  };
  const camera = made('camera.m4a', '-i', demo('.webm'), '-t', '90', '-c:a', 'aac');
  const microphone = made('microphone.wav', '-ss', '4.25', '-i', demo('.webm'), '-t', '84', '-ar', '44100');
  await page.goto(`${origin()}/classes/${id}/takes`);
  await page.getByLabel('Sound or video').setInputFiles(camera);
  await page.getByLabel('A second recording from another microphone').setInputFiles(microphone);
  await page.getByRole('button', { name: 'Analyse the take' }).click();
  await expect(page.getByLabel('Figures of the take')).toContainText('1:30', { timeout: 120_000 });
  await view(page, 'Report').click();
  const two = page.getByRole('region', { name: 'Two recordings' });
  await expect(two).toContainText(/microphone\.wav begins 0:04\.[23] into the first/);
});
