import { firstItems, itemAt, takenAs } from '@/core/units';
import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { sql } from 'drizzle-orm';
import { makeContent, makeLibraryMovement } from '@/core/movement';
import { stepsInOrder, type ClassPlan } from '@/core/plan';
import { expandPlan } from '@/core/timeline';
import { classes, classRevisions } from '@/db/schema';
import { onRevision } from '@/db/queries/save-base';
import { insertStudio } from '@/db/queries/studios';
import { demoLibrary } from '@/demo/library';
import { seedDemo } from '@/demo/seed';
import { addClass, judgedPlan, openClass, saveClass, classList } from '@/server/classes';
import { historyOf, openRevision, sittings } from '@/server/history';
import { addMovement, archiveMovement, library, openMovement, saveMovement } from '@/server/movements';
import { addSeries, dropSeries, nextInSeries, saveSeries, listedSeries } from '@/server/series';
import { asking, type Asking } from '@/server/studio';
import { TEMPLATES } from '@/templates';
import { freshDatabase } from '../support/application';
import { asSent } from '../support/as-sent';
import { refusal } from '../support/refusal';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let who: Asking;
const NOBODY = '00000000-0000-0000-0000-000000000000';

beforeAll(async () => {
  database = await freshDatabase('calm_planning');
  await seedDemo(database.db);
  who = await asking();
});
afterAll(() => database.drop());

async function strangers(): Promise<Asking> {
  return { db: who.db, studio: await insertStudio(who.db, 'Another hall') };
}

let count = 0;
const newId = (): string => `s${++count}`;

describe('the movement library', () => {
  it('holds the demo movements by name, and the classes know where theirs came from', async () => {
    const names = (await library(who)).map((entry) => entry.summary.name);
    expect(names).toEqual(
      demoLibrary()
        .map((movement) => movement.name)
        .sort((a, b) => (a < b ? -1 : 1)),
    );
    const [first] = firstItems((await classList(who)).classes, 1);
    const { plan } = await openClass(who, first.id);
    const sources = stepsInOrder(plan).flatMap(({ step }) => (step.kind === 'movement' ? [step.source] : []));
    expect(sources.every((source) => source !== null && source.revision === 1)).toBe(true);
  });

  it('adds, saves on top of a revision, refuses a stale save with what is stored, and archives', async () => {
    const made = await addMovement(
      who,
      asSent('new-movement', { movement: makeLibraryMovement(makeContent(newId, 'Splicing the rope')) }),
    );
    const changed = { ...made.movement, preferredRounds: 5 };
    const saved = asSent('new-movement', { movement: changed });
    expect(await saveMovement(who, made.id, onRevision(1), saved)).toEqual({ revision: 2 });
    const older = asSent('new-movement', { movement: made.movement });
    const stale = await refusal(saveMovement(who, made.id, onRevision(1), older));
    expect(stale).toMatchObject({ status: 409, code: 'newer-revision' });
    expect(stale.extra).toMatchObject({ current: { revision: 2, movement: { preferredRounds: 5 } } });
    await archiveMovement(who, made.id, true);
    expect((await openMovement(who, made.id)).archived).toBe(true);
    await archiveMovement(who, made.id, false);
    expect((await library(who)).find((entry) => entry.id === made.id)?.archived).toBe(false);
  });

  it('refuses what is no movement, and what is another studio’s', async () => {
    const nameless = { format: 'calm-count/movement', version: 1, name: '' };
    const bad = await refusal((async () => addMovement(who, asSent('new-movement', { movement: nameless })))());
    expect(bad).toMatchObject({ status: 422, code: 'bad-movement' });
    expect(bad.issues?.some((issue) => issue.at === 'name')).toBe(true);
    const others = await strangers();
    const [entry] = firstItems(await library(who), 1);
    expect(await library(others)).toEqual([]);
    for (const id of [entry.id, NOBODY, 'no-id']) {
      expect((await refusal(openMovement(others, id))).status).toBe(404);
      const theirs = asSent('new-movement', { movement: demoLibrary()[0] });
      expect((await refusal(saveMovement(others, id, onRevision(1), theirs))).status).toBe(404);
      expect((await refusal(archiveMovement(others, id, true))).status).toBe(404);
    }
  });
});

describe('a class from a template', () => {
  it.each(TEMPLATES.map((template) => template.id))('%s lands within a second of its target', async (templateId) => {
    const { plan } = await addClass(who, { from: 'template', templateId, title: 'Mine' });
    expect(plan.title).toBe('Mine');
    expect(Math.abs(expandPlan(plan).runtimeSeconds - plan.targetSeconds)).toBeLessThan(1);
  });

  it('that does not exist is refused', async () => {
    expect((await refusal(addClass(who, { from: 'template', templateId: 'nine-lives' }))).status).toBe(422);
  });
});

describe('documents of an older version in the database', () => {
  it('are brought up to date when they are opened', async () => {
    const made = await addClass(who, { from: 'nothing', title: 'Old' });
    const { style: schools, ...rest } = made.plan;
    const old = { ...rest, schools, version: 2, keepOnTarget: undefined, lengths: undefined };
    await who.db
      .update(classes)
      .set({ plan: takenAs<ClassPlan>(old) })
      .where(sql`id = ${made.id}`);
    expect((await openClass(who, made.id)).plan).toEqual(made.plan);
  });
});

describe('the history of a class', () => {
  it('puts saves in sittings by the time between them', () => {
    const at = (minute: number, revision: number) => ({
      revision,
      name: null,
      createdAt: new Date(Date.UTC(2026, 0, 1, 9, minute)),
    });
    const found = sittings([at(40, 5), at(38, 4), at(20, 3), at(18, 2), at(0, 1)]);
    expect(found.map(({ last, first }) => [last.revision, first.revision])).toEqual([
      [5, 4],
      [3, 2],
      [1, 1],
    ]);
    expect(sittings([])).toEqual([]);
  });

  it('tells what each sitting changed, page by page, and opens any save', async () => {
    const made = await addClass(who, { from: 'nothing', title: 'Told' });
    const titles = Array.from({ length: 60 }, (_, at) => `Told ${at + 1}`);
    for (const [at, title] of titles.entries())
      await saveClass(who, made.id, onRevision(at + 1), judgedPlan({ ...made.plan, title }));
    await who.db
      .update(classRevisions)
      .set({ createdAt: sql`timestamptz '2026-01-01 09:00Z' + revision * interval '10 minutes'` })
      .where(sql`class_id = ${made.id}`);
    const first = await historyOf(who, made.id, 2 ** 31 - 1);
    expect(first.entries).toHaveLength(25);
    expect(first.entries[0]).toMatchObject({
      revision: 61,
      changes: [{ code: 'title', from: 'Told 59', to: 'Told 60' }],
    });
    const second = await historyOf(who, made.id, first.olderThan ?? 0);
    expect(itemAt(second.entries, 0).revision).toBe(36);
    const third = await historyOf(who, made.id, second.olderThan ?? 0);
    expect(third.entries.at(-1)).toMatchObject({ revision: 1, changes: [] });
    expect(third.olderThan).toBeNull();
    expect((await openRevision(who, made.id, 5)).plan.title).toBe('Told 4');
    expect((await refusal(openRevision(who, made.id, 99))).code).toBe('no-revision');
    expect((await refusal(historyOf(await strangers(), made.id, 100))).status).toBe(404);
  });
});

describe('a series', () => {
  it('holds classes in an order, and begins the next from its last', async () => {
    const made = await addSeries(who, 'Evenings');
    const first = await nextInSeries(who, made.id);
    expect(first.plan.title).toBe('Evenings 1');
    const second = await nextInSeries(who, made.id);
    expect(second.plan.title).toBe('Evenings 2');
    const ids = new Set(stepsInOrder(first.plan).map(({ step }) => step.id));
    expect(stepsInOrder(second.plan).some(({ step }) => ids.has(step.id))).toBe(false);
    await saveSeries(who, made.id, onRevision(3), { title: 'Quiet evenings', classIds: [second.id, first.id] });
    const members = (await classList(who)).classes.filter((entry) => entry.seriesId === made.id);
    expect(new Map(members.map((entry) => [entry.id, entry.seriesOrder]))).toEqual(new Map([[second.id, 1], [first.id, 2]])); // prettier-ignore
    expect((await listedSeries(who)).map((series) => series.title)).toContain('Quiet evenings');
    // The last is "Evenings 1" now.
    expect((await nextInSeries(who, made.id)).plan.title).toBe('Evenings 2');
    await dropSeries(who, made.id, true);
    expect((await classList(who)).classes.filter((entry) => entry.seriesId === made.id)).toEqual([]);
    expect((await classList(who)).classes.some((entry) => entry.id === second.id)).toBe(true);
  });

  it('takes no class of another studio, and is not theirs to change', async () => {
    const made = await addSeries(who, 'Ours');
    const others = await strangers();
    const theirs = await addClass(others, { from: 'nothing', title: 'Theirs' });
    await saveSeries(who, made.id, onRevision(1), { title: 'Ours', classIds: [theirs.id] });
    expect((await classList(others)).classes.find((entry) => entry.id === theirs.id)?.seriesId).toBeNull();
    for (const id of [made.id, NOBODY, 'x']) {
      expect((await refusal(saveSeries(others, id, onRevision(1), { title: 'Mine', classIds: [] }))).code).toBe(
        'no-series',
      );
      expect((await refusal(dropSeries(others, id, true))).code).toBe('no-series');
      expect((await refusal(nextInSeries(others, id))).code).toBe('no-series');
    }
  });
});

describe('summaries of before', () => {
  it('are brought to the words of this version by the migration', async () => {
    const migration = readFileSync(
      new URL('../../src/db/migrations/0009_summaries_in_plain_words.sql', import.meta.url),
      'utf8',
    );
    const { id, summary } = itemAt(await library(who), 0);
    const { pacedBy: _, ...rest } = summary;
    const older = JSON.stringify({ ...rest, lead: 'own', sides: 'in-turn' });
    await database.db.execute(sql`update movements set summary = ${older}::jsonb where id = ${id}`);
    await database.db.execute(sql.raw(migration));
    const after = (await library(who)).find((one) => one.id === id);
    expect(after?.summary).toEqual({ ...rest, pacedBy: 'own-pace', sides: 'one-then-other' });
    const { pacedBy, sides } = summary;
    await database.db.execute(
      sql`update movements set summary = summary || ${JSON.stringify({ pacedBy, sides })}::jsonb where id = ${id}`,
    );
  });
});
