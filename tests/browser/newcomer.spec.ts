import { expect, type Page } from '@playwright/test';
import sharp from 'sharp';
import { copyOf, expectSaved, openDesk, origin, runtime, saveBehind, storedClass, test } from './desk-page';

/* What somebody new runs into: where the focus goes, what lies over what, search, names, pictures, and what is told. */

const first = (page: Page) => page.locator('[data-class-link]').first();

test('dark follows the system unless it is chosen', async ({ page }) => {
  const ground = (): Promise<string> => page.evaluate(() => getComputedStyle(document.body).backgroundColor);
  await page.emulateMedia({ colorScheme: 'light' });
  await page.goto(origin());
  const light = await ground();
  await page.emulateMedia({ colorScheme: 'dark' });
  const dark = await ground();
  expect(dark).not.toBe(light);
  await page.getByRole('button', { name: 'Menu' }).click();
  await page.getByRole('radio', { name: 'Light', exact: true }).check();
  expect(await ground()).toBe(light);
  await page.reload();
  expect(await ground()).toBe(light);
  await page.getByRole('button', { name: 'Menu' }).click();
  await page.getByRole('radio', { name: 'Like the system' }).check();
  expect(await ground()).toBe(dark);
});

test('a dialog moves nothing, opens at its top, and gives the focus back', async ({ page }) => {
  await page.goto(origin());
  await page.setViewportSize({ width: 1280, height: 400 });
  const at = async (): Promise<number | undefined> => (await first(page).boundingBox())?.x;
  const before = await at();
  const more = page.getByRole('button', { name: 'More for Evening Ebb', exact: true });
  await more.click();
  await page.getByRole('button', { name: 'Tags and live dates…' }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  expect(await at()).toBe(before);
  await page.getByRole('textbox', { name: /^Tags/ }).click();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(more).toBeFocused();

  await openDesk(page, await copyOf('Storm Day Indoors'));
  await page.getByRole('button', { name: 'Fit to 12:00' }).click();
  await expect(page.getByRole('button', { name: /^Use this fit/ }).first()).toBeFocused();
  const box = page.locator('dialog .modal-box');
  expect(await box.evaluate((element) => element.scrollTop)).toBe(0);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'Fit to 12:00' })).toBeFocused();
});

test('keys of the desk do nothing behind a dialog, and Escape closes each of them', async ({ page }) => {
  await openDesk(page, await copyOf('Before the First Ferry'));
  const dialog = page.getByRole('dialog');
  const openers: readonly (() => Promise<void>)[] = [
    () => page.keyboard.press('f'),
    () => page.keyboard.press('w'),
    () => page.keyboard.press('?'),
    () => page.keyboard.press('/'),
    () => page.getByRole('button', { name: 'Publish' }).click(),
    () => page.getByRole('button', { name: 'Change section Main set' }).click(),
  ];
  for (const open of openers) {
    await open();
    await expect(dialog).toHaveCount(1);
    // A field of the dialog may have the focus: then the keys are typed there.
    await dialog.getByRole('button', { name: 'Close' }).focus();
    for (const key of ['g', 'l', 'c', 'j', '?', '/']) await page.keyboard.press(key);
    await expect(dialog).toHaveCount(1);
    await expect(page.getByTestId('prompter')).toHaveCount(0);
    await expect(page.getByRole('complementary', { name: 'The class' })).toBeAttached();
    await page.keyboard.press('Escape');
    await expect(dialog).toHaveCount(0);
  }
});

test('the focus stays where one is at work', async ({ page }) => {
  await openDesk(page, await copyOf('Storm Day Indoors'));
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'Skip to the page' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('main')).toBeFocused();
  // The first field of a chosen step is one key away.
  await page.keyboard.press('j');
  await page.keyboard.press('e');
  await expect(page.getByRole('textbox', { name: 'Name', exact: true })).toBeFocused();
  await page.keyboard.press('Escape');
  // A line that was written keeps the focus.
  await expect(page.locator('#fields')).toBeVisible();
  const line = page.getByRole('article', { name: 'The weather' }).getByRole('list').getByRole('button').first();
  await line.click();
  await page.keyboard.type('!');
  await page.keyboard.press('Enter');
  await expect(line).toBeFocused();
  // A finding that was fixed is gone; its panel has the focus.
  await page.keyboard.press('c');
  const checks = page.getByRole('complementary', { name: 'Checks' });
  await checks.getByRole('button', { name: 'Fix all 2 of “A side that contradicts the plan”' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.locator('#fields')).toBeFocused();
  // So has the page where a step was removed.
  await page.keyboard.press('c');
  await page.keyboard.press('j');
  await page.getByRole('button', { name: 'Remove', exact: true }).focus();
  await page.keyboard.press('Enter');
  await expect(page.locator('#fields')).toBeFocused();
});

test('findings of one kind are fixed together; undo and keeping on target say what they did', async ({ page }) => {
  await openDesk(page, await copyOf('Storm Day Indoors'));
  await page.keyboard.press('c');
  const checks = page.getByRole('complementary', { name: 'Checks' });
  const sides = checks.getByRole('listitem').filter({ hasText: 'A side that contradicts the plan' });
  await expect(sides).toHaveCount(1);
  await sides.getByText('and in 1 more place').click();
  await expect(sides.getByRole('listitem')).toHaveCount(1);
  await checks.getByRole('button', { name: 'Fix all 2 of “A side that contradicts the plan”' }).click();
  await expect(sides).toHaveCount(0);
  const told = page.getByRole('status').filter({ hasText: /:/ });
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(told.first()).toHaveText('Undone: Turning the lighthouse: words changed');
  await expect(sides).toHaveCount(1);
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(told.first()).toHaveText('Done again: Turning the lighthouse: words changed');
  await page.keyboard.press('c');
  await page.getByRole('checkbox', { name: 'Keep on target' }).check();
  await page.getByRole('navigation').getByRole('button', { name: 'Raising the lamp', exact: true }).click();
  await page.getByRole('button', { name: 'Rounds: fewer' }).click();
  await expect(told.first()).toContainText('To stay on target: ');
  await expect(runtime(page)).toContainText('on target');
});

test('every page has the keys, the search, and the way back', async ({ page }) => {
  const id = await copyOf('Before the First Ferry');
  const paths = ['/', '/new', '/library', '/voice', '/terms', '/bin'];
  const ofClass = ['', '/takes', '/history', '/preview', '/script'].map((part) => `/classes/${id}${part}`);
  for (const path of [...paths, ...ofClass]) {
    await page.goto(`${origin()}${path}`);
    await expect(page.getByRole('link', { name: 'Classes', exact: true })).toBeVisible();
    await page.locator('#main').focus();
    await page.keyboard.press('?');
    await expect(page.getByRole('dialog', { name: 'Keys' }), path).toContainText('find a class or movement');
    await page.keyboard.press('Escape');
    await page.keyboard.press('/');
    await page.keyboard.type('evening ebb');
    await expect(page.getByRole('option').first(), path).toContainText('Evening Ebb');
    await page.keyboard.press('Escape');
  }
  await page.keyboard.press('/');
  await page.keyboard.type('heron');
  await expect(page.getByRole('option', { name: /Heron on the piling/ })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('complementary', { name: 'Movement: Heron on the piling' })).toBeVisible();
});

test('the studio is given another name', async ({ page, context }) => {
  await page.goto(origin());
  const other = await context.newPage();
  await other.goto(origin());
  const rename = async (on: Page, name: string): Promise<void> => {
    await on.getByRole('button', { name: 'Menu' }).click();
    await on.getByRole('button', { name: 'Name of the studio…' }).click();
    await on.getByLabel('Name', { exact: true }).fill(name);
    await on.keyboard.press('Enter');
  };
  await rename(page, 'Harbour Room');
  await expect(page.getByRole('banner')).toContainText('Harbour Room');
  await rename(other, 'Theirs');
  await expect(other.getByRole('alert')).toContainText('changed in another window');
  await other.close();
  await page.reload();
  await expect(page.getByRole('banner')).toContainText('Harbour Room');
  await rename(page, 'Slack Water Hall');
  await expect(page.getByRole('banner')).toContainText('Slack Water Hall');
});

test('classes are tagged, dated, filtered, sorted and walked by the arrows', async ({ page }) => {
  await saveBehind(await copyOf('Net Menders’ Break'), (plan) => ({ ...plan, title: 'Mending by the stove' }));
  await page.goto(origin());
  await page.getByRole('button', { name: 'More for Mending by the stove' }).click();
  await page.getByRole('button', { name: 'Tags and live dates…' }).click();
  await page.getByRole('textbox', { name: /^Tags/ }).fill('harbour, short');
  await page.getByLabel('Date and time').fill('2031-05-14T18:00');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  const row = page.getByRole('listitem').filter({ hasText: 'Mending by the stove' });
  await expect(row).toContainText('harbour · short');
  await expect(row).toContainText('live 14 May 2031 18:00');
  await page.reload();
  await expect(row).toContainText('live 14 May 2031 18:00');
  await page.getByRole('button', { name: 'harbour', exact: true }).click();
  await expect(page.locator('[data-class-link]')).toHaveCount(1);
  await page.getByRole('button', { name: 'harbour', exact: true }).click();
  await page.getByLabel(/^Filter the list/).fill('ferry');
  await expect(page.locator('[data-class-link]').filter({ hasNotText: 'Ferry' })).toHaveCount(0);
  await expect(first(page)).toHaveText('Before the First Ferry');
  await page.getByLabel(/^Filter the list/).fill('');
  await page.getByLabel('Sort').selectOption('Length');
  await expect(page.locator('[data-class-link]').last()).toContainText('Thursday Live');
  await first(page).focus();
  await page.keyboard.press('ArrowDown');
  await expect(page.locator('[data-class-link]').nth(1)).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(runtime(page)).toBeVisible();
});

test('a movement goes from a class into the library, and its picture shows on the desk and in print', async ({
  page,
}) => {
  const id = await copyOf('Evening Ebb');
  await saveBehind(id, (plan) => ({
    ...plan,
    sections: plan.sections.map((section) => ({
      ...section,
      steps: section.steps.map((step) =>
        step.name === 'Raising the lamp' && step.kind === 'movement'
          ? { ...step, name: 'Lifting the oil lamp', source: null }
          : step,
      ),
    })),
  }));
  await openDesk(page, id);
  await page.getByRole('navigation').getByRole('button', { name: 'Lifting the oil lamp', exact: true }).click();
  await page.getByRole('button', { name: 'Add to the library' }).click();
  await expect(page.getByRole('button', { name: 'Add to the library' })).toHaveCount(0);
  await expectSaved(page);
  const steps = (await storedClass(id)).plan.sections.flatMap((section) => section.steps);
  const lifted = steps.find(({ name }) => name === 'Lifting the oil lamp');
  expect(lifted?.kind === 'movement' && lifted.source?.revision).toBe(1);

  await page.goto(`${origin()}/library`);
  await page.getByRole('button', { name: /^Lifting the oil lamp/ }).click();
  const picture = await sharp({ create: { width: 60, height: 40, channels: 3, background: '#2d5a4d' } })
    .png()
    .toBuffer();
  const field = page.locator('input[type=file]');
  await field.setInputFiles({ name: 'lamp.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
  await expect(page.getByRole('alert')).toContainText('lamp.png: Choose a JPEG, PNG or WebP picture');
  await field.setInputFiles({ name: 'lamp.png', mimeType: 'image/png', buffer: picture });
  const shown = page.getByRole('img', { name: 'Lifting the oil lamp, pictured' });
  const drawn = (): Promise<number> => shown.first().evaluate((image: HTMLImageElement) => image.naturalWidth);
  await expect.poll(drawn).toBe(60);
  await openDesk(page, id);
  await page.getByRole('navigation').getByRole('button', { name: 'Lifting the oil lamp', exact: true }).click();
  await expect.poll(drawn).toBe(60);
  await page.goto(`${origin()}/classes/${id}/script`);
  await shown.scrollIntoViewIfNeeded();
  await expect.poll(drawn).toBe(60);
  // Other tests count the movements of the demo.
  await page.goto(`${origin()}/library`);
  await page.getByRole('button', { name: /^Lifting the oil lamp/ }).click();
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await expect(page.getByText('Lifting the oil lamp was moved to the bin.')).toBeVisible();
});

test('the camera card is one printed page, of the demo’s longest class too', async ({ page }) => {
  for (const title of ['Before the First Ferry', 'Thursday Live']) {
    await page.goto(`${origin()}/classes/${await copyOf(title)}/script#card`);
    await expect(page.getByRole('list', { name: 'Camera card' })).toContainText('Raising the lamp');
    for (const format of ['A4', 'Letter']) {
      const pdf = (await page.pdf({ format, preferCSSPageSize: false })).toString('latin1');
      expect(pdf.match(/\/Type\s*\/Page\b/g)?.length, `${title}, ${format}`).toBe(1);
    }
  }
});

test('where a system forces its colours, the prompter keeps its water', async ({ page }) => {
  await page.emulateMedia({ forcedColors: 'active' });
  await openDesk(page, await copyOf('Before the First Ferry'));
  await page.getByRole('button', { name: 'Prompter', exact: true }).click();
  await page.keyboard.press('Space');
  const water = page.locator('.tide-water');
  const [of, ground] = await Promise.all([
    water.evaluate((element) => getComputedStyle(element).backgroundColor),
    page.getByTestId('prompter').evaluate((element) => getComputedStyle(element).backgroundColor),
  ]);
  expect(of).not.toBe(ground);
  expect(await water.evaluate((element) => getComputedStyle(element).borderTopWidth)).toBe('3px');
});

test('the prompter says that it is paused and that the sync mark sounded', async ({ page }) => {
  await openDesk(page, await copyOf('Before the First Ferry'));
  await page.keyboard.press('g');
  await page.keyboard.press('Space');
  await page.getByRole('button', { name: 'Sync mark' }).click();
  await expect(page.getByText(/^Sync mark sounded at 0:0\d$/)).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByText(/^Paused for 0:0\d$/)).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByText(/^Paused for/)).toHaveCount(0);
});
