import { itemAt } from '@/core/units';
import { chromium, type Page } from '@playwright/test';
import { withApplication } from './application';
import { ms, spread } from './measure';
import { scriptTimeOf } from './script-time';
import { wordyHour } from './wordy-hour';

/**
 * An edit on an hour's class in Chromium: script time from the key press to the end of its task, by the browser's own
 * performance counters. Uses `withApplication`.
 */
export async function measureReplan(): Promise<void> {
  await withApplication(async (url) => {
    const browser = await chromium.launch({
      executablePath: '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
    });
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(url);
    await page.getByRole('link', { name: 'Thursday Live', exact: true }).click();
    await page.getByRole('navigation').getByRole('button', { name: 'Raising the lamp', exact: true }).first().click();
    await page.route('**/api/classes/*', (route) => route.abort());
    const scriptTime = await scriptTimeOf(page);
    const times: number[] = [];
    for (let press = 0; press < 40; press++) {
      const before = await scriptTime();
      await page.keyboard.press(press % 2 ? '-' : '+');
      await page.waitForTimeout(60);
      times.push((await scriptTime()) - before);
    }
    times.splice(0, 5);
    times.sort((a, b) => a - b);
    console.log(
      `an edit's replan on an hour's class in the browser, script of the whole press: median ${itemAt(times, 17).toFixed(1)} ms, 95th percentile ${itemAt(times, 33).toFixed(1)} ms`,
    );
    await measureTyping(page, url, scriptTime);
    await browser.close();
  });
}

/** Letters typed into a line of an hour with 1 500 lines whose words are kept fitted, its checks run after each. */
async function measureTyping(page: Page, url: string, scriptTime: () => Promise<number>): Promise<void> {
  const plan = { ...wordyHour(), keepWordsFitted: true };
  const made = await page.request.post(`${url}/api/classes`, {
    data: { from: 'plan', plan },
    headers: { origin: url },
  });
  if (!made.ok()) throw new Error(`the class was not made: ${made.status()} ${await made.text()}`);
  const { id } = (await made.json()) as { id: string };
  try {
    await page.goto(`${url}/classes/${id}#checks`);
    await page.getByRole('navigation').getByRole('button', { name: 'Movement 3', exact: true }).first().click();
    await page
      .getByRole('article', { name: 'Movement 3', exact: true })
      .locator('[aria-expanded=false]')
      .first()
      .click();
    await page.getByRole('button', { name: 'In, and the arms rise.', exact: true }).first().click();
    const times: number[] = [];
    for (const letter of ' and they rise like water up the wall'.repeat(2)) {
      const before = await scriptTime();
      await page.keyboard.type(letter);
      await page.waitForTimeout(80);
      times.push((await scriptTime()) - before);
    }
    const { median, p95 } = spread(times.slice(5));
    console.log(
      `a letter typed into a line of an hour with 1 500 lines, in the browser, words fitted and checks run: median ${ms(median)}, 95th percentile ${ms(p95)}`,
    );
  } finally {
    await page.request.delete(`${url}/api/classes/${id}`, { headers: { origin: url } });
  }
}
