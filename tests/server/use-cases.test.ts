import { firstItems, itemAt } from '@/core/units';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { sameDocument } from '@/core/document';
import { LOG_FORMAT, LOG_VERSION, stepsPerformed } from '@/core/conductor';
import { readTake } from '@/core/reading';
import { expandPlan } from '@/core/timeline';
import { classes, classRevisions, readings, studios, takes } from '@/db/schema';
import { onRevision } from '@/db/queries/save-base';
import { insertStudio } from '@/db/queries/studios';
import { seedDemo } from '@/demo/seed';
import { demoClasses } from '@/demo/classes';
import { addClass, judgedPlan, openClass, saveClass, classList, binClass } from '@/server/classes';
import { asking, type Asking } from '@/server/studio';
import { addTake, correctTake, dropTake, openTake, takesOf } from '@/server/takes';
import { freshDatabase } from '../support/application';
import { asSent } from '../support/as-sent';
import { refusal } from '../support/refusal';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let who: Asking;

beforeAll(async () => {
  database = await freshDatabase('calm_use_cases');
  await seedDemo(database.db);
  who = await asking();
});
afterAll(() => database.drop());

describe('the shelf', () => {
  it('holds the demo studio with its takes counted', async () => {
    const listed = (await classList(who)).classes;
    expect(listed.map((entry) => [entry.title, entry.targetSeconds, entry.takes])).toEqual([
      ['Before the First Ferry', 600, 3],
      ['Net Menders’ Break', 300, 0],
      ['Evening Ebb', 1200, 0],
      ['Storm Day Indoors', 720, 0],
      ['Thursday Live', 3600, 0],
      ['Eight-Section Set', 720, 0],
      ['Low Water Talk', 1200, 0],
      ['Two Moorings', 480, 0],
    ]);
  });

  it('loses a class and has it put back', async () => {
    const made = await addClass(who, { from: 'nothing', title: 'Short lived' });
    await binClass(who, made.id, true);
    expect((await refusal(openClass(who, made.id))).status).toBe(404);
    await binClass(who, made.id, false);
    expect((await openClass(who, made.id)).plan.title).toBe('Short lived');
    expect((await refusal(binClass(who, made.id, false))).code).toBe('no-class');
  });
});

describe('a class', () => {
  it('is made from nothing, from another with ids of its own, or from a plan as it is', async () => {
    const nothing = await addClass(who, { from: 'nothing', title: 'Mine', targetSeconds: 420, breathSeconds: 8 });
    expect(nothing.plan).toMatchObject({ title: 'Mine', targetSeconds: 420, pace: { breathSeconds: 8 } });
    const [ferry] = firstItems((await classList(who)).classes, 1);
    const copy = await addClass(who, { from: 'class', classId: ferry.id });
    expect(copy.plan.title).toBe('Before the First Ferry, again');
    expect(itemAt(copy.plan.sections, 0).id).not.toBe(itemAt((await openClass(who, ferry.id)).plan.sections, 0).id);
    const { plan } = itemAt(demoClasses(), 2);
    const brought = await addClass(who, asSent('new-class', { from: 'plan', plan }));
    expect(sameDocument((await openClass(who, brought.id)).plan, plan)).toBe(true);
  });

  it('is refused whole when its plan is bad, and nothing is stored', async () => {
    const before = (await classList(who)).classes.length;
    const bad = { from: 'plan', plan: { ...itemAt(demoClasses(), 0).plan, title: '' } };
    const refused = await refusal((async () => addClass(who, asSent('new-class', bad)))());
    expect([refused.status, refused.code, refused.issues?.[0]?.at]).toEqual([422, 'bad-plan', 'title']);
    expect((await classList(who)).classes.length).toBe(before);
  });

  it('keeps odd text from people as it was typed', async () => {
    const title = `Robert'); drop table classes;-- <script>alert(1)</script> 🌊 مرحبا`;
    const made = await addClass(who, { from: 'nothing', title });
    expect((await openClass(who, made.id)).plan.title).toBe(title);
    expect((await classList(who)).classes.some((entry) => entry.title === title)).toBe(true);
  });

  it('keeps every save and never overwrites a newer one', async () => {
    const { id, plan } = await addClass(who, { from: 'nothing', title: 'Two windows' });
    expect(await saveClass(who, id, onRevision(1), judgedPlan({ ...plan, title: 'First' }))).toEqual({ revision: 2 });
    const stale = await refusal(saveClass(who, id, onRevision(1), judgedPlan({ ...plan, title: 'Second' })));
    expect([stale.status, stale.code]).toEqual([409, 'newer-revision']);
    expect(stale.extra).toMatchObject({ current: { revision: 2, plan: { title: 'First' } } });
    const rows = await database.db.select().from(classRevisions);
    expect(rows.filter((row) => row.classId === id).map((row) => row.plan.title)).toEqual(['Two windows', 'First']);
  });

  it('lets one of two savers win when both come at once', async () => {
    const { id, plan } = await addClass(who, { from: 'nothing', title: 'Race' });
    const results = await Promise.allSettled(
      ['A', 'B', 'C', 'D'].map((title) => saveClass(who, id, onRevision(1), judgedPlan({ ...plan, title }))),
    );
    expect(results.filter((result) => result.status === 'fulfilled').length).toBe(1);
    expect((await openClass(who, id)).revision).toBe(2);
  });

  it.each(['', 'nobody', '../etc', randomUUID()])('is not found as %j', async (id) => {
    expect((await refusal(openClass(who, id))).status).toBe(404);
  });
});

describe('a take', () => {
  it('is kept, corrected, corrected again on top of that, and dropped', async () => {
    const [ferry] = firstItems((await classList(who)).classes, 1);
    const { plan } = await openClass(who, ferry.id);
    const timeline = expandPlan(plan);
    const captions = timeline.cues.map(({ startSeconds, endSeconds, text }) => ({
      startSeconds: startSeconds + 2,
      endSeconds: endSeconds + 2,
      text,
    }));
    const evidence = { captions, speech: null, lengthSeconds: 610 };
    const { id } = await addTake(
      who,
      ferry.id,
      asSent('new-take', { name: 'Tuesday', plan, evidence, reading: readTake(timeline, evidence) }),
    );
    const names = (await takesOf(who, ferry.id)).map((take) => take.name);
    expect(names.slice(0, 2)).toEqual(['Tuesday', 'Monday, before the ferry']);
    const cue = itemAt(timeline.cues, 3).id;
    const corrections = { [cue]: { actualStart: 33 } };
    const { work } = asSent('correct-take', {
      baseRevision: 1,
      corrections,
      reading: readTake(timeline, evidence, corrections),
    });
    expect(await correctTake(who, id, onRevision(1), work)).toEqual({ revision: 2 });
    const corrected = await openTake(who, id);
    expect(corrected.reading.cues[3]).toMatchObject({ actualStart: 33, corrected: true });
    expect(corrected.corrections).toEqual(corrections);
    expect((await refusal(correctTake(who, id, onRevision(1), work))).status).toBe(409);
    await dropTake(who, id, true);
    expect((await refusal(openTake(who, id))).code).toBe('no-take');
  });

  it('is refused when its reading is not in order', async () => {
    const [ferry] = firstItems((await classList(who)).classes, 1);
    const { plan } = await openClass(who, ferry.id);
    const evidence = { captions: null, speech: [], lengthSeconds: 5 };
    const bad = { name: 'Bad', plan, evidence, reading: { cues: [] } };
    expect((await refusal((async () => addTake(who, ferry.id, asSent('new-take', bad)))())).code).toBe('bad-reading');
  });

  it('keeps its steps by the prompter’s log', async () => {
    const [ferry] = firstItems((await classList(who)).classes, 1);
    const { plan } = await openClass(who, ferry.id);
    const timeline = expandPlan(plan);
    const events = [
      { event: 'start', atSeconds: 0, placeSeconds: 0 },
      { event: 'hold', atSeconds: 100, placeSeconds: 90 },
    ] as const;
    const log = { format: LOG_FORMAT, version: LOG_VERSION, title: plan.title, events, performed: null } as const;
    const performed = stepsPerformed(plan, log);
    const evidence = { captions: null, speech: [], lengthSeconds: 100 };
    const sent = { name: 'By its log', plan, evidence, performed, reading: readTake(timeline, evidence) };
    const { id } = await addTake(who, ferry.id, asSent('new-take', sent));
    expect(performed.length).toBeGreaterThan(5);
    expect((await openTake(who, id)).performed).toEqual(performed);
    const bad = { ...sent, performed: [{ ...itemAt(performed, 0), planned: { startSeconds: -1, seconds: 'long' } }] };
    expect((await refusal((async () => addTake(who, ferry.id, asSent('new-take', bad)))())).status).toBe(422);
    await dropTake(who, id, true);
  });
});

describe('studios', () => {
  it('do not see each other', async () => {
    const other = { db: who.db, studio: await insertStudio(who.db, 'Another hall') };
    const [ferry] = firstItems((await classList(who)).classes, 1);
    expect(await classList(other)).toEqual({ classes: [], more: false });
    expect((await refusal(openClass(other, ferry.id))).status).toBe(404);
    expect(
      (await refusal(saveClass(other, ferry.id, onRevision(1), judgedPlan(itemAt(demoClasses(), 0).plan)))).status,
    ).toBe(404);
    const [take] = firstItems(await takesOf(who, ferry.id), 1);
    expect((await refusal(openTake(other, take.id))).status).toBe(404);
  });

  it('own every row', async () => {
    for (const table of [classes, classRevisions, takes, readings]) {
      const rows = await who.db.select({ studioId: table.studioId }).from(table);
      expect(rows.length).toBeGreaterThan(0);
      expect(rows.every((row) => row.studioId)).toBe(true);
    }
    expect((await who.db.select().from(studios)).length).toBe(2);
  });
});
