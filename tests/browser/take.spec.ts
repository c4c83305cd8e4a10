import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { expect, type Page } from '@playwright/test';
import { origin, test } from './desk-page';

const file = (ending: string): string =>
  fileURLToPath(new URL(`../../demo/take/before-the-first-ferry${ending}`, import.meta.url));

const line = (page: Page) => page.getByRole('region', { name: 'The line' });
const saidAt = (page: Page) => page.getByRole('textbox', { name: 'Said at' });
const lines = (page: Page) => page.getByRole('group', { name: 'Lines of the take' });
const saved = (page: Page) => expect(page.getByRole('status').filter({ hasText: 'Saving' })).toHaveCount(0);

async function openDemoTake(page: Page): Promise<void> {
  await page.goto(origin());
  await page.getByRole('link', { name: /^Takes of Before the First Ferry: / }).click();
  await page.getByRole('link', { name: 'Monday, before the ferry' }).click();
  await expect(lines(page)).toBeVisible();
}

/** By its key, which is bound a moment after the page is drawn. */
async function chooseFirstLine(page: Page): Promise<void> {
  await expect(async () => {
    const shown = (await line(page).textContent()) ?? '';
    // A key that came late may have gone a line too far.
    if (!shown.includes('Stay within')) await page.keyboard.press(shown.includes('Good morning') ? 'j' : 'k');
    await expect(line(page)).toContainText('Stay within', { timeout: 1000 });
  }).toPass();
  await page.keyboard.press('k');
  await expect(line(page)).toContainText('Good morning');
}

test('lines are put right with the keyboard alone, and undo takes each step back', async ({ page }) => {
  await openDemoTake(page);
  await chooseFirstLine(page);
  await page.keyboard.press('j');
  await page.keyboard.press('j');
  await expect(line(page)).toContainText('Rest when you like');
  await page.keyboard.press('k');
  await expect(line(page)).toContainText('Stay within about seventy');
  await expect(line(page)).toContainText(/Heard there: “|By its (sound|length)/);
  const before = await saidAt(page).inputValue();
  await page.keyboard.press('ArrowRight');
  await expect(saidAt(page)).not.toHaveValue(before);
  await expect(line(page)).toContainText('Set by hand');
  await page.keyboard.press('Shift+ArrowRight');
  await page.keyboard.press('x');
  await expect(page.getByLabel('Figures of the take')).toContainText('83 of 86');
  for (let step = 0; step < 3; step++) await page.keyboard.press('Control+z');
  await expect(saidAt(page)).toHaveValue(before);
  await expect(page.getByLabel('Figures of the take')).toContainText('84 of 86');
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await page.keyboard.press('Escape');
  await saved(page);
});

test('a time that changes under a selection is typed over all the same', async ({ page }) => {
  await openDemoTake(page);
  await chooseFirstLine(page);
  await page.keyboard.press('j');
  const before = await saidAt(page).inputValue();
  await saidAt(page).selectText();
  // Pressed without taking the focus, as what an earlier page left arrives.
  await page.getByRole('button', { name: '1 s later', exact: true }).evaluate((button: HTMLElement) => button.click());
  await expect(line(page)).toContainText('Set by hand');
  await page.keyboard.insertText(before);
  await expect(saidAt(page)).toHaveValue(before);
  await page.keyboard.press('Enter');
  await expect(saidAt(page)).toBeFocused();
  await page.getByRole('button', { name: '0.1 s later', exact: true }).click();
  await expect(saidAt(page)).not.toHaveValue(before);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(saidAt(page)).toHaveValue(before);
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  await saved(page);
});

test('an ad-lib gets its words, a noise is thrown out, and the captions have what was set', async ({ page }) => {
  await openDemoTake(page);
  // The sure ones are taken as found; the others stay to be looked at.
  const rest = page.getByRole('button', { name: 'Confirm the rest' });
  await rest.click();
  await expect(rest).toBeDisabled();
  await expect(page.getByText(/lines? (is|are) uncertain/)).toBeVisible();
  const adLib = lines(page)
    .getByRole('button', { name: /^ad-lib at/ })
    .first();
  for (let tries = 0; tries < 40 && !(await adLib.isVisible()); tries++) await page.keyboard.press('j');
  await adLib.click();
  await page.getByLabel('Words for the captions').fill('There goes the milk boat & <all> her gulls');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(lines(page)).toContainText('her gulls');
  await saved(page);
  await page.getByRole('button', { name: 'Publish' }).click();
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save Captions (WebVTT)' }).click();
  expect(readFileSync(await (await saving).path(), 'utf8')).toContain('milk boat &amp; &lt;all&gt;');
  await page.getByRole('button', { name: 'Close' }).click();
  await page.getByRole('button', { name: 'Not an ad-lib' }).click();
  await expect(lines(page)).not.toContainText('her gulls');
  await expect(page.getByLabel('Figures of the take')).toContainText(/ad-libs2/);
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Figures of the take')).toContainText(/ad-libs2/);
});

test('the recording is attached again; another file is refused and the take says what it was read from', async ({
  page,
}) => {
  await openDemoTake(page);
  const other = { name: 'other.webm', mimeType: 'video/webm', buffer: readFileSync(file('.webm')).subarray(0, 90_000) };
  await page.getByLabel('Choose the recording').setInputFiles(other);
  await expect(page.getByRole('alert')).toContainText('before-the-first-ferry.webm');
  await lines(page)
    .getByRole('button', { name: /Stay within about seventy/ })
    .click();
  await expect(page.getByRole('button', { name: 'Pause' })).toBeVisible();
  // The picture comes to the sound that plays, and it goes on where it was.
  await page.getByLabel('Choose the recording').setInputFiles(file('.webm'));
  await expect(page.locator('video')).toHaveAttribute('src', /^blob:/);
  await expect(page.getByRole('button', { name: 'Pause' })).toBeVisible();
  await page.getByRole('button', { name: 'Loop the line' }).click();
  await expect(page.getByRole('button', { name: 'Looping' })).toHaveAttribute('aria-pressed', 'true');
  await page.waitForTimeout(1200);
  const place = await page.getByLabel('Place in the recording').textContent();
  expect(Number(place?.split(':')[1])).toBeGreaterThan(9);
});

test('while the server is away corrections wait, and are saved when it is back; a second window is told', async ({
  page,
  context,
}) => {
  await openDemoTake(page);
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(lines(other)).toBeVisible();
  await chooseFirstLine(page);
  await context.setOffline(true);
  await page.keyboard.press('ArrowRight');
  const saving = page.getByRole('banner').getByRole('status');
  await expect(saving).toHaveText('Stored in this browser; the server does not answer');
  await page.keyboard.press('ArrowRight');
  await context.setOffline(false);
  await expect(saving).toHaveText('Saved', { timeout: 15_000 });
  await chooseFirstLine(other);
  await other.keyboard.press('ArrowLeft');
  await expect(other.getByRole('alert')).toContainText('corrected in another window');
  await other.getByRole('button', { name: 'Keep mine' }).click();
  await expect(other.getByRole('banner').getByRole('status')).toHaveText('Saved');
});
