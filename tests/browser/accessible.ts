import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

const RULES = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];

/** What axe-core holds against a view at rest by WCAG 2.2 AA, each in words. With `part`, of that part alone: an open menu half covers what it lies over. */
export async function complaintsOf(page: Page, part?: string): Promise<string[]> {
  // At rest: nothing half faded in, and nothing half covered by a heading that sticks while the strip is scrolled.
  await page.evaluate(async () => {
    document.querySelector('main')?.scrollTo(0, 0);
    const finite = document
      .getAnimations()
      .filter((one) => one.playState === 'running' && one.effect?.getComputedTiming().endTime !== Infinity);
    const settled = Promise.all(finite.map((one) => one.finished.catch(() => undefined)));
    await Promise.race([settled, new Promise((done) => setTimeout(done, 800))]);
  });
  // Only what is wrong is wanted, in the page itself: carrying all that is right to a page of its own took six times as
  // long.
  const builder = new AxeBuilder({ page }).options({ resultTypes: ['violations'], runOnly: RULES }).setLegacyMode();
  const { violations } = await (part === undefined ? builder : builder.include(part)).analyze();
  return violations.map(
    (one) =>
      `${one.id}: ${one.help} (${one.nodes.length}) ${one.nodes
        .slice(0, 3)
        .map((node) => node.html.slice(0, 160))
        .join(' | ')}`,
  );
}

/** Nothing is held against a view, or a part of it. */
export async function expectAccessible(page: Page, view: string, part?: string): Promise<void> {
  expect.soft(await complaintsOf(page, part), view).toEqual([]);
}
