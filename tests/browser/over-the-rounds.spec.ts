import { expect, type Page } from '@playwright/test';
import { copyOf, expectSaved, openDesk, runtime, storedClass, test } from './desk-page';

/* What is said while the rounds run, and what is done again on the other side: from the timeline, by mouse and keys. */

const strip = (page: Page, step: string) => page.getByRole('article', { name: step, exact: true });
const chooseStep = (page: Page, name: string) =>
  page.getByRole('navigation').getByRole('button', { name, exact: true }).click();

test('a line is said on a round: press beside it and type; it is changed, emptied, and undone', async ({ page }) => {
  const id = await copyOf('Before the First Ferry');
  await openDesk(page, id);
  const lamp = strip(page, 'Raising the lamp');
  const before = await runtime(page).textContent();
  await lamp.getByRole('button', { name: 'Say something on round 2' }).click();
  await page.keyboard.type('A little lower this time.', { delay: 15 });
  await page.keyboard.press('Enter');
  await expect(lamp.getByRole('button', { name: 'A little lower this time.' })).toBeVisible();
  // It takes no time of its own.
  await expect(runtime(page)).toHaveText(before ?? '');
  await expectSaved(page);
  await page.reload();
  await lamp.getByRole('button', { name: 'A little lower this time.' }).click();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('Lower, if you like.');
  await page.keyboard.press('Enter');
  await expect(lamp.getByRole('button', { name: 'Lower, if you like.' })).toBeVisible();
  await lamp.getByRole('button', { name: 'Lower, if you like.' }).click();
  await page.keyboard.press('Control+a');
  await page.keyboard.press('Delete');
  await page.keyboard.press('Enter');
  await expect(lamp.getByRole('button', { name: 'Lower, if you like.' })).toHaveCount(0);
  // What was written on one line in a row is one thing to undo, its end too.
  await page.keyboard.press('Control+z');
  await expect(lamp.getByRole('button', { name: 'A little lower this time.' })).toBeVisible();
  await page.keyboard.press('Control+Shift+z');
  await expect(lamp.getByRole('button', { name: 'A little lower this time.' })).toHaveCount(0);
  await expectSaved(page);
  const { plan } = await storedClass(id);
  const steps = plan.sections.flatMap((section) => section.steps);
  expect(steps.flatMap((step) => (step.kind === 'movement' ? step.during : []))).toEqual([]);
});

test('a line where there is room, over a movement and over a silence, by the keyboard alone', async ({ page }) => {
  const id = await copyOf('Before the First Ferry');
  await openDesk(page, id);
  for (const [step, button, words] of [
    ['Raising the lamp', 'Add a line during the rounds to Raising the lamp', 'Soft knees.'],
    ['Mooring post', 'Add a line while it lasts to Mooring post', 'Hear the water.'],
  ] as const) {
    const adds = page.getByRole('button', { name: button, exact: true });
    await adds.focus();
    await page.keyboard.press('Enter');
    await page.keyboard.type(words);
    await page.keyboard.press('Enter');
    await expect(strip(page, step).getByRole('button', { name: words })).toBeVisible();
    await expect(adds).toBeFocused();
  }
  await expectSaved(page);
});

test('neighbours are done again on the other side, written once', async ({ page }) => {
  const id = await copyOf('Before the First Ferry');
  await openDesk(page, id);
  await chooseStep(page, 'Setting down the nets');
  await page
    .getByRole('navigation')
    .getByRole('button', { name: 'Gulls leaving the wall', exact: true })
    .click({ modifiers: ['Shift'] });
  const both = page.getByLabel('Do all of this again on the other side');
  await both.check();
  await expect(page.getByText('Again on the other side: Setting down the nets, Gulls leaving the wall')).toBeVisible();
  await expect(runtime(page)).toContainText('over target');
  await expectSaved(page);
  await page.reload();
  await chooseStep(page, 'Setting down the nets');
  await page.getByRole('button', { name: 'Once only' }).click();
  await expect(page.getByText('Again on the other side')).toHaveCount(0);
  await expect(runtime(page)).not.toContainText('over target');
});
