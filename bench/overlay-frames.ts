import { chromium, type Page } from '@playwright/test';
import { withApplication } from './application';
import { ms, spread } from './measure';

/*
 * Pictures a second of the overlay, in Chromium without a graphics card, against an empty page of the same size in the
 * same run: the times between pictures that the page was asked for, and the browser's own entries of pictures that took
 * longer than 50 ms to make (`long-animation-frame`).
 */

const SECONDS = 20;

interface Pictures {
  readonly gaps: readonly number[];
  readonly long: number;
}

function picturesOf(page: Page): Promise<Pictures> {
  return page.evaluate(
    (seconds) =>
      new Promise<Pictures>((done) => {
        const gaps: number[] = [];
        let long = 0;
        const watch = new PerformanceObserver((list) => (long += list.getEntries().length));
        watch.observe({ type: 'long-animation-frame', buffered: false });
        let before = performance.now();
        const until = before + 1_000 * seconds;
        const next = (): void => {
          const now = performance.now();
          gaps.push(now - before);
          before = now;
          if (now < until) requestAnimationFrame(next);
          else {
            watch.disconnect();
            done({ gaps, long });
          }
        };
        requestAnimationFrame(next);
      }),
    SECONDS,
  );
}

function told(name: string, { gaps, long }: Pictures): void {
  const { median, p95 } = spread(gaps);
  const late = gaps.filter((gap) => gap > 25).length;
  console.log(
    `${name}: ${(gaps.length / SECONDS).toFixed(1)} pictures a second, between two median ${ms(median)}, 95th percentile ${ms(p95)}; ${late} of ${gaps.length} later than 25 ms, ${long} took over 50 ms to make`,
  );
}

await withApplication(async (url) => {
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
  const context = await browser.newContext({ viewport: { width: 1920, height: 1080 } });
  // What the compiler of this script puts around a function's name is unknown to a page.
  await context.addInitScript('globalThis.__name = (made) => made');
  const prompter = await context.newPage();
  await prompter.goto(url);
  const href = (await prompter.getByRole('link', { name: 'Evening Ebb', exact: true }).getAttribute('href')) ?? '';
  await prompter.goto(`${url}${href}/perform`);
  await prompter.getByRole('button', { name: 'Start', exact: true }).click();
  for (let step = 0; step < 4; step++) await prompter.keyboard.press('PageDown');
  const overlay = await context.newPage();
  await overlay.goto('about:blank');
  told('an empty page', await picturesOf(overlay));
  await overlay.goto(`${url}${href}/stage?see-through`);
  await overlay.getByTestId('stage').waitFor();
  told('the overlay of a class that runs, no graphics card', await picturesOf(overlay));
  await overlay.goto('about:blank');
  told('an empty page again', await picturesOf(overlay));
  await browser.close();
});
