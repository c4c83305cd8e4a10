import { execFileSync } from 'node:child_process';
import { expect, type Page } from '@playwright/test';
import { expectAccessible } from './accessible';
import { classOf, copyOf, device, origin, showToOthers, test } from './desk-page';

/* The stand-ins that ship: a streaming program with the overlay on its picture, and a pedal. With CALM_SCREENSHOTS set
   the pictures go to docs/screenshots. */

const shots = process.env.CALM_SCREENSHOTS;

async function shot(page: Page, name: string): Promise<void> {
  if (shots) await page.screenshot({ path: `${shots}/${name}.png` });
}

test('the overlay lies on the stand-in’s picture, which is recorded as it is seen', async ({
  page,
  context,
  browser,
}) => {
  const id = await classOf('Thursday Live');
  await page.goto(`${origin()}/classes/${id}/perform`);
  const { code, remoteCode } = await showToOthers(page, id);
  await page.keyboard.press('Escape');
  await page.keyboard.press('Space');
  for (let step = 0; step < 5; step++) await page.keyboard.press('PageDown');
  await page.keyboard.press('ArrowRight');
  const stream = await context.newPage();
  await stream.goto(`${origin()}/stand-in/stream`);
  await stream.getByLabel('Address of the overlay').fill('https://elsewhere.example/');
  await expect(stream.getByRole('alert')).toContainText('an overlay of this application');
  await stream.getByLabel('Address of the overlay').fill(`${origin()}/live/${code}/stage?see-through`);
  const overlay = stream.frameLocator('iframe');
  await expect(overlay.getByTestId('count')).toContainText(/round \d+ of \d+/);
  await expectAccessible(stream, 'the stand-in for a streaming program');
  await shot(stream, 'stream');
  for (const [name, path] of [
    ['follow', `/live/${code}`],
    ['remote', `/live/${remoteCode}/remote`],
  ] as const) {
    const phone = await device(browser, path);
    await expect(phone.getByTestId('count')).toContainText(/round \d+ of \d+/);
    await shot(phone, name);
    await phone.context().close();
  }
  await stream.bringToFront();
  await stream.getByRole('button', { name: 'Record what is seen' }).click();
  await expect(stream.getByRole('button', { name: 'Stop and save' })).toBeVisible();
  // A busy machine draws, and records, a picture or two a second.
  await stream.waitForTimeout(12_000);
  const saving = stream.waitForEvent('download');
  await stream.getByRole('button', { name: 'Stop and save' }).click();
  const path = await (await saving).path();
  // What another program finds in the file: FFmpeg's ffprobe, from Debian.
  const asked = [
    '-v',
    'error',
    '-count_packets',
    '-show_entries',
    'stream=codec_type,width,nb_read_packets',
    '-of',
    'json',
  ];
  const { streams } = JSON.parse(execFileSync('ffprobe', [...asked, path], { encoding: 'utf8' })) as {
    streams: { codec_type: string; width: number; nb_read_packets: string }[];
  };
  expect(streams.map(({ codec_type }) => codec_type)).toEqual(['video']);
  expect(streams[0]?.width).toBeGreaterThan(600);
  expect(Number(streams[0]?.nb_read_packets)).toBeGreaterThan(10);
});

test('a pedal moves the prompter on', async ({ page, context }) => {
  const id = await copyOf('Before the First Ferry');
  await page.goto(`${origin()}/stand-in/pedal?class=${id}`);
  await expect(page.getByRole('heading', { name: 'Stand-in for a pedal' })).toBeVisible();
  await expectAccessible(page, 'the stand-in for a pedal');
  const opening = context.waitForEvent('page');
  await page.getByRole('button', { name: 'Open the prompter' }).click();
  const prompter = await opening;
  await expect(prompter.getByRole('button', { name: 'Start', exact: true })).toBeVisible();
  const line = prompter.getByTestId('line-now');
  await page.getByRole('button', { name: 'Long press' }).click();
  await expect(line).toContainText('Good morning');
  const before = await line.textContent();
  await page.getByRole('button', { name: 'Arrow right' }).click();
  await expect(line).not.toHaveText(before ?? '');
  const second = await line.textContent();
  await page.getByRole('button', { name: 'Right pedal' }).click();
  await expect(line).not.toHaveText(second ?? '');
  await page.getByRole('button', { name: 'Long press' }).click();
  await expect(prompter.getByText(/^Paused for/)).toBeVisible();
});
