import { expect, type Page } from '@playwright/test';
import { copyOf, origin, saveBehind, storedClass, test } from './desk-page';

/* The prompter at an address of its own: it lands, waits for a hand, is read from afar, and survives. */

const line = (page: Page) => page.getByTestId('line-now');
const landing = (page: Page) => page.getByRole('region', { name: 'Landing on time' });
const open = async (page: Page, title: string): Promise<string> => {
  const id = await copyOf(title);
  await page.goto(`${origin()}/classes/${id}/perform`);
  await expect(page.getByRole('button', { name: 'Start', exact: true })).toBeVisible();
  return id;
};

test('a class that would end early is changed with one key, its log tells so, and it goes on after a reload', async ({
  page,
}) => {
  const id = await open(page, 'Before the First Ferry');
  await page.keyboard.press('Space');
  for (let step = 0; step < 4; step++) await page.keyboard.press('PageDown');
  await expect(landing(page)).toContainText(/early\..*ends/);
  await expect(landing(page)).toContainText('→');
  const off = page.getByText('vs target', { exact: true }).locator('..');
  await expect(off).toContainText('−');
  await page.keyboard.press('Enter');
  await expect(landing(page)).toHaveCount(0);
  const changed = await off.textContent();
  const kept = () =>
    page.evaluate(
      (of) => Object.entries(localStorage).filter(([key]) => key.startsWith(`performance/${of}/`)).map(([, value]) => value as string), // prettier-ignore
      id,
    );
  const [run = '{}'] = await kept();
  const { log } = JSON.parse(run) as { log: { events: { event: string }[]; performed: { title: string } | null } };
  expect(log.events.at(-1)?.event).toBe('adapt');
  expect(log.performed?.title).toContain('Before the First Ferry');
  // The class itself is as it was.
  expect((await storedClass(id)).revision).toBe(1);
  await page.waitForTimeout(1_200);
  await page.reload();
  await page.getByRole('button', { name: /^Resume at/ }).click();
  await expect(off).toContainText(/0:0\d|0:1\d/);
  expect(changed).not.toBeNull();
  await expect(page.getByText(/^Paused for/)).toBeVisible();
});

test('a computer that was asleep for ten minutes in mid-class finds it paused where it stood', async ({ page }) => {
  const id = await copyOf('Before the First Ferry');
  await page.clock.install();
  await page.goto(`${origin()}/classes/${id}/perform`);
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  // From here on time passes only where it is said, in the midst of a second.
  await page.clock.pauseAt(new Date(Date.now() + 1_500));
  await page.clock.runFor(20_000);
  const left = page.getByText('left', { exact: true }).locator('..');
  const before = await left.textContent();
  // A timer that is due fires once, as it does when a computer wakes.
  await page.clock.fastForward(600_000);
  await page.clock.runFor(200);
  await expect(page.getByText('The computer slept for 10:00. Paused here.')).toBeVisible();
  expect(await left.textContent()).toBe(before);
  await page.keyboard.press('Space');
  await page.clock.runFor(5_000);
  await expect(page.getByText(/^The computer slept/)).toHaveCount(0);
  await expect(left).not.toHaveText(before ?? '');
  // The time is not lost from the account: it proposes how to end on time after all, or says by how much it is late.
  await expect(page.getByText('vs target', { exact: true }).locator('..')).toContainText(/\+(?:9|10):\d\d/);
});

test('it changes what is left by itself where that is set, and adds and drops a round by hand', async ({ page }) => {
  await open(page, 'Before the First Ferry');
  await page.getByRole('button', { name: 'Settings of the prompter' }).click();
  await page.getByRole('checkbox', { name: 'Adjust the remaining steps automatically, to end on time' }).check();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Space');
  for (let step = 0; step < 3; step++) await page.keyboard.press('PageDown');
  const off = page.getByText('vs target', { exact: true }).locator('..');
  await expect(off).toContainText(/0:0\d/);
  await expect(landing(page)).toHaveCount(0);
  // Rounds of the movement that runs.
  const count = page.getByTestId('count');
  await expect(async () => {
    if (!/round 1 of \d+/.test((await count.textContent()) ?? '')) await page.keyboard.press('ArrowRight');
    await expect(count).toContainText(/round 1 of \d+/, { timeout: 1_500 });
  }).toPass();
  const rounds = async (): Promise<number> => Number(/round \d+ of (\d+)/.exec((await count.textContent()) ?? '')?.[1]);
  const before = await rounds();
  await page.keyboard.press('+');
  await expect.poll(rounds).toBe(before + 1);
  await page.getByRole('button', { name: 'One round fewer' }).click();
  await expect.poll(rounds).toBe(before);
});

test('led by hand it waits at each line, and counts down before the start', async ({ page }) => {
  await open(page, 'Before the First Ferry');
  await page.keyboard.press('h');
  await page.getByRole('button', { name: 'Settings of the prompter' }).click();
  await expect(page.getByRole('combobox', { name: 'Move on' })).toHaveValue('hand');
  await page.getByRole('combobox', { name: 'Count down before the start' }).selectOption('3 s');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(page.getByRole('timer')).toHaveText(/[123]/);
  await expect(line(page)).toContainText('Good morning, and welcome to the hall.', { timeout: 8_000 });
  await page.keyboard.press('ArrowRight');
  const held = await line(page).textContent();
  await page.waitForTimeout(9_000);
  await expect(line(page)).toHaveText(held ?? '');
  await page.keyboard.press('ArrowRight');
  await expect(line(page)).not.toHaveText(held ?? '');
});

test('it is read from three metres: capitals of 12 mm now, of 8 mm next, round and side, on 13 inches', async ({
  page,
}) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  await open(page, 'Before the First Ferry');
  await page.keyboard.press('Space');
  for (let step = 0; step < 5; step++) await page.keyboard.press('PageDown');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByTestId('count')).toContainText('round 1');
  /** Height of capitals in millimetres, by what the page draws: a 13.3 inch screen of 16 to 10 is 286 mm wide. */
  const capitals = (selector: string): Promise<number> =>
    page
      .locator(selector)
      .first()
      .evaluate((element) => {
        const style = getComputedStyle(element);
        const context = document.createElement('canvas').getContext('2d');
        if (!context) throw new Error('no canvas');
        context.font = `${style.fontWeight} ${style.fontSize} ${style.fontFamily}`;
        return (context.measureText('H').actualBoundingBoxAscent * 286) / 1280;
      });
  expect(await capitals('[data-testid="line-now"][data-long="no"]')).toBeGreaterThanOrEqual(12);
  expect(await capitals('[data-testid="line-next"]')).toBeGreaterThanOrEqual(8);
  expect(await capitals('[data-testid="count"] h2')).toBeGreaterThanOrEqual(8);
  // Nothing that is read runs out of the page.
  for (const part of ['line-now', 'line-next', 'count']) {
    const box = await page.getByTestId(part).boundingBox();
    expect((box?.y ?? 900) + (box?.height ?? 900)).toBeLessThan(800);
  }
});

test('a class that is changed meanwhile goes on as it was opened, and that is said', async ({ page }) => {
  const id = await open(page, 'Before the First Ferry');
  await page.keyboard.press('Space');
  await saveBehind(id, (plan) => ({ ...plan, title: 'Renamed meanwhile' }));
  await page.evaluate(() => document.dispatchEvent(new Event('visibilitychange')));
  await expect(page.getByText('The class was changed meanwhile.')).toBeVisible();
  await expect(page.getByText('Renamed meanwhile')).toHaveCount(0);
});

test('a second screen keeps step with the prompter, also see-through and after a change', async ({ page, context }) => {
  const id = await open(page, 'Before the First Ferry');
  const stage = await context.newPage();
  await stage.goto(`${origin()}/classes/${id}/stage?see-through`);
  await expect(stage.getByTestId('stage')).toHaveAttribute('data-mode', 'ready');
  await page.bringToFront();
  await page.keyboard.press('Space');
  for (let step = 0; step < 3; step++) await page.keyboard.press('PageDown');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Space');
  const now = (await line(page).textContent()) ?? '';
  await expect(stage.getByTestId('said')).toHaveText(now);
  await expect(stage.getByTestId('stage')).toHaveAttribute('data-mode', 'held');
  expect(await stage.evaluate(() => getComputedStyle(document.body).backgroundColor)).toBe('rgba(0, 0, 0, 0)');
  // Opened later, in the middle of the class.
  await stage.goto(`${origin()}/classes/${id}/stage`);
  await expect(stage.getByTestId('said')).toHaveText(now);
  await page.keyboard.press('Enter');
  await page.keyboard.press('Space');
  await expect(stage.getByTestId('stage')).toHaveAttribute('data-mode', 'running');
  await expect(stage.getByText(/^then /)).toBeVisible();
});
