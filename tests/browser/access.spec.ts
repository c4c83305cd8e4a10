import { expect, type Page } from '@playwright/test';
import { complaintsOf, expectAccessible } from './accessible';
import {
  copyOf,
  expectSaved,
  openDemoTake,
  openDemoTakes,
  openDesk,
  openLastVersion,
  origin,
  runtime,
  test,
} from './desk-page';

/* WCAG 2.2 AA by axe-core, on every view in both themes; the keyboard; a tablet held upright; reduced motion. */

/** Nothing is held against a view in either theme, as it is chosen in the menu. */
async function expectAccessibleInBoth(page: Page, view: string, part?: string): Promise<void> {
  const grounds = new Set<string>();
  for (const theme of ['light', 'dark'] as const) {
    await page.evaluate((chosen) => (document.documentElement.dataset.theme = chosen), theme);
    await expectAccessible(page, `${view}, ${theme}`, part);
    grounds.add(await page.evaluate(() => getComputedStyle(document.documentElement).backgroundColor));
  }
  expect(grounds.size, `${view}: grounds of both themes`).toBe(2);
}

test('lists and forms, light and dark', async ({ page }) => {
  test.setTimeout(360_000);
  await page.goto(origin());
  await expect(page.locator('[data-class-link]').first()).toBeVisible();
  await expectAccessibleInBoth(page, 'classes');
  await page.getByRole('button', { name: 'More for Evening Ebb', exact: true }).click();
  await expectAccessibleInBoth(page, 'menu of a class', '[data-panel]');
  await page.getByRole('button', { name: 'Series…' }).click();
  await expectAccessibleInBoth(page, 'series');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'More for Evening Ebb', exact: true }).click();
  await page.getByRole('button', { name: 'Tags and live dates…' }).click();
  await expect(page.getByRole('textbox', { name: /^Tags/ })).toBeEnabled();
  await expectAccessibleInBoth(page, 'tags and dates');
  await page.keyboard.press('Escape');
  await page.keyboard.press('/');
  await page.keyboard.type('lamp');
  await expect(page.getByRole('option').first()).toBeVisible();
  await expectAccessibleInBoth(page, 'find');
  await page.keyboard.press('Escape');
  await page.goto(`${origin()}/voice`);
  await expect(page.getByRole('heading', { name: 'My voice' })).toBeVisible();
  await expectAccessibleInBoth(page, 'my voice');
  await page.goto(`${origin()}/bin`);
  await expect(page.getByRole('heading', { name: 'Bin' })).toBeVisible();
  await expectAccessibleInBoth(page, 'bin');
  await page.goto(`${origin()}/terms`);
  await expect(page.getByRole('heading', { name: 'Spelling' })).toBeVisible();
  await expectAccessibleInBoth(page, 'spelling');
  await page.goto(origin());
  await page.getByRole('link', { name: 'New class' }).click();
  await expect(page.getByRole('heading', { name: 'New class' })).toBeVisible();
  await expectAccessibleInBoth(page, 'new class, templates');
  await page.getByRole('button', { name: 'Empty sections' }).click();
  await expectAccessibleInBoth(page, 'new class, empty sections');
  await page.getByRole('button', { name: 'Pasted script' }).click();
  await page.getByRole('button', { name: 'Use an example' }).click();
  await expectAccessibleInBoth(page, 'new class, script');
  await page.getByRole('button', { name: 'Plan file' }).click();
  await expectAccessibleInBoth(page, 'new class, file');
  await page.goto(`${origin()}/library`);
  await page.getByRole('button', { name: /^Heron on the piling/ }).click();
  await expect(page.getByRole('complementary', { name: /^Movement: / })).toBeVisible();
  await expectAccessibleInBoth(page, 'library');
});

test('the desk and the prompter, light and dark', async ({ page }) => {
  test.setTimeout(360_000);
  await page.goto(origin());
  await page.getByRole('link', { name: 'Storm Day Indoors', exact: true }).click();
  await expect(runtime(page)).toBeVisible();
  await expectAccessibleInBoth(page, 'class desk');
  await page.keyboard.press('c');
  await expect(page.getByRole('complementary', { name: 'Checks' })).toBeVisible();
  await expectAccessibleInBoth(page, 'checks');
  await page.keyboard.press('c');
  await page.keyboard.press('w');
  await page.getByRole('textbox', { name: 'Find' }).fill('lamp');
  await expectAccessibleInBoth(page, 'words');
  await page.keyboard.press('Escape');
  for (const step of ['Raising the lamp', 'Mooring post', 'A late word']) {
    await page.getByRole('navigation').getByRole('button', { name: step, exact: true }).click();
    await expectAccessibleInBoth(page, `step ${step}`);
  }
  await page.getByRole('button', { name: /^Fit to/ }).click();
  await expect(page.getByRole('dialog').getByRole('table')).toBeVisible();
  await expectAccessibleInBoth(page, 'fit');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Publish' }).click();
  await page.getByRole('button', { name: 'Show Captions (SRT)' }).click();
  await expectAccessibleInBoth(page, 'publish');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^Lengths/ }).click();
  await page.getByRole('button', { name: 'Another' }).click();
  await expect(page.getByRole('button', { name: 'Prompter', exact: true }).first()).toBeEnabled();
  await expectAccessibleInBoth(page, 'lengths');
  await page.getByRole('button', { name: 'Back to the timeline' }).click();
  await page.keyboard.press('?');
  await expectAccessibleInBoth(page, 'keys');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Prompter', exact: true }).click();
  await page.keyboard.press('Space');
  await expectAccessibleInBoth(page, 'prompter');
  await page.keyboard.press('PageDown');
  await expect(page.getByRole('region', { name: 'Landing on time' })).toBeVisible();
  await expectAccessibleInBoth(page, 'landing');
  await page.getByRole('button', { name: 'Settings of the prompter' }).click();
  await expectAccessibleInBoth(page, 'settings of the prompter');
  const performing = page.url();
  await page.goto(performing.replace(/perform$/, 'stage'));
  await expect(page.getByRole('heading', { name: 'Waiting for the prompter' })).toBeVisible();
  await expectAccessibleInBoth(page, 'second screen');
});

test('history, takes and what is read, light and dark', async ({ page }) => {
  test.setTimeout(360_000);
  await page.goto(origin());
  await page.getByRole('link', { name: 'Storm Day Indoors', exact: true }).click();
  await page.getByRole('link', { name: 'History' }).click();
  await openLastVersion(page);
  await expectAccessibleInBoth(page, 'history');
  await page.goto(page.url().replace('/history', '/script'));
  await expect(page.getByRole('button', { name: 'Print' })).toBeVisible();
  await expectAccessibleInBoth(page, 'reading script');
  await openDemoTakes(page);
  await expectAccessibleInBoth(page, 'takes');
  await openDemoTake(page);
  await expectAccessibleInBoth(page, 'take');
  for (const view of ['Report', 'Cuts', 'Use this take']) {
    await page.getByRole('button', { name: view, exact: true }).click();
    if (view === 'Report') await page.getByRole('button', { name: 'Talk as a table' }).click();
    if (view === 'Use this take') await expect(page.getByRole('region', { name: 'Proposed changes' })).toBeVisible();
    await expectAccessibleInBoth(page, view);
  }
  await page.goto(`${page.url().split('/takes')[0]}/preview`);
  await expect(page.getByRole('button', { name: 'Play', exact: true })).toBeVisible();
  await expectAccessibleInBoth(page, 'preview');
  await page.goto(`${origin()}/nowhere`);
  await expectAccessibleInBoth(page, 'nothing here');
});

test('axe-core finds what it looks for', async ({ page }) => {
  await page.goto(`${origin()}/nowhere`);
  expect(await complaintsOf(page)).toEqual([]);
  await page.evaluate(() => {
    const add = (tag: string, part: object): void =>
      document.querySelector('main')?.append(Object.assign(document.createElement(tag), part));
    add('img', { src: 'data:image/gif;base64,R0lGODlhAQABAAAAACwAAAAAAQABAAA=' });
    add('p', { textContent: 'hardly seen', style: 'color: #bbb; background: #fff' });
    add('button', { textContent: '' });
  });
  const found = (await complaintsOf(page)).map((one) => one.split(':')[0]).sort();
  expect(found).toEqual(['button-name', 'color-contrast', 'image-alt']);
  expect(await complaintsOf(page, 'h1')).toEqual([]);
});

test('the theme is chosen and remembered', async ({ page }) => {
  await page.goto(origin());
  await page.getByRole('button', { name: 'Menu' }).click();
  await page.getByRole('radio', { name: 'Dark' }).check();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
  await page.reload();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
});

test('the desk by keyboard alone', async ({ page }) => {
  const id = await copyOf('Before the First Ferry');
  await openDesk(page, id);
  await page.keyboard.press('j');
  await page.keyboard.press('j');
  await expect(page.getByRole('complementary', { name: 'Step: Stand at the sill' })).toBeVisible();
  await page.keyboard.press('j');
  await page.keyboard.press('+');
  await expect(page.getByRole('article', { name: 'Coiling the line' })).toContainText('6 rounds each way');
  await page.keyboard.press('-');
  await page.keyboard.press('Alt+ArrowDown');
  const names = page.getByRole('main').getByRole('article');
  await expect(names.nth(2)).toHaveAccessibleName('Coiling the line');
  await expect(page.getByRole('region', { name: 'Main set' }).getByRole('article').first()).toHaveAccessibleName(
    'Coiling the line',
  );
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('region', { name: 'Loosening' }).getByRole('article')).toHaveCount(1);
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('f');
  await expect(page.getByRole('dialog')).toContainText('Fit to 10:00');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('complementary', { name: 'The class' })).toBeVisible();

  // None of it is bound where text is typed.
  await page.getByLabel('Title').fill('');
  await page.getByLabel('Title').pressSequentially('fjk?+g');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('fjk?+g');
  await expect(page.getByRole('dialog')).toHaveCount(0);

  // Dragging has its twin: the handle, space, arrows, space.
  await page.getByRole('button', { name: 'Move Raising the lamp' }).focus();
  await page.keyboard.press('Space');
  await page.waitForTimeout(200);
  await page.keyboard.press('ArrowDown');
  await page.waitForTimeout(200);
  await page.keyboard.press('Space');
  await expect(page.getByRole('region', { name: 'Main set' }).getByRole('article').nth(1)).toHaveAccessibleName(
    'Raising the lamp',
  );
  await expectSaved(page);
});

test('a step is dragged by pointer from one section to another', async ({ page }) => {
  const id = await copyOf('Before the First Ferry');
  await openDesk(page, id);
  const handle = await page.getByRole('button', { name: 'Move Mooring post' }).boundingBox();
  const goal = await page.getByRole('button', { name: 'Move Raising the lamp' }).boundingBox();
  if (!handle || !goal) throw new Error('no handles');
  await page.mouse.move(handle.x + 8, handle.y + 8);
  await page.mouse.down();
  await page.mouse.move(goal.x + 8, goal.y + 20, { steps: 12 });
  await page.mouse.move(goal.x + 8, goal.y + 6, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByRole('region', { name: 'Main set' }).getByRole('article').first()).toHaveAccessibleName(
    'Mooring post',
  );
});

test('with reduced motion the tide is a bar', async ({ page }) => {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await page.goto(origin());
  await page.getByRole('link', { name: 'Before the First Ferry', exact: true }).click();
  await page.getByRole('button', { name: 'Prompter', exact: true }).click();
  await page.keyboard.press('Space');
  const tide = page.getByTestId('prompter').locator('> div').first();
  expect((await tide.boundingBox())?.width).toBeLessThan(40);
});
