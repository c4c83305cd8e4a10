import { itemAt } from '@/core/units';
import { expect, type Page } from '@playwright/test';
import { paragraphWav } from '../support/paragraph-sound';
import { copyOf, expectSaved, openDesk, origin, ownFolder, storedClass, test } from './desk-page';
import { inBrowser } from './own-browser';

/* My voice, with Chromium's fake microphone playing a file that espeak-ng read. */

const shots = process.env.CALM_SCREENSHOTS;
const folder = ownFolder();

/** A page whose microphone plays a file, or is refused. */
function withMicrophone(file: string | null, work: (page: Page) => Promise<void>): Promise<void> {
  const plays = ['--use-fake-ui-for-media-stream', `--use-file-for-fake-audio-capture=${file}%noloop`];
  return inBrowser(['--use-fake-device-for-media-stream', ...(file ? plays : [])], async (page) => {
    await page.setViewportSize({ width: 1280, height: 800 });
    await work(page);
  });
}

/**
 * Waits until the page's own meter has stood below speech for so many seconds, longer than a pause of the paragraph:
 * where the machine is busy the fake microphone plays its file late, and its end would be cut off.
 */
async function quietFor(page: Page, seconds: number): Promise<void> {
  const meter = page.getByRole('meter', { name: 'Microphone level' });
  for (let quiet = 0; quiet < seconds * 4;) {
    await page.waitForTimeout(250);
    quiet = Number(await meter.getAttribute('value')) < 0.25 ? quiet + 1 : 0;
  }
}

test('a paragraph is read aloud and measured; its class takes the voice over', async ({ page }) => {
  const { path, samples } = paragraphWav(folder, 'said.wav', { words: 160 });
  await withMicrophone(path, async (own) => {
    await own.goto(`${origin()}/voice`);
    await own.getByRole('button', { name: 'Read it aloud' }).click();
    await expect(own.getByRole('status')).toHaveText('Listening. Read the paragraph, then press Done.');
    await own.waitForTimeout((samples.length / 48_000) * 1000);
    await quietFor(own, 4);
    await own.getByRole('button', { name: 'Done' }).click();
    await expect(own.getByRole('status')).toHaveText(/^Saved: \d+ syllables a minute\.$/);
    if (shots) await own.screenshot({ path: `${shots}/my-voice.png` });
  });
  await page.goto(`${origin()}/voice`);
  const told = /(\d+) syllables a minute, pauses of (\d+\.\d) s, the median/.exec(
    await page.getByRole('main').innerText(),
  );
  const [measured, pause] = [Number(told?.[1]), Number(told?.[2])];
  await page.getByLabel('Choose a sound file of it').setInputFiles(path);
  await expect(page.getByRole('status')).toHaveText(/^Saved: \d+/);
  const kept = await page.getByRole('region', { name: 'Measures' }).getByRole('listitem').allInnerTexts();
  const rates = kept.map((text) => Number.parseInt(text, 10));
  expect(rates.length).toBe(2);
  // The microphone's way and the file's own give the same within a twentieth.
  expect(Math.abs(itemAt(rates, 0) / itemAt(rates, 1) - 1)).toBeLessThan(0.05);
  const id = await copyOf('Before the First Ferry');
  await openDesk(page, id);
  await page.getByRole('button', { name: /^Use my voice: / }).click();
  await expect(page.getByText('This class uses my voice.')).toBeVisible();
  await expectSaved(page);
  expect(rates).toContain((await storedClass(id)).plan.voice.syllablesPerMinute);
  expect((await storedClass(id)).plan.voice.pauseSeconds).toBeCloseTo(pause, 0);
  expect(measured).toBeGreaterThan(100);
  await page.goto(`${origin()}/voice`);
  await page
    .getByRole('button', { name: /^Remove / })
    .first()
    .click();
  await expect(page.getByRole('button', { name: /^Remove / })).toHaveCount(1);
  await page.getByRole('button', { name: /^Remove / }).click();
});

test('a refused microphone, silence and clipped sound each say so, and nothing is kept', async ({ page }) => {
  await withMicrophone(null, async (own) => {
    await own.goto(`${origin()}/voice`);
    await own.getByRole('button', { name: 'Read it aloud' }).click();
    await expect(own.getByText('was not allowed to use the microphone')).toBeVisible();
  });
  await page.goto(`${origin()}/voice`);
  await page.getByLabel('Choose a sound file of it').setInputFiles(paragraphWav(folder, 'still.wav', { gain: 0 }).path);
  await expect(page.getByText('Hardly any speech was heard.')).toBeVisible();
  await page.getByLabel('Choose a sound file of it').setInputFiles(paragraphWav(folder, 'loud.wav', { gain: 12 }).path);
  await expect(page.getByText('cut off at its loudest places')).toBeVisible();
  await page
    .getByLabel('Choose a sound file of it')
    .setInputFiles({ name: 'no.wav', mimeType: 'audio/wav', buffer: Buffer.from('no sound at all') });
  await expect(page.getByRole('list').getByRole('listitem')).toHaveCount(1);
  await expect(page.getByText('Nothing is measured yet')).toBeVisible();
});
