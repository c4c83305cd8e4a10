import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** WCAG 2.2 AA by axe-core, of a view at rest. With `part`, of that part alone: an open menu half covers what it lies over. */
export async function expectAccessible(page: Page, view: string, part?: string): Promise<void> {
  // At rest: nothing half faded in, and nothing half covered by a heading that sticks while the strip is scrolled.
  await page.evaluate(async () => {
    document.querySelector('main')?.scrollTo(0, 0);
    const finite = document
      .getAnimations()
      .filter((one) => one.playState === 'running' && one.effect?.getComputedTiming().endTime !== Infinity);
    const settled = Promise.all(finite.map((one) => one.finished.catch(() => undefined)));
    await Promise.race([settled, new Promise((done) => setTimeout(done, 800))]);
  });
  const builder = new AxeBuilder({ page });
  const { violations } = await (part === undefined ? builder : builder.include(part))
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'])
    .analyze();
  const told = violations.map(
    (one) =>
      `${one.id}: ${one.help} (${one.nodes.length}) ${one.nodes
        .slice(0, 3)
        .map((node) => node.html.slice(0, 160))
        .join(' | ')}`,
  );
  expect.soft(told, view).toEqual([]);
}
