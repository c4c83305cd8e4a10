import { readFileSync } from 'node:fs';
import { eq, sql } from 'drizzle-orm';
import { afterAll, beforeAll, expect, it } from 'vitest';
import type { Evidence } from '@/core/align';
import { NO_HAND_WORK, readTake, withCue, withSureTaken, type Reading } from '@/core/reading';
import { expandPlan } from '@/core/timeline';
import { firstItems, itemAt } from '@/core/units';
import { readings, takes } from '@/db/schema';
import { seedDemo } from '@/demo/seed';
import { classList } from '@/server/classes';
import { asking, type Asking } from '@/server/studio';
import { openTake, takesOf } from '@/server/takes';
import { freshDatabase } from '../support/application';

/* Takes as they were stored before readings of version 2, through the migration and out of the door. */

let database: Awaited<ReturnType<typeof freshDatabase>>;
let who: Asking;

beforeAll(async () => {
  database = await freshDatabase('calm_older_takes');
  await seedDemo(database.db);
  who = await asking();
});
afterAll(() => database.drop());

/** A reading of version 1. */
function readingBefore({ adLibs, cues, totals, ...rest }: Reading): object {
  const { plannedRuntimeSeconds, adLibs: count, breathActualSeconds, driftMedianSeconds, ...others } = totals;
  return {
    ...rest,
    version: 1,
    remarks: adLibs,
    cues: cues.map(({ plannedStart, actualStart, actualEnd, ...cue }) => ({
      ...cue,
      plannedSeconds: plannedStart,
      saidAtSeconds: actualStart,
      endSeconds: actualEnd,
    })),
    totals: {
      ...others,
      plannedSeconds: plannedRuntimeSeconds,
      remarks: count,
      breathTakenSeconds: breathActualSeconds,
      driftMiddleSeconds: driftMedianSeconds,
    },
  };
}

function evidenceBefore({ distances, ...rest }: Evidence): object {
  return { ...rest, likeness: distances };
}

it('a take of before is read as it was, with what was corrected and cut', async () => {
  const [ferry] = firstItems((await classList(who)).classes, 1);
  const [listed] = firstItems(await takesOf(who, ferry.id), 1);
  const { plan, evidence } = await openTake(who, listed.id);
  const kept = { ...evidence, distances: { texts: ['In.'], found: [0, 0, 1] } };
  const timeline = expandPlan(plan);
  const found = readTake(timeline, evidence);
  const { corrections } = withSureTaken(withCue(NO_HAND_WORK, itemAt(timeline.cues, 2).id, 33), found, 0.9);
  const unsaid = { ...corrections, [itemAt(timeline.cues, 4).id]: { actualStart: null } };
  const reading = readTake(timeline, evidence, unsaid);
  const stretch = { startSeconds: 40, endSeconds: 42.5 };
  const cut = { ...stretch, on: true };
  const before = {
    reading: readingBefore(reading),
    corrections: Object.fromEntries(
      Object.entries(unsaid).map(([cue, { actualStart, ...rest }]) => [cue, { ...rest, saidAtSeconds: actualStart }]),
    ),
    cuts: [
      { ...cut, reason: 'remark' },
      { ...cut, reason: 'head', on: false },
    ],
  };
  const json = (value: unknown) => sql`${JSON.stringify(value)}::jsonb`;
  await database.db
    .update(readings)
    .set({ reading: json(before.reading), corrections: json(before.corrections), cuts: json(before.cuts) })
    .where(eq(readings.takeId, listed.id));
  await database.db
    .update(takes)
    .set({ evidence: json(evidenceBefore(kept)) })
    .where(eq(takes.id, listed.id));

  const file = new URL('../../src/db/migrations/0010_lines_planned_and_actual.sql', import.meta.url);
  // The first statement, a column's name, was run when this database was made.
  for (const statement of readFileSync(file, 'utf8').split('--> statement-breakpoint').slice(1)) {
    await database.db.execute(sql.raw(statement));
  }
  const after = await openTake(who, listed.id);
  expect(after.reading).toEqual(JSON.parse(JSON.stringify(reading)));
  expect(after.corrections).toEqual(unsaid);
  expect(after.cuts).toEqual([
    { ...cut, reason: 'ad-lib' },
    { ...cut, reason: 'head', on: false },
  ]);
  expect(after.evidence).toEqual(JSON.parse(JSON.stringify(kept)));
});
