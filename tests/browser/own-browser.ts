import { chromium, type Page } from '@playwright/test';

/** A page of a browser of its own, with its own devices. */
export async function inBrowser(args: readonly string[], work: (page: Page) => Promise<void>): Promise<void> {
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', ...args],
  });
  try {
    await work(await (await browser.newContext()).newPage());
  } finally {
    await browser.close();
  }
}
