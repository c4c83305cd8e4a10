import { chromium, type Page } from '@playwright/test';
import { CHROMIUM_WITH_DEVICES } from '../support/chromium';

/** A page of a browser of its own, with its own devices. */
export async function inBrowser(args: readonly string[], work: (page: Page) => Promise<void>): Promise<void> {
  const browser = await chromium.launch({
    executablePath: CHROMIUM_WITH_DEVICES,
    args: ['--no-sandbox', '--disable-gpu', ...args],
  });
  try {
    await work(await (await browser.newContext()).newPage());
  } finally {
    await browser.close();
  }
}
