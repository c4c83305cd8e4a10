import { expect, type Browser, type BrowserContext, type Locator, type Page } from '@playwright/test';
import { Client, type QueryResultRow } from 'pg';
import { makeContent, makeLibraryMovement } from '@/core/movement';
import { itemAt, type Random } from '@/core/units';
import { serve, shutDatabase, type Served } from './application';

/*
 * Trials: somebody types while something breaks, in a class, a movement of the library or a take. Afterwards the last
 * value of every field is in the document, and every value that was acknowledged is in the history of a class.
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

/** What is worked on in a trial: one of the documents that save themselves. */
export interface Subject {
  readonly name: 'class' | 'movement' | 'take';
  /** What can be typed, and how often a value is also typed letter by letter. */
  readonly fields: readonly string[];
  readonly byLetters: number;
  /** A document for a round, by its id. */
  readonly make: (ground: Ground, seed: number) => Promise<string>;
  readonly path: (id: string) => string;
  readonly ready: (page: Page) => Promise<void>;
  readonly input: (page: Page, field: string) => Locator;
  /** What has to be pressed after typing; none where typing is enough. */
  readonly press: string | null;
  /** A value that was never typed before. */
  readonly value: (seed: number, count: number) => string;
  readonly saved: (page: Page) => Promise<void>;
  /** Where its saves go. */
  readonly route: string;
  /** The values on the server, by field. */
  readonly stored: (ground: Ground, id: string) => Promise<Readonly<Record<string, unknown>>>;
  /** Every version that was ever saved; `null` where only the last is kept. */
  readonly history: ((ground: Ground, id: string) => Promise<readonly Readonly<Record<string, unknown>>[]>) | null;
  /** Changes it somewhere else. */
  readonly elsewhere: (ground: Ground, id: string, context: BrowserContext) => Promise<void>;
}

const saving = (page: Page): Locator => page.getByRole('banner').getByRole('status');
const PLAN_KEYS: Readonly<Record<string, string>> = { Title: 'title', Focus: 'focus', 'For whom': 'audience' };
const MOVEMENT_KEYS: Readonly<Record<string, string>> = {
  Name: 'name',
  'Traditional name': 'traditionalName',
  'Seated version': 'seated',
};

function byLabels(document: Readonly<Record<string, unknown>>, keys: Readonly<Record<string, string>>) {
  return Object.fromEntries(Object.entries(keys).map(([label, key]) => [label, document[key]]));
}

async function rowsOf<Row extends QueryResultRow>(ground: Ground, query: string, values: unknown[]): Promise<Row[]> {
  const client = new Client({ connectionString: ground.databaseUrl });
  await client.connect();
  try {
    return (await client.query<Row>(query, values)).rows;
  } finally {
    await client.end();
  }
}

/** Another tab of the same browser, in which a value is typed and saved. */
async function otherTab(subject: Subject, ground: Ground, id: string, context: BrowserContext): Promise<void> {
  const other = await open(subject, context, ground.origin, id);
  const input = subject.input(other, itemAt(subject.fields, 0));
  await input.fill(subject.value(99, 999));
  if (subject.press !== null) await input.press(subject.press);
  await subject.saved(other);
  await other.close();
}

const CLASS: Subject = {
  name: 'class',
  fields: Object.keys(PLAN_KEYS),
  byLetters: 0.5,
  make: async (ground, seed) =>
    (await ground.api<{ id: string }>('POST', '/api/classes', { from: 'nothing', title: `Trial ${seed}` })).id,
  path: (id) => `/classes/${id}`,
  ready: (page) => expect(page.getByRole('region', { name: 'Runtime' })).toBeVisible(),
  input: (page, field) => page.getByLabel(field, { exact: true }),
  press: null,
  value: (seed, count) => `round ${seed} word ${count}`,
  saved: (page) => expect(saving(page)).toHaveText('Saved', { timeout: 30_000 }),
  route: '**/api/classes/*',
  stored: async (ground, id) =>
    byLabels((await ground.api<{ plan: Record<string, unknown> }>('GET', `/api/classes/${id}`)).plan, PLAN_KEYS),
  history: async (ground, id) => {
    const query = 'select plan from class_revisions where class_id = $1';
    const found = await rowsOf<{ plan: Record<string, unknown> }>(ground, query, [id]);
    return found.map(({ plan }) => byLabels(plan, PLAN_KEYS));
  },
  elsewhere: async (ground, id) => {
    const { revision, plan } = await ground.api<{ revision: number; plan: object }>('GET', `/api/classes/${id}`);
    await ground.api('PUT', `/api/classes/${id}`, { baseRevision: revision, plan: { ...plan, silenceShare: 0.25 } });
  },
};

const MOVEMENT: Subject = {
  name: 'movement',
  fields: Object.keys(MOVEMENT_KEYS),
  byLetters: 0.5,
  make: async (ground, seed) => {
    const movement = { ...makeLibraryMovement(makeContent(() => crypto.randomUUID(), `Trial ${seed}`)) };
    return (await ground.api<{ id: string }>('POST', '/api/movements', { movement })).id;
  },
  path: (id) => `/library#${id}`,
  ready: (page) => expect(page.getByRole('complementary', { name: /^Movement: / })).toBeVisible(),
  input: (page, field) => page.getByRole('complementary', { name: /^Movement: / }).getByLabel(field, { exact: true }),
  press: null,
  value: (seed, count) => `round ${seed} word ${count}`,
  saved: (page) =>
    expect(page.getByText('Classes that use it keep their own copy')).toHaveText(/^Saved/, { timeout: 30_000 }),
  route: '**/api/movements/*',
  stored: async (ground, id) =>
    byLabels(
      (await ground.api<{ movement: Record<string, unknown> }>('GET', `/api/movements/${id}`)).movement,
      MOVEMENT_KEYS,
    ),
  history: null,
  elsewhere: (ground, id, context) => otherTab(MOVEMENT, ground, id, context),
};

/** The demo take, whose first line is moved; known by its class and itself. */
const TAKE: Subject = {
  name: 'take',
  fields: ['Said at'],
  byLetters: 0,
  make: async (ground) => {
    const query = "select class_id || '/takes/' || id as id from takes order by created_at, id limit 1";
    return itemAt(await rowsOf<{ id: string }>(ground, query, []), 0).id;
  },
  path: (id) => `/classes/${id}`,
  ready: (page) => expect(page.getByRole('button', { name: 'Next most uncertain' })).toBeVisible(),
  input: (page, field) => page.getByLabel(field, { exact: true }),
  press: 'Enter',
  value: (seed, count) => `0:0${(1 + (seed % 4) + (count % 30) / 10).toFixed(1)}`,
  saved: (page) => expect(saving(page)).toHaveText('Saved', { timeout: 30_000 }),
  route: '**/api/takes/*',
  stored: async (ground, id) => {
    const query = 'select corrections from readings where take_id = $1';
    const [row] = await rowsOf<{ corrections: Record<string, { actualStart: number }> }>(ground, query, [
      id.split('/').at(-1),
    ]);
    const [first] = Object.values(row?.corrections ?? {});
    return { 'Said at': first && `0:0${first.actualStart.toFixed(1)}` };
  },
  history: null,
  elsewhere: (ground, id, context) => otherTab(TAKE, ground, id, context),
};

export const SUBJECTS = [CLASS, MOVEMENT, TAKE];

/** What somebody typed in a round: the last of each field, and what they were told is saved. */
class Typist {
  readonly last = new Map<string, string>();
  readonly acknowledged: (readonly [string, string])[] = [];
  #count = 0;

  constructor(
    private readonly subject: Subject,
    private readonly chance: Random,
    private readonly seed: number,
  ) {}

  /** Types a value that was never typed before, whole or letter by letter. */
  async type(page: Page, place = this.chance.whole(0, this.subject.fields.length - 1)): Promise<void> {
    const { subject } = this;
    const field = itemAt(subject.fields, Math.min(place, subject.fields.length - 1));
    const value = subject.value(this.seed, ++this.#count);
    const input = subject.input(page, field);
    if (this.chance.next() >= subject.byLetters) await input.fill(value);
    else {
      await input.fill(value.slice(0, -3));
      await input.press('End');
      await input.pressSequentially(value.slice(-3));
    }
    if (subject.press !== null) await input.press(subject.press);
    this.last.set(field, value);
  }

  /** Waits until the page says that all is saved. */
  async told(page: Page): Promise<void> {
    await this.subject.saved(page);
    for (const [field, value] of this.last) this.acknowledged.push([field, value]);
  }
}

async function open(subject: Subject, context: BrowserContext, origin: string, id: string): Promise<Page> {
  const page = await context.newPage();
  await page.goto(`${origin}${subject.path(id)}`);
  await subject.ready(page);
  return page;
}

/** Breaks it, with typing before, meanwhile and after; the page to go on with, or `null` where it is gone. */
async function breakIt(
  subject: Subject,
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
      await Promise.all([typist.type(page, 1), ground.kill('SIGKILL')]);
      await typist.type(page, 0);
      await ground.start();
      return page;
    case 'deploy while typing':
      await Promise.all([typist.type(page, 1), ground.kill('SIGTERM').then(() => ground.start())]);
      await typist.type(page, 0);
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
      await page.route(subject.route, async (route) => {
        if (route.request().method() !== 'PUT' || lost-- <= 0) return route.fallback();
        await route.fetch().catch(() => undefined);
        return route.abort();
      });
      await typist.type(page);
      await page.waitForTimeout(800);
      await typist.type(page);
      return page;
    }
    case 'two tabs':
      await typist.told(page);
      await subject.elsewhere(ground, id, context);
      await typist.type(page);
      await page.getByRole('button', { name: 'Keep mine' }).click();
      return page;
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
export async function round(
  subject: Subject,
  ground: Ground,
  seed: number,
  disaster: Disaster,
  chance: Random,
): Promise<void> {
  const context = await ground.browser.newContext();
  const name = `${subject.name}, seed ${seed}, ${disaster}`;
  try {
    const id = await subject.make(ground, seed);
    const typist = new Typist(subject, chance, seed);
    const first = await open(subject, context, ground.origin, id);
    await typist.type(first);
    if (chance.next() < 0.5) await typist.told(first);
    const left = await breakIt(subject, ground, disaster, first, typist, id);
    const page = left ?? (await open(subject, context, ground.origin, id));
    if (left && chance.next() < 0.5) await typist.type(page);
    await typist.told(page);
    const stored = await subject.stored(ground, id);
    for (const [field, value] of typist.last) expect(stored[field], `${name}: the last of ${field}`).toBe(value);
    const versions = (await subject.history?.(ground, id)) ?? null;
    for (const [field, value] of versions ? typist.acknowledged : []) {
      const kept = versions?.some((version) => version[field] === value);
      expect(kept, `${name}: ${field} “${value}” was said to be saved`).toBe(true);
    }
  } finally {
    await context.close();
  }
}
