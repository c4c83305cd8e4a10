import { chromium, type Browser } from '@playwright/test';
import { withApplication } from './application';
import { ms, spread } from './measure';
import { wordyHour } from './wordy-hour';

/** Views are opened so often, each in a browser context of its own: nothing is in its cache. */
const RUNS = 7;
/** Tasks longer than this are counted, as browsers do (W3C Long Tasks: 50 ms). */
const LONG_MILLISECONDS = 50;

interface Seen {
  /** From the request to what can be used. */
  readonly usable: number;
  readonly longest: number;
  /** What long tasks took beyond 50 ms each. */
  readonly blocked: number;
}

declare global {
  interface Window {
    longTasks: number[];
    usable: number | null;
  }
}

/**
 * How soon a view can be used, and its longest task, in Chromium on this machine: from the request to the sign that it
 * is there, and the long tasks until a second after it. Uses `withApplication`.
 */
export async function measureFirstViews(): Promise<void> {
  await withApplication(async (url) => {
    const browser = await chromium.launch({
      executablePath: '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
    });
    const request = (await browser.newContext()).request;
    const { classes } = (await (await request.get(`${url}/api/classes`)).json()) as {
      classes: { id: string; title: string }[];
    };
    const idOf = (title: string): string => classes.find((one) => one.title === title)?.id ?? '';
    const made = await request.post(`${url}/api/classes`, {
      data: { from: 'plan', plan: wordyHour() },
      headers: { origin: url },
    });
    const { id: wordy } = (await made.json()) as { id: string };
    try {
      const desk = 'article';
      await measure(browser, 'the list of classes', `${url}/`, '[data-class-link]');
      await measure(browser, 'the desk, ten minutes', `${url}/classes/${idOf('Before the First Ferry')}`, desk);
      await measure(browser, 'the desk, an hour', `${url}/classes/${idOf('Thursday Live')}`, desk);
      await measure(browser, 'the desk, an hour with 1 500 lines', `${url}/classes/${wordy}`, desk);
    } finally {
      await request.delete(`${url}/api/classes/${wordy}`, { headers: { origin: url } });
      await browser.close();
    }
  });
}

async function measure(browser: Browser, name: string, url: string, sign: string): Promise<void> {
  const seen: Seen[] = [];
  for (let run = 0; run < RUNS; run++) seen.push(await open(browser, url, sign));
  const usable = spread(seen.map((one) => one.usable));
  const longest = spread(seen.map((one) => one.longest));
  const blocked = spread(seen.map((one) => one.blocked));
  console.log(
    `${name}: usable after ${ms(usable.median)} (at most ${ms(usable.p95)}), longest task ${ms(longest.median)} (at most ${ms(longest.p95)}), blocked ${ms(blocked.median)}`,
  );
}

async function open(browser: Browser, url: string, sign: string): Promise<Seen> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  await page.addInitScript((wanted) => {
    window.longTasks = [];
    window.usable = null;
    // By the page's own clock, which starts with the request: a driver's questions would be measured too.
    new MutationObserver((_, observer) => {
      if (document.querySelector(wanted) === null) return;
      window.usable = performance.now();
      observer.disconnect();
    }).observe(document, { childList: true, subtree: true });
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) window.longTasks.push(entry.duration);
    }).observe({ type: 'longtask', buffered: true });
  }, sign);
  await page.goto(url);
  await page.waitForFunction(() => window.usable !== null);
  await page.waitForTimeout(1_000);
  const { tasks, usable } = await page.evaluate(() => ({ tasks: window.longTasks, usable: window.usable ?? Infinity }));
  await context.close();
  return {
    usable,
    longest: Math.max(0, ...tasks),
    blocked: tasks.reduce((sum, one) => sum + one - LONG_MILLISECONDS, 0),
  };
}
