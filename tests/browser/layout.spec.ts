import { itemAt } from '@/core/units';
import { expect, type Page } from '@playwright/test';
import { expectAccessible } from './accessible';
import { layoutFaults } from '../support/layout';
import { copyOf, openDemoTake, openDemoTakes, openDesk, openLastVersion, origin, runtime, test } from './desk-page';

/* The boxes of every view, at three sizes and at twice the size of type, in both themes: nothing overlaps, is cut off,
   scrolls sideways, or is too small to press. */

const SIZES = [
  { name: 'desk', width: 1280, height: 800 },
  { name: 'tablet', width: 820, height: 1180 },
  { name: 'phone', width: 390, height: 844 },
  // 1280x800 at 200 % (WCAG 2.2, 1.4.4).
  { name: 'desk at 200 %', width: 640, height: 400 },
  { name: 'smallest', width: 360, height: 640 },
] as const;

/** The view as it stands, at every size and in both themes. */
async function expectLaidOut(
  page: Page,
  view: string,
  sizes: readonly (typeof SIZES)[number][] = SIZES,
): Promise<void> {
  const found: string[] = [];
  for (const theme of ['light', 'dark'] as const) {
    await page.emulateMedia({ colorScheme: theme });
    for (const { name, width, height } of sizes) {
      // What is laid out is the same in both; the second theme is looked at where there is least room.
      if (theme === 'dark' && name !== 'phone') continue;
      await page.setViewportSize({ width, height });
      await atRest(page);
      const faults = await page.evaluate(layoutFaults);
      // At the desk's size `access.spec.ts` asks axe-core.
      if (name === 'phone' || name === 'tablet')
        await expectAccessible(page, `${view}, ${name}, ${theme}`, partOf(view));
      found.push(...faults.map((fault) => `${view}, ${name}, ${theme}: ${fault}`));
      const slid = await page.evaluate(() => document.documentElement.scrollHeight - innerHeight);
      if (FILLED.has(view) && slid > 1) found.push(`${view}, ${name}: the page is ${slid} px too tall`);
    }
  }
  await page.setViewportSize({ width: 1280, height: 800 });
  // Every view is told of in one run.
  expect.soft(found).toEqual([]);
}

/** Waits until what the size sets going has come to rest: drawn twice, and no movement that ends is under way. */
async function atRest(page: Page): Promise<void> {
  await page.evaluate(async () => {
    const drawn = (): Promise<unknown> => new Promise((done) => requestAnimationFrame(done));
    await drawn();
    await drawn();
    const ending = document.getAnimations().filter((one) => one.effect?.getComputedTiming().iterations !== Infinity);
    await Promise.race([
      Promise.allSettled(ending.map((one) => one.finished)),
      new Promise((done) => setTimeout(done, 250)),
    ]);
    await drawn();
  });
}

/** An open menu half covers what it lies over. */
function partOf(view: string): string | undefined {
  return view.endsWith('menu') ? '[data-panel]' : undefined;
}

/** Views that fill the window: only what is in them scrolls. */
const FILLED = new Set([
  'desk',
  'desk, a step',
  'desk, checks',
  'lengths',
  'library',
  'library, open',
  'take',
  'prompter',
]);

test('the reading of boxes finds what it looks for', async ({ page }) => {
  await page.goto(`${origin()}/nowhere`);
  await page.setViewportSize({ width: 390, height: 844 });
  expect(await page.evaluate(layoutFaults)).toEqual([]);
  await page.evaluate(() => {
    const add = (tag: string, text: string, top: number, style: Partial<CSSStyleDeclaration> = {}): HTMLElement => {
      const made = document.body.appendChild(document.createElement(tag));
      made.textContent = text;
      Object.assign(made.style, { position: 'absolute', left: '10px', top: `${top}px`, ...style });
      return made;
    };
    add('p', 'one over the other', 300);
    add('p', 'the other under it', 304, { left: '14px' });
    for (const [at, lineHeight] of [0.7, 1.1].entries()) {
      const lines = add('p', '', 700 + 60 * at, { width: '160px', fontSize: '24px', lineHeight: `${lineHeight}` });
      for (const words of [`line by ${lineHeight}`, `next by ${lineHeight}`]) {
        lines.append(
          Object.assign(document.createElement('span'), { textContent: words }),
          document.createElement('br'),
        );
      }
    }
    add('p', 'cut off here', 400, { width: '60px', overflow: 'hidden', whiteSpace: 'nowrap' });
    add('button', 'x', 500, { width: '16px', height: '16px', padding: '0' });
    add('p', 'much wider than the page', 600, { width: '900px' });
    add('p', 'words beside a field', 200, { width: '300px' });
    add('input', '', 196, { left: '90px', width: '120px', height: '30px' });
    add('select', '', 240, { width: '40px', height: '30px' });
    add('button', 'first', 150, { width: '80px', height: '30px' });
    add('button', 'second', 150, { left: '70px', width: '80px', height: '30px' });
  });
  const found = (await page.evaluate(layoutFaults)).join('; ');
  // Two lines of one paragraph overlap when their letters do.
  expect(found).not.toContain('by 1.1');
  for (const fault of [
    'overlap: “one over',
    'overlap: “line by 0.7',
    'cut: “cut off',
    'small: button',
    'scrolls sideways',
    'over input',
    'no room: select',
    'over each other: button “first” and button “second”',
  ]) {
    expect(found).toContain(fault);
  }
});

test('lists and forms', async ({ page }) => {
  test.setTimeout(480_000);
  await page.goto(origin());
  await expect(page.locator('[data-class-link]').first()).toBeVisible();
  await expectLaidOut(page, 'classes');
  await page.getByRole('button', { name: 'More for Evening Ebb', exact: true }).click();
  await expectLaidOut(page, 'classes, menu');
  await page.getByRole('button', { name: 'Tags and live dates…' }).click();
  await expect(page.getByRole('textbox', { name: /^Tags/ })).toBeEnabled();
  await expectLaidOut(page, 'tags and dates');
  for (const way of ['template', 'nothing', 'class', 'script', 'file']) {
    await page.goto(`${origin()}/new#${way}`);
    await page.reload();
    await expect(page.getByRole('heading', { name: 'New class' })).toBeVisible();
    if (way === 'script') await page.getByRole('button', { name: 'Use an example' }).click();
    await expectLaidOut(page, `new class, ${way}`);
  }
  for (const [path, heading] of [
    ['voice', 'My voice'],
    ['terms', 'Spelling'],
    ['bin', 'Bin'],
    ['nowhere', 'Nothing here'],
  ] as const) {
    await page.goto(`${origin()}/${path}`);
    await expect(page.getByRole('heading', { name: heading })).toBeAttached();
    await expectLaidOut(page, path);
  }
  await page.goto(`${origin()}/library`);
  await expect(page.getByRole('button', { name: /^Heron on the piling/ })).toBeVisible();
  await expectLaidOut(page, 'library');
  await page.getByRole('button', { name: /^Heron on the piling/ }).click();
  await expect(page.getByRole('complementary', { name: /^Movement: / })).toBeVisible();
  await expectLaidOut(page, 'library, open');
});

test('the desk and what opens from it', async ({ page }) => {
  test.setTimeout(480_000);
  // Lines that are longer than their time, and a class off its target.
  await openDesk(page, await copyOf('Storm Day Indoors'));
  await page.keyboard.press('c');
  await expectLaidOut(page, 'desk, checks');
  await openDesk(page, await copyOf('Before the First Ferry'));
  await expectLaidOut(page, 'desk');
  await page.getByRole('navigation').getByRole('button', { name: 'Turning the lighthouse', exact: true }).click();
  await expectLaidOut(page, 'desk, a step');
  await page.keyboard.press('e');
  await expectLaidOut(page, 'desk, fields');
  await page.keyboard.press('Escape');
  await page.keyboard.press('c');
  await expectLaidOut(page, 'desk, checks');
  await page.keyboard.press('c');
  await page.keyboard.press('f');
  await expect(page.getByRole('dialog')).toContainText('10:00');
  await expectLaidOut(page, 'fit');
  await page.keyboard.press('Escape');
  await page.keyboard.press('l');
  await expect(page.getByRole('button', { name: 'Prompter', exact: true }).last()).toBeEnabled();
  await expectLaidOut(page, 'lengths');
  await page.keyboard.press('l');
  await page.getByRole('button', { name: 'Publish' }).click();
  await expectLaidOut(page, 'publish');
  await page.keyboard.press('Escape');
  await page.keyboard.press('?');
  await expectLaidOut(page, 'keys');
  await page.keyboard.press('Escape');
  await page.keyboard.press('g');
  await expect(page.getByTestId('prompter')).toBeVisible();
  await expectLaidOut(page, 'prompter');
  await page.keyboard.press('Space');
  for (let times = 0; times < 5; times++) await page.keyboard.press('PageDown');
  await expectLaidOut(page, 'prompter');
  // What is pressed while performing is larger (44 px).
  await page.setViewportSize({ width: 390, height: 844 });
  const small = await page
    .getByRole('group', { name: 'Performing' })
    .getByRole('button')
    .evaluateAll((buttons) => buttons.filter((one) => Math.min(one.clientWidth, one.clientHeight) < 44).length);
  expect(small).toBe(0);
});

test('takes, history, preview and print', async ({ page }) => {
  test.setTimeout(480_000);
  await openDemoTakes(page);
  await expectLaidOut(page, 'takes');
  await openDemoTake(page);
  await expectLaidOut(page, 'take');
  for (const view of ['Report', 'Cuts', 'Use this take']) {
    await page.getByRole('button', { name: view, exact: true }).click();
    if (view === 'Use this take') await expect(page.getByRole('region', { name: 'Proposed changes' })).toBeVisible();
    await expectLaidOut(page, `take, ${view}`);
  }
  const desk = itemAt(page.url().split('/takes'), 0);
  await page.goto(`${desk}/history`);
  await openLastVersion(page);
  await expectLaidOut(page, 'history');
  await page.goto(`${desk}/preview`);
  await expect(page.getByRole('button', { name: 'Play', exact: true })).toBeVisible();
  await expectLaidOut(page, 'preview');
  await page.goto(`${desk}/script`);
  await expect(page.getByRole('button', { name: 'Print' })).toBeVisible();
  await expectLaidOut(page, 'script');
  await page.getByRole('button', { name: 'Camera card' }).click();
  await expectLaidOut(page, 'camera card');
  await page.goto(desk);
  await expect(runtime(page)).toBeVisible();
});
