import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test as base, type Browser, type Page } from '@playwright/test';
import type { ClassesPage, ClassResponse } from '@/api/classes';
import type { LiveCodes } from '@/api/live';
import type { ClassPlan } from '@/core/plan';
import { seedDemo } from '@/demo/seed';
import { freshDatabase, serve } from '../support/application';

/** Where the application under test is. */
export function origin(): string {
  const found = process.env.CALM_ORIGIN;
  if (!found) throw new Error('CALM_ORIGIN is not set: run the tests with ./test');
  return found;
}

/**
 * Every worker has the build served on a seeded database of its own, so that no two tests at work see each other's.
 * Every test fails when the page throws, or when the policy or anything else writes an error to the console.
 */
export const test = base.extend<{ complaints: string[] }, { application: undefined }>({
  application: [
    async ({}, use, { workerIndex }) => {
      const database = await freshDatabase(`calm_browser_${workerIndex}`);
      await seedDemo(database.db);
      const served = await serve(database.url);
      process.env.CALM_ORIGIN = served.origin;
      process.env.CALM_DATABASE_URL = database.url;
      await use(undefined);
      await served.stop();
      await database.drop();
    },
    { scope: 'worker', auto: true, timeout: 120_000 },
  ],
  complaints: [
    async ({ page }, use) => {
      const complaints: string[] = [];
      page.on('pageerror', (error) => complaints.push(`page error: ${error.message}`));
      page.on('console', (message) => {
        // A refused or unanswered request is written by the browser itself; tests that cause one look at the page.
        if (message.type() === 'error' && !message.text().startsWith('Failed to load resource'))
          complaints.push(message.text());
      });
      await use(complaints);
      expect(complaints).toEqual([]);
    },
    { auto: true },
  ],
});

async function api<Value>(method: string, path: string, body?: unknown, at = origin()): Promise<Value> {
  const response = await fetch(`${at}${path}`, {
    method,
    headers: { 'content-type': 'application/json', origin: at },
    body: body === undefined ? undefined : JSON.stringify(body),
  });
  if (!response.ok) throw new Error(`${method} ${path}: ${response.status} ${await response.text()}`);
  return (await response.json()) as Value;
}

/** A class of the demo, by its title; its id. */
export async function classOf(title: string, at = origin()): Promise<string> {
  const { classes } = await api<ClassesPage>('GET', '/api/classes', undefined, at);
  const entry = classes.find((one) => one.title === title);
  if (!entry) throw new Error(`no class ${title}`);
  return entry.id;
}

/** A copy of a demo class for one test alone; its id. */
export async function copyOf(title: string, at = origin()): Promise<string> {
  const classId = await classOf(title, at);
  const body = { from: 'class', classId, title: `${title}, copy` };
  return (await api<ClassResponse>('POST', '/api/classes', body, at)).id;
}

/** Shows the class of the prompter that is open to others; its codes. */
export async function showToOthers(page: Page, id: string): Promise<LiveCodes> {
  await page.getByRole('button', { name: 'Show to others' }).click();
  await page.getByRole('button', { name: 'Show it' }).click();
  await expect(page.getByText('The class is shown.')).toBeVisible();
  const kept = await page.evaluate((of) => sessionStorage.getItem(`live/${of}`), id);
  return (JSON.parse(kept ?? '{}') as { codes: LiveCodes }).codes;
}

/** A page of another device. */
export async function device(browser: Browser, path: string, viewport = { width: 390, height: 844 }): Promise<Page> {
  const page = await (await browser.newContext({ viewport })).newPage();
  await page.goto(`${origin()}${path}`);
  return page;
}

export async function storedClass(id: string, at = origin()): Promise<ClassResponse> {
  return api('GET', `/api/classes/${id}`, undefined, at);
}

export async function saveBehind(id: string, change: (plan: ClassPlan) => ClassPlan): Promise<void> {
  const { revision, plan } = await storedClass(id);
  await api('PUT', `/api/classes/${id}`, { baseRevision: revision, plan: change(plan) });
}

export async function openDesk(page: Page, id: string, at = origin()): Promise<void> {
  await page.goto(`${at}/classes/${id}`);
  await expect(page.getByRole('region', { name: 'Runtime' })).toBeVisible();
}

/** The mark that everything is on the server. */
/** From the list to the takes of the demo class that has some. */
export async function openDemoTakes(page: Page): Promise<void> {
  await page.goto(origin());
  await page.getByRole('link', { name: /^Takes of Before the First Ferry: / }).click();
  await expect(page.getByRole('heading', { name: 'Add a take' })).toBeVisible();
}

/** From its takes to one of them, with a line of it open that was skipped. */
export async function openDemoTake(page: Page): Promise<void> {
  await page.getByRole('link', { name: 'Monday, before the ferry' }).click();
  await expect(page.getByLabel('Figures of the take')).toBeVisible();
  await page
    .getByRole('button', { name: /skipped$/ })
    .first()
    .click();
}

/** The newest version in the history of a class. */
export async function openLastVersion(page: Page): Promise<void> {
  await page
    .getByRole('button', { name: /^Open the version/ })
    .first()
    .click();
  await expect(page.getByRole('complementary', { name: 'Saved version' })).toContainText('saved ');
}

export async function expectSaved(page: Page): Promise<void> {
  await expect(page.getByRole('banner').getByRole('status')).toHaveText('Saved');
}

export function runtime(page: Page): ReturnType<Page['getByRole']> {
  return page.getByRole('region', { name: 'Runtime' });
}

/** A folder for what the tests of a file make: there before they run and gone after, each time a worker comes to them. */
export function ownFolder(): string {
  const folder = mkdtempSync(join(tmpdir(), 'calm-browser-'));
  test.beforeAll(() => void mkdirSync(folder, { recursive: true }));
  test.afterAll(() => rmSync(folder, { recursive: true, force: true }));
  return folder;
}
