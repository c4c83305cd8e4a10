import { expect, type Page } from '@playwright/test';
import { copyOf, openDesk, test } from './desk-page';

/* What comes in a file of its own, over a line that is slow or breaks. */

/** Holds the files of the build with this name back until the answer is called. */
async function heldBack(page: Page, name: string): Promise<() => void> {
  let release = (): void => undefined;
  const released = new Promise<void>((resolve) => (release = resolve));
  await page.route(`**/_astro/${name}.*.js`, async (route) => {
    await released;
    await route.continue();
  });
  return release;
}

test('keys pressed while the prompter is on its way are for the prompter', async ({ page }) => {
  const release = await heldBack(page, 'Perform');
  await openDesk(page, await copyOf('Before the First Ferry'));
  await page.keyboard.press('g');
  await page.keyboard.press('Space');
  await expect(page.getByTestId('prompter')).toHaveCount(0);
  release();
  await page.getByRole('button', { name: 'Sync mark' }).click();
  await expect(page.getByText(/^Sync mark sounded at 0:0\d$/)).toBeVisible();
});

test('what is typed while search is on its way stands in its field', async ({ page }) => {
  const release = await heldBack(page, 'FindDialog');
  await openDesk(page, await copyOf('Before the First Ferry'));
  await page.keyboard.press('/');
  await page.keyboard.type('ferry');
  release();
  const dialog = page.getByRole('dialog', { name: 'Find' });
  await expect(dialog.getByRole('combobox')).toHaveValue('ferry');
  await expect(dialog.getByRole('option').first()).toContainText('Ferry');
});

test('a part that does not come says so, and is there when the line is back', async ({ page }) => {
  let away = true;
  await page.route('**/_astro/FitDialog.*.js', (route) => (away ? route.abort() : route.continue()));
  await openDesk(page, await copyOf('Before the First Ferry'));
  await page.keyboard.press('f');
  await expect(page.getByRole('alert')).toContainText('has not come from the server');
  away = false;
  await expect(page.getByRole('dialog', { name: /^Fit to/ })).toBeVisible();
});
