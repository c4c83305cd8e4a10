import { expect } from '@playwright/test';
import { serve, shutDatabase } from '../support/application';
import { copyOf, expectSaved, openDesk, origin, runtime, saveBehind, storedClass, test } from './desk-page';

/* Nothing typed is lost: reload, a lost connection, two tabs, a database that goes and comes back. */

test('an edit survives a reload that comes before it was saved', async ({ page }) => {
  const id = await copyOf('Net Menders’ Break');
  await openDesk(page, id);
  await page.route('**/api/classes/*', (route) => route.abort());
  await page.getByLabel('Title').fill('Typed just before the reload');
  await expect(page.getByText('Stored in this browser; the server does not answer')).toBeVisible();
  await page.unroute('**/api/classes/*');
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Typed just before the reload' })).toBeVisible();
  await expectSaved(page);
  expect((await storedClass(id)).plan.title).toBe('Typed just before the reload');
});

test('typing goes on while the server is away, and all of it arrives when it is back', async ({ page }) => {
  const database = process.env.CALM_DATABASE_URL ?? '';
  const first = await serve(database);
  const id = await copyOf('Net Menders’ Break', first.origin);
  await openDesk(page, id, first.origin);
  const port = new URL(first.origin).port;
  await expect(page.getByLabel('Title')).toBeVisible();
  await first.stop();
  await page.getByLabel('Title').fill('Written on the ferry');
  await page.getByLabel('Focus').fill('No signal out here');
  await expect(page.getByText('Stored in this browser; the server does not answer')).toBeVisible({ timeout: 15_000 });
  await page.getByLabel('For whom').fill('Whoever is aboard');
  const second = await serve(database, Number(port));
  await expectSaved(page);
  expect((await storedClass(id, second.origin)).plan).toMatchObject({
    title: 'Written on the ferry',
    focus: 'No signal out here',
    audience: 'Whoever is aboard',
  });
  await page.goto('about:blank');
  await second.stop();
});

test('typing goes on while the database is away, and all of it arrives when it is back', async ({ page }) => {
  const database = process.env.CALM_DATABASE_URL ?? '';
  const id = await copyOf('Net Menders’ Break');
  await openDesk(page, id);
  await shutDatabase(database, true);
  try {
    await page.getByLabel('Title').fill('Written in the dark');
    await expect(page.getByText('Stored in this browser; the server does not answer')).toBeVisible({ timeout: 15_000 });
    const answer = await page.request.get(`${origin()}/`);
    expect(answer.status()).toBe(503);
    expect(await answer.text()).toContain('The database is not available');
  } finally {
    await shutDatabase(database, false);
  }
  await page.getByLabel('Focus').fill('The lamp is back');
  await expectSaved(page);
  expect((await storedClass(id)).plan).toMatchObject({ title: 'Written in the dark', focus: 'The lamp is back' });
});

test('a class closed with unsaved edits is found again in a new tab', async ({ page, context }) => {
  const id = await copyOf('Net Menders’ Break');
  await openDesk(page, id);
  await page.route('**/api/classes/*', (route) => route.abort());
  await page.getByLabel('Title').fill('Left in a hurry');
  await expect(page.getByText('Stored in this browser; the server does not answer')).toBeVisible();
  await page.close();
  const other = await context.newPage();
  await openDesk(other, id);
  await expect(other.getByRole('heading', { name: 'Left in a hurry' })).toBeVisible();
  await expectSaved(other);
});

test('two tabs: neither overwrites the other, and each way out works', async ({ page, context }) => {
  const id = await copyOf('Net Menders’ Break');
  await openDesk(page, id);
  const other = await context.newPage();
  await openDesk(other, id);
  await other.getByLabel('Title').fill('From the other tab');
  await expectSaved(other);

  await page.getByLabel('Focus').fill('From this tab');
  const dialog = page.getByRole('dialog', { name: 'Changed in two places' });
  await expect(dialog).toBeVisible();
  await dialog.getByRole('button', { name: 'Compare both' }).click();
  await expect(dialog.getByRole('region', { name: 'Theirs' })).toContainText('From the other tab');
  expect((await storedClass(id)).plan.title).toBe('From the other tab');
  await dialog.getByRole('button', { name: 'Keep mine' }).click();
  await expectSaved(page);
  expect((await storedClass(id)).plan).toMatchObject({ focus: 'From this tab', title: 'Net Menders’ Break, copy' });

  await other.getByLabel('Focus').fill('Typed while stale');
  const there = other.getByRole('dialog', { name: 'Changed in two places' });
  await expect(there).toBeVisible();
  // Put off, and still there after a reload: what was typed is not lost.
  await other.keyboard.press('Escape');
  await other.reload();
  await expect(there).toBeVisible();
  await there.getByRole('button', { name: 'Use theirs' }).click();
  await expectSaved(other);
  await expect(other.getByLabel('Focus')).toHaveValue('From this tab');
  await other.reload();
  await expect(other.getByLabel('Focus')).toHaveValue('From this tab');
});

test('a save from elsewhere is not overwritten by an undo', async ({ page }) => {
  const id = await copyOf('Net Menders’ Break');
  await openDesk(page, id);
  await page.getByLabel('Title').fill('First change');
  await expectSaved(page);
  await saveBehind(id, (plan) => ({ ...plan, focus: 'Saved elsewhere' }));
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('dialog', { name: 'Changed in two places' })).toBeVisible();
  expect((await storedClass(id)).plan.focus).toBe('Saved elsewhere');
});

test('a class moved to the bin can be taken back', async ({ page }) => {
  await copyOf('Evening Ebb');
  await page.goto(origin());
  const row = page.getByRole('listitem').filter({ hasText: 'Evening Ebb, copy' });
  await page.getByRole('button', { name: 'More for Evening Ebb, copy' }).click();
  await page.getByRole('button', { name: 'Move to the bin' }).click();
  await expect(row).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(row).toHaveCount(1);
});

test('undo goes as deep as the session, a field at a time', async ({ page }) => {
  const id = await copyOf('Before the First Ferry');
  await openDesk(page, id);
  const before = await runtime(page).textContent();
  await page.getByLabel('Title').fill('One');
  await page.getByLabel('Focus').pressSequentially('two words');
  for (const rounds of [1, 2, 3]) {
    await page.getByRole('navigation').getByRole('button', { name: 'Raising the lamp', exact: true }).click();
    await page.getByRole('button', { name: 'Rounds: more' }).click();
    await page
      .getByLabel('At most')
      .first()
      .fill(String(10 + rounds));
  }
  await page.getByRole('main').click({ position: { x: 300, y: 12 } });
  for (let count = 0; count < 8; count++) await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  await expect(page.getByRole('heading', { name: 'Before the First Ferry, copy' })).toBeVisible();
  expect(await runtime(page).textContent()).toBe(before);
});
