import type { Page } from '@playwright/test';

/** Asks a page for the script time it has used so far, in milliseconds, by the browser's own counters. */
export async function scriptTimeOf(page: Page): Promise<() => Promise<number>> {
  const session = await page.context().newCDPSession(page);
  await session.send('Performance.enable');
  return async () => {
    const { metrics } = await session.send('Performance.getMetrics');
    return 1000 * (metrics.find((metric) => metric.name === 'ScriptDuration')?.value ?? 0);
  };
}
