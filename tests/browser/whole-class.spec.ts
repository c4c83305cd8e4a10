import { expect } from '@playwright/test';
import { copyOf, origin, storedClass, test } from './desk-page';

/*
 * A live class of an hour from end to end, on a clock that is wound on: the instructor is 6 % slow, is called to the
 * door for three minutes, and the computer sleeps for two. The class lands all the same, and its log is a take.
 */

const SLOW = 1.06;
const DOOR = { afterLines: 60, seconds: 180 };
const ASLEEP = { afterLines: 120, seconds: 120 };
/** Without a change it would end so much later than it should, at least. */
const LATE = 200;
const LANDS_WITHIN = 12;

test('Thursday Live is performed from end to end, late on purpose, lands, and its log is a take', async ({ page }) => {
  test.setTimeout(400_000);
  const id = await copyOf('Thursday Live');
  const { plan } = await storedClass(id);
  await page.clock.install();
  await page.addInitScript(() =>
    localStorage.setItem('prompter-settings', JSON.stringify({ landsByItself: true, moves: 'hand' })),
  );
  await page.goto(`${origin()}/classes/${id}/perform`);
  await expect(page.getByRole('button', { name: 'Start', exact: true })).toBeVisible();
  await page.keyboard.press('Space');
  const next = page.getByTestId('line-next');
  // Of a longer step than a minute the page would take the computer to have been asleep.
  const pass = async (seconds: number): Promise<void> => {
    for (let left = seconds; left > 0; left -= 60) await page.clock.fastForward(Math.round(1000 * Math.min(60, left)));
  };
  await expect(next).toContainText(/^in \d+ s /);
  for (let lines = 0; lines < 2_000; lines++) {
    // What is shown is of a moment ago until the page was drawn again.
    await page.clock.runFor(200);
    const due = /^in (\d+) s /.exec((await next.textContent()) ?? '');
    if (!due) break;
    if (lines === DOOR.afterLines) await pass(DOOR.seconds);
    if (lines === ASLEEP.afterLines) {
      await page.clock.fastForward(1000 * ASLEEP.seconds);
      await page.clock.runFor(200);
      await expect(page.getByText(/^The computer slept for/)).toBeVisible();
      await page.keyboard.press('Space');
    }
    await pass(Math.max(0, SLOW * Number(due[1]) - 0.5));
    await page.keyboard.press('ArrowRight');
  }
  for (let second = 0; second < 600 && !(await page.getByText('The class has ended.').isVisible()); second++)
    await pass(1);
  await expect(page.getByText('The class has ended.')).toBeVisible();
  const log = await page.evaluate((of) => {
    const [, run = '{}'] = Object.entries(localStorage).find(([key]) => key.startsWith(`performance/${of}/`)) ?? [];
    return (JSON.parse(String(run)) as { log: { events: { event: string; atSeconds: number }[] } }).log.events;
  }, id);
  const changes = log.filter(({ event }) => event === 'adapt');
  expect(changes.length).toBeGreaterThanOrEqual(1);
  const slowness = (SLOW - 1) * plan.targetSeconds + DOOR.seconds + ASLEEP.seconds;
  expect(slowness).toBeGreaterThan(LATE);
  const off = (log.at(-1)?.atSeconds ?? 0) - plan.targetSeconds;
  expect(Math.abs(off), `it ended ${off.toFixed(1)} s off, ${changes.length} changes`).toBeLessThan(LANDS_WITHIN);
  await page.goto(`${origin()}/classes/${id}/takes`);
  await page.getByRole('list', { name: 'Performed in this browser' }).getByRole('button').first().click();
  // Each step as it was planned, changed on the way, and performed; together they are as long as it took.
  await page.getByText('Planned, changed and performed, step by step').click();
  const rows = page.getByRole('table').getByRole('row');
  await expect(rows.first()).toHaveText(/Step.*Planned.*Changed.*Performed/);
  const lasts = (text: string): number => {
    const [, hours = '0', minutes = '0', seconds = '0'] = /^(?:(\d+):)?(\d+):(\d+)/.exec(text) ?? [];
    return 3600 * Number(hours) + 60 * Number(minutes) + Number(seconds);
  };
  const performed = await rows.locator('td:nth-of-type(3)').allTextContents();
  const whole = performed.reduce((total, text) => total + lasts(text), 0);
  expect(Math.abs(whole - (log.at(-1)?.atSeconds ?? 0))).toBeLessThan(performed.length);
  await page.getByRole('button', { name: 'Analyse the take' }).click();
  await expect(page.getByLabel('Figures of the take')).toBeVisible({ timeout: 90_000 });
  // The same is kept with the take, for any browser.
  await page.evaluate(() => localStorage.clear());
  await page.reload();
  await page
    .getByRole('group', { name: 'View of the take' })
    .getByRole('button', { name: 'Report', exact: true })
    .click();
  await page.getByText('Planned, changed and performed, step by step').click();
  const kept = page.getByRole('region', { name: 'Steps by the log' }).getByRole('row').locator('td:nth-of-type(3)');
  expect(await kept.allTextContents()).toEqual(performed);
});
