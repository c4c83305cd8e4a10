import { firstItems, itemAt } from '@/core/units';
import { randomUUID } from 'node:crypto';
import { sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { makeContent, makeLibraryMovement } from '@/core/movement';
import { onRevision } from '@/db/queries/save-base';
import { insertStudio } from '@/db/queries/studios';
import { seedDemo } from '@/demo/seed';
import { clearBin, inBin, restore } from '@/server/bin';
import { addClass, judgedPlan, openClass, saveClass, classList, binClass } from '@/server/classes';
import { historyOf } from '@/server/history';
import { addMovement, library, openMovement, removeMovement, saveMovement } from '@/server/movements';
import { addSeries, dropSeries, nextInSeries, saveSeries, listedSeries } from '@/server/series';
import { asking, type Asking } from '@/server/studio';
import { addTake, dropTake, takesOf } from '@/server/takes';
import { freshDatabase } from '../support/application';
import { asSent } from '../support/as-sent';
import { countingIds } from '../support/chance';
import { refusal } from '../support/refusal';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let who: Asking;

beforeAll(async () => {
  database = await freshDatabase('calm_nothing_lost');
  await seedDemo(database.db);
  who = await asking();
});
afterAll(() => database.drop());

describe('a save whose answer was lost', () => {
  it('is answered again as it was, also when it comes twice at once or another save came after it', async () => {
    const { id, plan } = await addClass(who, { from: 'nothing', title: 'Lost answer' });
    const saveId = randomUUID();
    const base = { ...onRevision(1), saveId };
    const once = judgedPlan({ ...plan, title: 'Typed once' });
    const twice = await Promise.all([saveClass(who, id, base, once), saveClass(who, id, base, once)]);
    expect(twice).toEqual([{ revision: 2 }, { revision: 2 }]);
    expect(await saveClass(who, id, onRevision(2), judgedPlan({ ...plan, title: 'Elsewhere' }))).toEqual({
      revision: 3,
    });
    expect(await saveClass(who, id, base, once)).toEqual({ revision: 2 });
    expect((await openClass(who, id)).plan.title).toBe('Elsewhere');
    expect(itemAt((await historyOf(who, id, 100)).entries, 0).revision).toBe(3);
  });

  it('is the tab’s own, and what was typed since goes on top of it', async () => {
    const { id, plan } = await addClass(who, { from: 'nothing', title: 'Typed on' });
    const saveId = randomUUID();
    await saveClass(who, id, { ...onRevision(1), saveId }, judgedPlan({ ...plan, title: 'Half' }));
    const next = { baseRevision: 1, saveId: randomUUID(), unanswered: [randomUUID(), saveId] };
    expect(await saveClass(who, id, next, judgedPlan({ ...plan, title: 'Whole' }))).toEqual({ revision: 3 });
    // A save of somebody else in between is a conflict as ever.
    await saveClass(who, id, onRevision(3), judgedPlan({ ...plan, title: 'Somebody else' }));
    expect((await refusal(saveClass(who, id, { ...next, saveId: randomUUID() }, judgedPlan(plan)))).status).toBe(409);
  });

  it('is known for movements and series too', async () => {
    const judged = asSent('new-movement', { movement: makeLibraryMovement(makeContent(countingIds(), 'Knotting')) });
    const made = await addMovement(who, judged);
    const base = { ...onRevision(1), saveId: randomUUID() };
    expect(await saveMovement(who, made.id, base, judged)).toEqual({ revision: 2 });
    expect(await saveMovement(who, made.id, base, judged)).toEqual({ revision: 2 });
    const series = await addSeries(who, 'Twice');
    const again = { ...onRevision(1), saveId: randomUUID() };
    expect(await saveSeries(who, series.id, again, { title: 'Twice told', classIds: [] })).toEqual({ revision: 2 });
    expect(await saveSeries(who, series.id, again, { title: 'Twice told', classIds: [] })).toEqual({ revision: 2 });
    const stale = await refusal(saveSeries(who, series.id, onRevision(1), { title: 'Over it', classIds: [] }));
    expect(stale).toMatchObject({ status: 409, extra: { current: { title: 'Twice told', revision: 2 } } });
  });
});

describe('a take that is sent again', () => {
  it('is kept once, and an id of another class is refused', async () => {
    const [ferry, other] = firstItems((await classList(who)).classes, 2);
    const { plan } = await openClass(who, ferry.id);
    const evidence = { captions: [], speech: null, lengthSeconds: 5 };
    const reading = { format: 'calm-count/reading', version: 2, cues: [], adLibs: [] };
    const sent = asSent('new-take', { id: randomUUID(), name: 'Once', plan, evidence, reading });
    const [first, second] = [await addTake(who, ferry.id, sent), await addTake(who, ferry.id, sent)];
    expect(first).toEqual(second);
    expect((await takesOf(who, ferry.id)).filter(({ name }) => name === 'Once').length).toBe(1);
    expect((await refusal(addTake(who, other.id, sent))).status).toBe(422);
  });
});

describe('a series', () => {
  it('takes ten new classes at once in ten places', async () => {
    const made = await addSeries(who, 'Many');
    await nextInSeries(who, made.id);
    await Promise.all(Array.from({ length: 10 }, () => nextInSeries(who, made.id)));
    const members = (await classList(who, undefined, 500)).classes.filter((entry) => entry.seriesId === made.id);
    expect(members.map((entry) => entry.seriesOrder).sort((a, b) => (a ?? 0) - (b ?? 0))).toEqual(Array.from({ length: 11 }, (_, at) => at + 1)); // prettier-ignore
    expect(new Set(members.map((entry) => entry.title)).size).toBe(11);
  });

  it('comes back out of the bin with its classes in their places', async () => {
    const made = await addSeries(who, 'Grouped');
    const [first, second] = [await nextInSeries(who, made.id), await nextInSeries(who, made.id)];
    await dropSeries(who, made.id, true);
    const alone = (await classList(who, undefined, 500)).classes.filter(({ id }) => [first.id, second.id].includes(id));
    expect(alone.map((entry) => [entry.seriesId, entry.seriesOrder])).toEqual([[null, null], [null, null]]); // prettier-ignore
    await restore(who, 'series', made.id);
    const back = (await classList(who, undefined, 500)).classes.filter((entry) => entry.seriesId === made.id);
    expect(back.map((entry) => [entry.id, entry.seriesOrder])).toEqual([[first.id, 1], [second.id, 2]]); // prettier-ignore
    expect((await listedSeries(who)).map(({ title }) => title)).toContain('Grouped');
  });
});

describe('the bin', () => {
  it('holds whatever was removed, gives it back, and is a studio’s own', async () => {
    const made = await addClass(who, { from: 'nothing', title: 'Thrown away' });
    const [ferry] = firstItems((await classList(who)).classes, 1);
    const [take] = firstItems(await takesOf(who, ferry.id), 1);
    const [movement] = firstItems(await library(who), 1);
    await binClass(who, made.id, true);
    await dropTake(who, take.id, true);
    await removeMovement(who, movement.id, true);
    const entries = await inBin(who);
    expect(entries.map(({ kind, name, of }) => [kind, name, of])).toEqual(
      expect.arrayContaining([
        ['class', 'Thrown away', null],
        ['take', take.name, ferry.title],
        ['movement', movement.summary.name, null],
      ]),
    );
    expect((await library(who)).some(({ id }) => id === movement.id)).toBe(false);
    expect((await refusal(openMovement(who, movement.id))).status).toBe(404);
    const others = { db: who.db, studio: await insertStudio(who.db, 'Another hall') };
    expect(await inBin(others)).toEqual([]);
    expect((await refusal(restore(others, 'class', made.id))).status).toBe(404);
    expect((await refusal(restore(who, 'nothing', made.id))).code).toBe('not-in-bin');
    await restore(who, 'class', made.id);
    await restore(who, 'take', take.id);
    await restore(who, 'movement', movement.id);
    expect((await openClass(who, made.id)).plan.title).toBe('Thrown away');
    expect((await takesOf(who, ferry.id)).some(({ id }) => id === take.id)).toBe(true);
    expect((await openMovement(who, movement.id)).id).toBe(movement.id);
  });

  it('deletes what has lain there for 30 days, and everything when it is emptied', async () => {
    const [old, young] = firstItems(
      await Promise.all(['Old', 'Young'].map((title) => addClass(who, { from: 'nothing', title }))),
      2,
    );
    for (const { id } of [old, young]) await binClass(who, id, true);
    await who.db.execute(sql`update classes set removed_at = now() - interval '31 days' where id = ${old.id}`);
    const names = (await inBin(who)).map(({ name }) => name);
    expect([names.includes('Old'), names.includes('Young')]).toEqual([false, true]);
    expect((await clearBin(who)).deleted).toBeGreaterThan(0);
    expect(await inBin(who)).toEqual([]);
    expect((await refusal(restore(who, 'class', young.id))).status).toBe(404);
  });
});

describe('the list of classes', () => {
  it('comes part by part, each class once, in one order', async () => {
    const whole = (await classList(who, undefined, 500)).classes.map(({ id }) => id);
    const parts: string[] = [];
    for (let after: string | undefined, more = true; more;) {
      const page = await classList(who, after, 4);
      parts.push(...page.classes.map(({ id }) => id));
      after = page.classes.at(-1)?.id;
      ({ more } = page);
    }
    expect(parts).toEqual(whole);
    expect((await classList(who, 'nobody', 4)).classes.length).toBe(4);
  });
});
