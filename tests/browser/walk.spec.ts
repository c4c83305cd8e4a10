import { itemAt } from '@/core/units';
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { expect, type Page } from '@playwright/test';
import { expectSaved, origin, runtime, test } from './desk-page';

/* The seven things an instructor can do, one after the other, on the demo studio. With CALM_SCREENSHOTS set the
   pictures go to docs/screenshots (npm run screenshots). */

const take = (ending: string): string =>
  fileURLToPath(new URL(`../../demo/take/before-the-first-ferry${ending}`, import.meta.url));
const DEMO = [
  'Before the First Ferry',
  'Net Menders’ Break',
  'Evening Ebb',
  'Storm Day Indoors',
  'Thursday Live',
  'Eight-Section Set',
];
const shots = process.env.CALM_SCREENSHOTS;

async function shot(page: Page, name: string): Promise<void> {
  if (shots) await page.screenshot({ path: `${shots}/${name}.png` });
}

test('1, 2: the list holds the demo studio; a class opens as a timeline falling down the page', async ({ page }) => {
  await page.goto(origin());
  await expect(page.getByText('Slack Water Hall')).toBeVisible();
  const rows = page.getByRole('main').getByRole('listitem');
  for (const title of DEMO) await expect(page.getByRole('link', { name: title, exact: true })).toBeVisible();
  await expect(rows.first()).toContainText('Before the First Ferry');
  await expect(rows.first()).toContainText('10:00');
  await shot(page, 'classes');
  await page.getByRole('link', { name: 'Before the First Ferry', exact: true }).click();
  await expect(runtime(page)).toContainText('10:00');
  await expect(runtime(page)).toContainText('on target');
  for (const section of ['Welcome', 'Arrival', 'Loosening', 'Main set', 'Settling', 'Closing']) {
    await expect(page.getByRole('region', { name: section })).toBeVisible();
  }
  const lighthouse = page.getByRole('article', { name: 'Turning the lighthouse' });
  await expect(lighthouse.getByRole('list').getByRole('button').first()).toContainText('Turning the lighthouse.');
  await expect(lighthouse.getByText('In, to the left.')).toBeVisible();
  await expect(lighthouse.locator('svg path:is([fill="var(--lung)"], [stroke="var(--color-primary)"])')).toHaveCount(2);
  // Each cue stands below the one before it, however dense the words.
  const tops = await lighthouse
    .getByRole('listitem')
    .evaluateAll((items) =>
      items.map((item) => [
        item.getBoundingClientRect().top,
        item.querySelector('button')?.getBoundingClientRect().bottom ?? 0,
      ]),
    );
  tops.slice(1).forEach(([top = 0], index) => expect(top + 3).toBeGreaterThanOrEqual(itemAt(itemAt(tops, index), 1)));
  await page.getByRole('navigation').getByRole('button', { name: 'Turning the lighthouse', exact: true }).click();
  await page.waitForTimeout(300);
  await shot(page, 'class-desk');
});

test('3, 4, 7: a class from nothing is planned, fitted, published and brought in again', async ({ page }) => {
  await page.goto(origin());
  await page.getByRole('link', { name: 'New class' }).click();
  await page.getByLabel('Title').fill('Lamp and line');
  await page.getByRole('button', { name: 'Empty sections' }).click();
  await page.getByLabel('Target').fill('4:00');
  await page.getByLabel('Breath at the start').fill('8');
  await page.getByRole('button', { name: 'Create class' }).click();
  await expect(page.getByRole('heading', { name: 'Lamp and line' })).toBeVisible();

  const add = page.getByRole('group', { name: 'Add to Main set' });
  await add.getByRole('button', { name: 'Talk' }).click();
  await page.getByPlaceholder('What is said').fill('Good morning. Stand easy.');
  await add.getByRole('button', { name: 'Movement' }).click();
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Raising the lamp');
  await page.getByLabel('Said, full').first().fill('Breathe in, the lamp goes up.');
  await page.getByRole('button', { name: 'Duplicate' }).click();
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Coiling the line');
  await page.getByLabel('Sides').selectOption('alternating');
  await add.getByRole('button', { name: 'Transition' }).click();
  await add.getByRole('button', { name: 'Silence' }).click();
  await page.getByLabel('Said at the start').fill('Stand. I will call you back.');
  const articles = page.getByRole('main').getByRole('article');
  await expect(articles).toHaveCount(5);

  // Order: the silence goes up one place, and back by undo.
  await page.getByRole('button', { name: 'Move up', exact: true }).click();
  await expect(articles.nth(3)).toHaveAccessibleName('Silence');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(articles.nth(4)).toHaveAccessibleName('Silence');
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(articles.nth(3)).toHaveAccessibleName('Silence');

  // A line changed where it stands, a number changed in place, a step removed and put back.
  await articles.nth(1).getByRole('button', { name: 'Breathe in, the lamp goes up.' }).click();
  await page.getByLabel(/^Line at/).fill('Breathe in, and the lamp rises.');
  await page.keyboard.press('Enter');
  await expect(articles.nth(1).getByRole('button', { name: 'Breathe in, and the lamp rises.' })).toBeVisible();
  await articles.nth(1).getByText('both sides together').click();
  await page.getByRole('button', { name: 'Rounds: more' }).click();
  await expect(articles.nth(1)).toContainText('4 rounds');
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await expect(articles).toHaveCount(4);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(articles).toHaveCount(5);

  await page.getByRole('button', { name: 'Fit to 4:00' }).click();
  await page.getByRole('button', { name: /^Use this fit: Balanced/ }).click();
  await expect(runtime(page)).toContainText('on target');
  await expectSaved(page);

  await page.getByRole('button', { name: 'Publish' }).click();
  for (const [label = '', start = ''] of [
    ['Captions (WebVTT)', 'WEBVTT'],
    ['Captions (SRT)', '1'],
    ['Chapters (WebVTT)', 'WEBVTT'],
    ['Chapters (list)', '0:00 '],
  ]) {
    const saving = page.waitForEvent('download');
    await page.getByRole('button', { name: `Save ${label}` }).click();
    expect(readFileSync(await (await saving).path(), 'utf8').startsWith(start)).toBe(true);
  }
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save Plan (JSON)' }).click();
  const saved = await saving;
  expect(saved.suggestedFilename()).toBe('lamp-and-line.plan.json');
  const file = await saved.path();
  await page.goto(`${origin()}/new#file`);
  await page
    .getByLabel('File', { exact: true })
    .setInputFiles({ name: 'lamp.json', mimeType: 'application/json', buffer: readFileSync(file) });
  await expect(page.getByRole('heading', { name: 'Lamp and line' })).toBeVisible();
  const again = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Publish' }).click();
  await page.getByRole('button', { name: 'Save Plan (JSON)' }).click();
  expect(JSON.parse(readFileSync(await (await again).path(), 'utf8'))).toEqual(JSON.parse(readFileSync(file, 'utf8')));
});

test('4: a fit shows what it would change, and says what to loosen where there is none', async ({ page }) => {
  await page.goto(origin());
  await page.getByRole('link', { name: 'Storm Day Indoors', exact: true }).click();
  await expect(runtime(page)).toContainText('over target');
  await page.getByRole('button', { name: 'Fit to 12:00' }).click();
  const ways = page.getByRole('dialog').getByRole('table');
  await expect(ways).toContainText('Balanced');
  await expect(ways).toContainText('Skip steps');
  await expect(ways.getByRole('row', { name: /^Result/ })).toContainText('12:00');
  await shot(page, 'fit');
  await page.keyboard.press('Escape');
  await page.getByLabel('Target').first().fill('1:00');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Fit to 1:00' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('1:00 is shorter than this class can be: the shortest is');
  await expect(dialog).toContainText('to relax');
  await dialog.getByRole('button', { name: /^Relax (it|these \d+)$/ }).click();
  await dialog.getByRole('button', { name: /^Use this fit: Balanced/ }).click();
  await expect(runtime(page)).toContainText('on target');
});

test('5: the prompter is performed from by keyboard and by touch', async ({ page }) => {
  await page.goto(origin());
  await page.getByRole('link', { name: 'Before the First Ferry', exact: true }).click();
  await page.getByRole('button', { name: 'Prompter' }).click();
  const line = page.getByTestId('line-now');
  await expect(line).toHaveText('Before the First Ferry');
  expect(await line.evaluate((element) => parseFloat(getComputedStyle(element).fontSize))).toBeGreaterThanOrEqual(48);
  await page.keyboard.press('Space');
  await expect(line).toContainText('Good morning, and welcome to the hall.');
  await expect(page.getByTestId('line-next')).toContainText('Stay within about seventy per cent');
  await page.keyboard.press('ArrowRight');
  await expect(line).toContainText('Stay within about seventy per cent');
  for (let step = 0; step < 4; step++) await page.keyboard.press('PageDown');
  await page.keyboard.press('PageDown');
  await expect(page.getByText('Turning the lighthouse', { exact: true })).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await page.waitForTimeout(1800);
  await expect(page.getByTestId('count')).toContainText(/round 1 of 3.*turn left/);
  await page.waitForTimeout(1200);
  await shot(page, 'prompter');
  await page.getByRole('button', { name: 'Pause' }).click();
  const held = await line.textContent();
  const left = await page.getByText('left', { exact: true }).locator('..').textContent();
  await page.waitForTimeout(1500);
  expect(await page.getByText('left', { exact: true }).locator('..').textContent()).toBe(left);
  expect(await line.textContent()).toBe(held);
  await page.getByRole('button', { name: 'Resume' }).click();
  await page.getByRole('button', { name: 'Next line', exact: true }).click();
  await expect(line).not.toHaveText(held ?? '');
  await page.getByRole('button', { name: 'Previous line', exact: true }).click();
  await page.reload();
  await expect(page.getByRole('button', { name: 'Start' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(runtime(page)).toBeVisible();
});

test('6: a take is brought, read, corrected by hand and published', async ({ page }) => {
  // Ten minutes of sound are judged by the model, on a machine that may be busy.
  test.setTimeout(300_000);
  await page.goto(origin());
  await page.getByRole('link', { name: 'Before the First Ferry', exact: true }).click();
  await page.getByRole('link', { name: /^Takes/ }).click();
  await page.getByLabel('Sound or video').setInputFiles(take('.webm'));
  await page.getByLabel('Captions, text with times, or the prompter’s log').setInputFiles(take('.vtt'));
  await page.getByRole('button', { name: 'Analyse the take' }).click();
  await expect(page.getByRole('heading', { name: 'before-the-first-ferry.webm' })).toBeVisible({ timeout: 150_000 });
  const figures = page.getByLabel('Figures of the take');
  const lines = page.getByRole('group', { name: 'Lines of the take' });
  await expect(figures).toContainText('84 of 86');
  await expect(figures).toContainText('10:28');
  await expect(figures).toContainText(/ad-libs3/);
  await page.getByRole('button', { name: 'Report', exact: true }).click();
  await expect(page.locator('.recharts-line-curve')).toBeVisible();
  await expect(page.getByRole('region', { name: 'The sound' })).toContainText(/−?-?2\d\.\d LUFS/);
  await page.getByRole('button', { name: 'Lines', exact: true }).click();

  // A line is chosen, heard from the copy of the sound, and put right; what was set is there after a reload.
  await lines.getByRole('button', { name: /Let the shoulders hang.*said at 0:37$/ }).click();
  await expect(page.getByTestId('caption-now')).toContainText('Let the shoulders hang');
  await page.getByRole('button', { name: 'Pause' }).click();
  await shot(page, 'take');
  await lines.getByRole('button', { name: /Rest when you like.*skipped$/ }).click();
  await page.getByRole('textbox', { name: 'Said at' }).fill('0:20.5');
  await page.getByRole('button', { name: 'Set Said at' }).click();
  await expect(figures).toContainText('85 of 86');
  await expect(lines.getByText('by hand')).toHaveCount(1);
  await expect(page.getByRole('status').filter({ hasText: 'Saving' })).toHaveCount(0);
  await page.reload();
  await expect(lines.getByText('by hand')).toHaveCount(1);

  await page.getByRole('button', { name: 'Publish' }).click();
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save Captions (WebVTT)' }).click();
  const text = readFileSync(await (await saving).path(), 'utf8');
  expect(text).toContain('00:00:20.500 -->');
  expect(text).toContain('there goes the milk boat');
  await page.getByRole('button', { name: 'Close' }).click();
});

test('an hour opens folded', async ({ page }) => {
  await page.goto(origin());
  await page.getByRole('link', { name: 'Thursday Live', exact: true }).click();
  await expect(runtime(page)).toContainText('1:00:00');
  await expect(page.getByRole('article')).toHaveCount(48);
  await expect(page.getByRole('article').first().getByRole('list')).toHaveCount(0);
  await page.getByRole('button', { name: 'Open all' }).click();
  await expect(page.getByRole('article').first().getByRole('list')).toHaveCount(1);
});
