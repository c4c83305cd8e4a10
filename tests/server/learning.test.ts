import { firstItems, itemAt } from '@/core/units';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { seedDemo } from '@/demo/seed';
import { NO_HAND_WORK } from '@/core/reading';
import { classList } from '@/server/classes';
import { learningOf } from '@/server/learning';
import { soundOfTake } from '@/server/sounds';
import { asking, type Asking } from '@/server/studio';
import { correctTake, openTake, takesOf } from '@/server/takes';
import { freshDatabase } from '../support/application';
import { onRevision } from '@/db/queries/save-base';
import { asSent } from '../support/as-sent';
import { refusal } from '../support/refusal';

let who: Asking;
let drop: () => Promise<void>;
let ferry: string;

beforeAll(async () => {
  const fresh = await freshDatabase('learning');
  drop = fresh.drop;
  await seedDemo(fresh.db);
  who = await asking();
  const found = (await classList(who)).classes.find(({ title }) => title === 'Before the First Ferry');
  ferry = found?.id ?? '';
}, 60_000);
afterAll(() => drop());

describe('what the takes of a class teach', () => {
  it('is told from the oldest on, each take foretold from those before it', async () => {
    const { takes, predictions, nextSeconds, proposals, revision } = await learningOf(who, ferry);
    expect(takes.map(({ name }) => name)).toEqual([
      'Thursday, a first try',
      'Saturday, in the hall',
      'Monday, before the ferry',
    ]);
    expect(itemAt(predictions, 0).predictedSeconds).toBeNull();
    expect(itemAt(predictions, 1).predictedSeconds).toBeGreaterThan(itemAt(predictions, 1).plannedSeconds);
    expect(nextSeconds).toBeGreaterThan(600);
    expect(proposals.map(({ kind }) => kind)).toContain('breath');
    expect(revision).toBe(1);
  });

  it('is nothing for a class without takes, and refused for one that is not there', async () => {
    const other = (await classList(who)).classes.find(({ title }) => title === 'Evening Ebb');
    expect(await learningOf(who, other?.id ?? '')).toMatchObject({ takes: [], predictions: [], proposals: [] });
    expect((await refusal(learningOf(who, 'nobody'))).code).toBe('no-class');
  });
});

describe('a take of the demo', () => {
  it('has its sound, and keeps the cuts that were made in it', async () => {
    const [latest] = firstItems(await takesOf(who, ferry), 1);
    const take = await openTake(who, latest.id);
    expect(take.cuts).toBeNull();
    const answer = await soundOfTake(who, latest.id, 'bytes=0-3');
    expect(Buffer.from(await answer.arrayBuffer()).toString()).toBe('OggS');
    const cuts = [{ startSeconds: 0, endSeconds: 4, reason: 'fluff', on: true }] as const;
    const { work } = asSent('correct-take', { baseRevision: 1, ...NO_HAND_WORK, cuts, reading: take.reading });
    await correctTake(who, latest.id, onRevision(take.revision), work);
    const again = await openTake(who, latest.id);
    expect(again.cuts).toEqual(cuts);
    expect(again.reading.totals.said).toBe(take.reading.totals.said);
  });
});
