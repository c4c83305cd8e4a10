import { expect, type Browser, type BrowserContext, type Page } from '@playwright/test';
import { Client } from 'pg';
import type { Random } from '@/core/units';
import { serve, shutDatabase, type Served } from './application';

/*
 * Trials: somebody types while something breaks. Afterwards every value that was acknowledged is in the history of the
 * class, and the last value of every field is in the class, or was where the page offered it.
 */

/** What breaks in a round. */
export const DISASTERS = [
  'server killed',
  'server killed while typing',
  'database away',
  'network gone',
  'tab closed after a key',
  'page crashed after a key',
  'two tabs',
  'answer lost',
  'deploy while typing',
  'page loaded again',
] as const;
export type Disaster = (typeof DISASTERS)[number];

/** A server that can be killed and started again under its old address. */
export class Ground {
  #served: Served | null = null;

  constructor(
    readonly databaseUrl: string,
    readonly browser: Browser,
  ) {}

  get origin(): string {
    if (!this.#served) throw new Error('Ground: nothing is served');
    return this.#served.origin;
  }

  async start(): Promise<void> {
    const port = this.#served ? Number(new URL(this.#served.origin).port) : undefined;
    this.#served = await serve(this.databaseUrl, port);
  }

  async kill(signal: 'SIGKILL' | 'SIGTERM'): Promise<void> {
    const dying = this.#served?.process;
    if (!dying || dying.exitCode !== null || dying.signalCode !== null) return;
    const ended = new Promise((done) => dying.once('exit', done));
    dying.kill(signal);
    await ended;
  }

  async api<Value>(method: string, path: string, body?: unknown): Promise<Value> {
    const headers = { 'content-type': 'application/json', origin: this.origin };
    const text = body === undefined ? undefined : JSON.stringify(body);
    const answer = await fetch(`${this.origin}${path}`, { method, headers, body: text });
    if (!answer.ok) throw new Error(`${method} ${path}: ${answer.status}`);
    return (await answer.json()) as Value;
  }
}

const FIELDS = ['Title', 'Focus', 'For whom'] as const;
type Field = (typeof FIELDS)[number];
const KEYS: Readonly<Record<Field, string>> = { Title: 'title', Focus: 'focus', 'For whom': 'audience' };

/** What somebody typed in a round: the last of each field, and what they were told is saved. */
class Typist {
  readonly last = new Map<Field, string>();
  readonly acknowledged: (readonly [Field, string])[] = [];
  #count = 0;

  constructor(
    private readonly chance: Random,
    private readonly seed: number,
  ) {}

  /** Types a value that was never typed before, whole or letter by letter. */
  async type(page: Page, field: Field = this.chance.pick(FIELDS)): Promise<void> {
    const value = `round ${this.seed} word ${++this.#count}`;
    const input = page.getByLabel(field, { exact: true });
    if (this.chance.next() < 0.5) await input.fill(value);
    else {
      await input.fill(value.slice(0, -3));
      await input.press('End');
      await input.pressSequentially(value.slice(-3));
    }
    this.last.set(field, value);
  }

  /** Waits until the page says that all is saved. */
  async told(page: Page): Promise<void> {
    await expect(saving(page)).toHaveText('Saved', { timeout: 30_000 });
    for (const [field, value] of this.last) this.acknowledged.push([field, value]);
  }
}

const saving = (page: Page): ReturnType<Page['getByRole']> => page.getByRole('banner').getByRole('status');

async function openDesk(context: BrowserContext, origin: string, id: string): Promise<Page> {
  const page = await context.newPage();
  await page.goto(`${origin}/classes/${id}`);
  await expect(page.getByRole('region', { name: 'Runtime' })).toBeVisible();
  return page;
}

/** Breaks it, with typing before, meanwhile and after; the page to go on with, or `null` where it is gone. */
async function breakIt(
  ground: Ground,
  disaster: Disaster,
  page: Page,
  typist: Typist,
  id: string,
): Promise<Page | null> {
  const context = page.context();
  switch (disaster) {
    case 'server killed':
      await ground.kill('SIGKILL');
      await typist.type(page);
      await ground.start();
      return page;
    case 'server killed while typing':
      await Promise.all([typist.type(page, 'Focus'), ground.kill('SIGKILL')]);
      await typist.type(page, 'Title');
      await ground.start();
      return page;
    case 'deploy while typing':
      await Promise.all([typist.type(page, 'Focus'), ground.kill('SIGTERM').then(() => ground.start())]);
      await typist.type(page, 'Title');
      return page;
    case 'database away':
      await shutDatabase(ground.databaseUrl, true);
      await typist.type(page);
      await page.waitForTimeout(700);
      await shutDatabase(ground.databaseUrl, false);
      return page;
    case 'network gone':
      await context.setOffline(true);
      await typist.type(page);
      await page.waitForTimeout(700);
      await context.setOffline(false);
      return page;
    case 'answer lost': {
      let lost = 1;
      await page.route('**/api/classes/*', async (route) => {
        if (route.request().method() !== 'PUT' || lost-- <= 0) return route.fallback();
        await route.fetch().catch(() => undefined);
        return route.abort();
      });
      await typist.type(page);
      await page.waitForTimeout(800);
      await typist.type(page);
      return page;
    }
    case 'two tabs': {
      const { revision, plan } = await ground.api<{ revision: number; plan: object }>('GET', `/api/classes/${id}`);
      await ground.api('PUT', `/api/classes/${id}`, { baseRevision: revision, plan: { ...plan, silenceShare: 0.25 } });
      await typist.type(page);
      const dialog = page.getByRole('dialog', { name: 'Changed in two places' });
      await dialog.getByRole('button', { name: 'Keep mine' }).click();
      return page;
    }
    case 'page loaded again':
      await typist.type(page);
      await page.reload();
      return page;
    case 'tab closed after a key':
      await typist.type(page);
      await page.close();
      return null;
    case 'page crashed after a key':
      await typist.type(page);
      await page.goto('chrome://crash').catch(() => undefined);
      await page.close();
      return null;
  }
}

/** One round; says what was lost by failing. */
export async function round(ground: Ground, seed: number, disaster: Disaster, chance: Random): Promise<void> {
  const context = await ground.browser.newContext();
  try {
    const title = `Trial ${seed}`;
    const { id } = await ground.api<{ id: string }>('POST', '/api/classes', { from: 'nothing', title });
    const typist = new Typist(chance, seed);
    const first = await openDesk(context, ground.origin, id);
    await typist.type(first);
    if (chance.next() < 0.5) await typist.told(first);
    const left = await breakIt(ground, disaster, first, typist, id);
    const page = left ?? (await openDesk(context, ground.origin, id));
    if (left && chance.next() < 0.5) await typist.type(page);
    await typist.told(page);
    const { plan } = await ground.api<{ plan: Record<string, unknown> }>('GET', `/api/classes/${id}`);
    for (const [field, value] of typist.last) {
      expect(plan[KEYS[field]], `seed ${seed}, ${disaster}: the last of ${field}`).toBe(value);
    }
    await everyAcknowledged(ground, id, typist, `seed ${seed}, ${disaster}`);
  } finally {
    await context.close();
  }
}

async function everyAcknowledged(ground: Ground, id: string, typist: Typist, name: string): Promise<void> {
  const client = new Client({ connectionString: ground.databaseUrl });
  await client.connect();
  try {
    const { rows } = await client.query<{ plan: Record<string, unknown> }>(
      'select plan from class_revisions where class_id = $1',
      [id],
    );
    for (const [field, value] of typist.acknowledged) {
      const kept = rows.some(({ plan }) => plan[KEYS[field]] === value);
      expect(kept, `${name}: ${field} “${value}” was said to be saved`).toBe(true);
    }
  } finally {
    await client.end();
  }
}
