import { expect, type Page } from '@playwright/test';
import { expectSaved, origin, runtime, test } from './desk-page';

/* A class of ten minutes from nothing, as somebody new would make it; clicks and keys are counted by the page itself. */

const MOST_CLICKS = 25;
/** At the speed of somebody who looks before each press: a click and a look, and thirty words a minute at the keys. */
const SECONDS_A_CLICK = 3;
const SECONDS_A_KEY = 0.4;
const MOST_SECONDS = 180;

declare global {
  interface Window {
    counted: { clicks: number; keys: number };
  }
}

async function counted(page: Page): Promise<{ clicks: number; keys: number }> {
  return page.evaluate(() => JSON.parse(sessionStorage.getItem('counted') ?? '{"clicks":0,"keys":0}') as never);
}

async function startCounting(page: Page): Promise<void> {
  await page.addInitScript(() => {
    const add = (what: 'clicks' | 'keys'): void => {
      const sofar = JSON.parse(sessionStorage.getItem('counted') ?? '{"clicks":0,"keys":0}') as Window['counted'];
      sessionStorage.setItem('counted', JSON.stringify({ ...sofar, [what]: sofar[what] + 1 }));
    };
    addEventListener('click', (event) => event.isTrusted && event.detail > 0 && add('clicks'), true);
    addEventListener('keydown', (event) => event.isTrusted && add('keys'), true);
  });
}

/** Types into the field that adds steps to a section; Enter goes on to the next. */
async function addSteps(page: Page, section: string, names: readonly string[]): Promise<void> {
  const field = page.getByRole('combobox', { name: `Add a step to ${section}` });
  await field.click();
  for (const name of names) {
    await page.keyboard.type(name);
    await page.keyboard.press('Enter');
  }
  for (const name of names) {
    await expect(page.getByRole('article', { name: name.replace(/,? \d.*$/, ''), exact: true })).toBeVisible();
  }
}

/** Writes a line of a step where it stands. */
async function writeLine(page: Page, step: string, words: string): Promise<void> {
  await page.getByRole('button', { name: `Add a line to ${step}`, exact: true }).click();
  await page.keyboard.type(words);
  await page.keyboard.press('Enter');
}

test('ten minutes from nothing: at most 25 clicks, and three minutes', async ({ page }) => {
  await startCounting(page);
  await page.goto(origin());
  await page.getByRole('link', { name: 'New class' }).click();
  await page.getByRole('button', { name: 'Empty sections' }).click();
  await page.getByRole('textbox', { name: 'Title' }).click();
  await page.keyboard.type('Lamp room');
  await page.getByRole('button', { name: 'Create class' }).click();
  await expect(runtime(page)).toBeVisible();
  for (const section of ['Welcome', 'Loosening', 'Main set', 'Closing']) {
    await expect(page.getByRole('region', { name: section, exact: true })).toBeVisible();
  }

  await addSteps(page, 'Welcome', ['Hello']);
  await addSteps(page, 'Loosening', ['Shoulders', 'Hips 4x', 'Wrists 1 min']);
  await addSteps(page, 'Main set', ['Reach, 3 each side', 'Sweep, 3 each side']);
  await addSteps(page, 'Closing', ['Silence 1 min']);
  const sweep = page.getByRole('article', { name: 'Sweep', exact: true });
  await expect(sweep).toContainText('3 rounds per side');
  await expect(page.getByRole('article', { name: 'Silence', exact: true })).toContainText('1:00');

  await writeLine(page, 'Hello', 'Good morning. Rest when you like.');
  await writeLine(page, 'Shoulders', 'Lift.');
  await writeLine(page, 'Reach', 'Reach up.');
  await writeLine(page, 'Sweep', 'Sweep.');

  await page.getByRole('button', { name: 'Fit to 10:00' }).click();
  const dialog = page.getByRole('dialog');
  const relax = dialog.getByRole('button', { name: /^Relax (it|these)/ });
  const use = dialog.getByRole('button', { name: /^Use this fit/ }).first();
  await expect(relax.or(use)).toBeVisible();
  if (await relax.isVisible()) await relax.click();
  await expect(use.or(dialog.getByText('The class is on target'))).toBeVisible();
  if (await use.isVisible()) await use.click();
  else await page.keyboard.press('Escape');
  await expect(runtime(page)).toContainText('on target');
  await expect(runtime(page)).toContainText('10:00');
  await expectSaved(page);

  const { clicks, keys } = await counted(page);
  const seconds = clicks * SECONDS_A_CLICK + keys * SECONDS_A_KEY;
  console.log(`ten minutes from nothing: ${clicks} clicks, ${keys} keys, about ${Math.round(seconds)} s`);
  expect(clicks).toBeLessThanOrEqual(MOST_CLICKS);
  expect(seconds).toBeLessThanOrEqual(MOST_SECONDS);
});
