import { expect, type Page } from '@playwright/test';
import type { LiveCodes } from '@/api/live';
import { serve } from '../support/application';
import { expectAccessible } from './accessible';
import { copyOf, device, origin, showToOthers, test } from './desk-page';

/* A class shown to others: people at home, a phone that moves it on, a second screen, an overlay. */

const saidNow = (page: Page) => page.getByTestId('line-now');

/** The prompter of a copy of the first class, shown to others. */
async function shared(page: Page): Promise<{ readonly id: string; readonly codes: LiveCodes }> {
  const id = await copyOf('Before the First Ferry');
  await page.goto(`${origin()}/classes/${id}/perform`);
  return { id, codes: await showToOthers(page, id) };
}

/** The place that a page draws its breath at, less a clock that all pages of this machine share; in seconds. */
async function drawnPlace(page: Page): Promise<number> {
  return page.getByTestId('tide').evaluate(
    (tide) =>
      new Promise<number>((done) => {
        requestAnimationFrame(() =>
          requestAnimationFrame(() => {
            const now = performance.timeOrigin + performance.now();
            done(Number((tide as HTMLElement).dataset.place) - (now % 1e7) / 1000);
          }),
        );
      }),
  );
}

test('people at home see the movement, the breath and what is said in step, by a clock that is ten minutes off', async ({
  page,
  browser,
}) => {
  const { codes } = await shared(page);
  await page.keyboard.press('Escape');
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const home = await context.newPage();
  await home.addInitScript(() => {
    const real = Date.now;
    Date.now = () => real() + 600_000;
  });
  await home.goto(`${origin()}/live`);
  await home.getByLabel('Code of the live class').fill('no code');
  await home.getByRole('button', { name: 'Follow' }).click();
  await expect(home.getByRole('alert')).toContainText('8 letters and digits');
  await home.getByLabel('Code of the live class').fill(codes.code.toUpperCase().replace(/(.{4})/, '$1 '));
  await home.getByRole('button', { name: 'Follow' }).click();
  await expect(home.getByRole('heading', { name: 'The class begins soon.' })).toBeVisible();
  await expectAccessible(home, 'follow, before it begins');
  await page.keyboard.press('Space');
  for (let step = 0; step < 4; step++) await page.keyboard.press('PageDown');
  await page.keyboard.press('ArrowRight');
  await expect(home.getByTestId('follow')).toHaveAttribute('data-mode', 'running');
  await expect(home.getByTestId('count')).toContainText(/round \d+ of \d+/);
  // Breath within 100 ms of the leader's: what both draw, at the same moment of this machine.
  await expect.poll(async () => Math.abs((await drawnPlace(home)) - (await drawnPlace(page)))).toBeLessThan(0.1);
  expect(Math.abs((await drawnPlace(home)) - (await drawnPlace(page)))).toBeLessThan(0.1);
  await page.keyboard.press('Space');
  await expect(home.getByText('Paused', { exact: true })).toBeVisible();
  await expect(home.getByText((await saidNow(page).textContent()) ?? '')).toBeVisible();
  await home.getByRole('button', { name: 'Hide what is said' }).click();
  await expect(home.getByText((await saidNow(page).textContent()) ?? '')).toHaveCount(0);
  await home.getByRole('button', { name: 'Larger words' }).click();
  for (let turn = 0; turn < 2; turn++) await home.getByRole('button', { name: /^Ground:/ }).click();
  await expect(home.getByTestId('follow')).toHaveAttribute('data-theme', 'dark');
  await expectAccessible(home, 'follow, dark');
  // A change of what is left reaches them, and a reload brings it all back.
  await page.keyboard.press('Enter');
  await page.keyboard.press('Space');
  await home.reload();
  await expect(home.getByTestId('follow')).toHaveAttribute('data-mode', 'running');
  await expect.poll(async () => Math.abs((await drawnPlace(home)) - (await drawnPlace(page)))).toBeLessThan(0.1);
  // Stopped: they are told, and the code opens nothing more.
  await page.getByRole('button', { name: 'Shown to others' }).click();
  await page.getByRole('button', { name: 'Stop showing it' }).click();
  await expect(home.getByRole('heading', { name: 'This live class is over.' })).toBeVisible();
  await home.reload();
  await expect(home.getByRole('heading', { name: 'This live class is over' })).toBeVisible();
  await expectAccessible(home, 'a code that is over');
  await context.close();
});

test('a phone moves the class on, and a code that only looks on does not', async ({ page, browser }) => {
  const { codes } = await shared(page);
  await expectAccessible(page, 'showing a class to others');
  await page.keyboard.press('Escape');
  const phone = await device(browser, `/live/${codes.remoteCode}/remote`);
  await phone.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Pause' })).toBeVisible();
  await phone.getByRole('button', { name: 'Next movement' }).click();
  await expect(phone.getByTestId('count')).not.toBeEmpty();
  await phone.getByRole('button', { name: 'Stay here' }).click();
  await expect(phone.getByRole('button', { name: 'Go by the clock' })).toBeVisible();
  const before = await saidNow(page).textContent();
  await phone.getByRole('button', { name: 'Next line' }).click();
  await expect(saidNow(page)).not.toHaveText(before ?? '');
  await phone.getByRole('button', { name: 'Pause' }).click();
  await expect(page.getByText(/^Paused for/)).toBeVisible();
  await expect(phone.getByText('Paused', { exact: true })).toBeVisible();
  await expectAccessible(phone, 'the remote');
  const boxes = await phone.getByRole('main').getByRole('button').all();
  expect(boxes).toHaveLength(5);
  for (const one of boxes) expect((await one.boundingBox())?.height ?? 0).toBeGreaterThan(70);
  const curious = await device(browser, `/live/${codes.code}/remote`);
  await expect(curious.getByRole('heading', { name: 'This code is for watching only' })).toBeVisible();
  await phone.context().close();
  await curious.context().close();
});

test('the prompter goes on without a server, and those who follow are told later', async ({ page, browser }) => {
  const { codes } = await shared(page);
  await page.keyboard.press('Escape');
  await page.keyboard.press('Space');
  const home = await device(browser, `/live/${codes.code}`);
  await expect(home.getByTestId('follow')).toHaveAttribute('data-mode', 'running');
  await page.context().setOffline(true);
  for (let step = 0; step < 3; step++) await page.keyboard.press('PageDown');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Space');
  await page.getByRole('button', { name: 'Shown to others' }).click();
  await expect(page.getByText('The server does not answer. The prompter goes on;')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(home.getByTestId('follow')).toHaveAttribute('data-mode', 'running');
  await page.context().setOffline(false);
  await expect(home.getByTestId('follow')).toHaveAttribute('data-mode', 'held', { timeout: 15_000 });
  await expect(home.getByText((await saidNow(page).textContent()) ?? '')).toBeVisible();
  await home.context().close();
});

test('the prompter is loaded again in mid-class, and those who follow never see it begin anew', async ({
  page,
  browser,
}) => {
  const { codes } = await shared(page);
  await page.keyboard.press('Escape');
  await page.keyboard.press('Space');
  for (let step = 0; step < 3; step++) await page.keyboard.press('PageDown');
  const home = await device(browser, `/live/${codes.code}`);
  await expect(home.getByTestId('follow')).toHaveAttribute('data-mode', 'running');
  // Every state that is drawn from here on.
  await home.getByTestId('follow').evaluate((follow) => {
    const modes: string[] = [];
    Object.assign(window, { modes });
    new MutationObserver(() => modes.push(follow.dataset.mode ?? '')).observe(follow, {
      attributeFilter: ['data-mode'],
    });
  });
  await page.reload();
  // They go on until the class is taken up again, paused where it broke off.
  const resume = page.getByRole('button', { name: /^Resume at \d+:/ });
  await expect(resume).toBeVisible();
  await expect(home.getByTestId('follow')).toHaveAttribute('data-mode', 'running');
  await resume.click();
  await expect(home.getByTestId('follow')).toHaveAttribute('data-mode', 'held');
  await page.getByRole('button', { name: 'Resume' }).click();
  await expect(home.getByTestId('follow')).toHaveAttribute('data-mode', 'running');
  await expect(home.getByText((await saidNow(page).textContent()) ?? '')).toBeVisible();
  expect(await home.evaluate(() => Reflect.get(window, 'modes') as string[])).toEqual(['held', 'running']);
  await home.context().close();
});

test('two prompters do not lead one class, and one may take it over', async ({ page, browser }) => {
  const { id, codes } = await shared(page);
  await page.keyboard.press('Escape');
  const other = await device(browser, `/classes/${id}/perform`, { width: 1280, height: 800 });
  await other.getByRole('button', { name: 'Show to others' }).click();
  await other.getByRole('button', { name: 'Show it' }).click();
  await expect(other.getByText('Another window or device shows this class already.')).toBeVisible();
  await other.getByRole('button', { name: 'Lead it from here' }).click();
  await expect(other.getByText(codes.code.slice(0, 4))).toHaveCount(4);
  await other.keyboard.press('Escape');
  await page.keyboard.press('Space');
  await page.getByRole('button', { name: 'Shown to others' }).click();
  await expect(page.getByText('Another prompter now leads this class.')).toBeVisible();
  await page.reload();
  await other.keyboard.press('Space');
  const home = await device(browser, `/live/${codes.code}`);
  await expect(home.getByTestId('follow')).toHaveAttribute('data-mode', 'running');
  await home.context().close();
  await other.context().close();
});

test('a second screen and an overlay of chosen parts work on any device', async ({ page, browser }) => {
  const { codes } = await shared(page);
  await page.keyboard.press('Escape');
  await page.keyboard.press('Space');
  for (let step = 0; step < 3; step++) await page.keyboard.press('PageDown');
  await page.keyboard.press('ArrowRight');
  const size = { width: 1920, height: 1080 };
  const over = await device(browser, `/live/${codes.code}/stage?see-through`, size);
  await expect(over.getByTestId('breath-column')).toBeAttached();
  await expect(over.getByTestId('count')).toContainText(/round \d+ of \d+/);
  await page.keyboard.press('Space');
  await expect(over.getByTestId('said')).toHaveText((await saidNow(page).textContent()) ?? '');
  expect(await over.evaluate(() => getComputedStyle(document.body).backgroundColor)).toBe('rgba(0, 0, 0, 0)');
  // Within the safe margins of a picture: a twentieth of it on every side.
  for (const part of ['count', 'said', 'breath-column']) {
    const box = await over.getByTestId(part).boundingBox();
    expect(box?.x ?? 0, part).toBeGreaterThanOrEqual(size.width * 0.05 - 1);
    expect((box?.x ?? 0) + (box?.width ?? 0), part).toBeLessThanOrEqual(size.width * 0.95 + 1);
    expect((box?.y ?? 0) + (box?.height ?? 0), part).toBeLessThanOrEqual(size.height * 0.95 + 1);
  }
  await over.goto(`${origin()}/live/${codes.code}/stage?see-through&parts=caption`);
  await expect(over.getByTestId('said')).toBeVisible();
  await expect(over.getByTestId('count')).toHaveCount(0);
  await expect(over.getByTestId('breath-column')).toHaveCount(0);
  await over.goto(`${origin()}/live/${codes.code}/stage`);
  await expect(over.getByTestId('stage')).toHaveAttribute('data-mode', 'held');
  await expectAccessible(over, 'the second screen');
  await over.context().close();
});

test('the page of the prompter opens with the server gone, and the class is performed from it', async ({ page }) => {
  const id = await copyOf('Before the First Ferry');
  const served = await serve(process.env.CALM_DATABASE_URL ?? '');
  await page.goto(`${served.origin}/classes/${id}/perform`);
  await expect(page.getByRole('button', { name: 'Start', exact: true })).toBeVisible();
  const kept = () =>
    page.evaluate(async () => (await (await caches.open('built-files')).keys()).length > 3 && navigator.serviceWorker.controller !== null); // prettier-ignore
  await expect.poll(kept).toBe(true);
  await served.stop();
  await page.reload();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(saidNow(page)).toContainText('Good morning, and welcome to the hall.');
  await page.keyboard.press('ArrowRight');
  await page.waitForTimeout(1_200);
  await page.reload();
  await expect(page.getByRole('button', { name: /^Resume at/ })).toBeVisible();
});
