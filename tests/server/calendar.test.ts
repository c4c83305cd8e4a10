import ICAL from 'ical.js';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { insertStudio } from '@/db/queries/studios';
import { seedDemo } from '@/demo/seed';
import { addClass, listingOf, saveListing } from '@/server/classes';
import { liveCalendar } from '@/server/calendar';
import { asking, type Asking } from '@/server/studio';
import { freshDatabase } from '../support/application';
import { asSent } from '../support/as-sent';

/* The calendar of live classes, read by an outside reader of iCalendar (RFC 5545): ical.js. */

let database: Awaited<ReturnType<typeof freshDatabase>>;
let who: Asking;
const NOW = Date.UTC(2026, 2, 5, 12);
const ORIGIN = 'http://studio.example';

beforeAll(async () => {
  database = await freshDatabase('calm_calendar');
  await seedDemo(database.db);
  const { db } = await asking();
  who = { db, studio: await insertStudio(db, 'The hall; by the pier, east') };
});
afterAll(() => database.drop());

const eventsOf = (text: string): ICAL.Event[] =>
  new ICAL.Component(ICAL.parse(text) as string).getAllSubcomponents('vevent').map((one) => new ICAL.Event(one));

describe('the calendar of live classes', () => {
  it('is one that can be read where there is nothing in it', async () => {
    expect(eventsOf(await liveCalendar(who, ORIGIN, NOW))).toEqual([]);
  });

  it('has each coming date with the class’s title, length and prompter, and none that is over', async () => {
    const title = 'Low water; slowly, "twice"\\n';
    const made = await addClass(who, asSent('new-class', { from: 'nothing', title, targetSeconds: 3900 }));
    const dates = ['2026-02-01T18:00:00.000Z', '2026-03-05T18:30:00.000Z', '2026-07-09T17:30:00.000Z'];
    await saveListing(who, made.id, { tags: [], liveDates: [] }, { tags: [], liveDates: dates });
    expect((await listingOf(who, made.id)).liveDates).toEqual(dates);
    const events = eventsOf(await liveCalendar(who, ORIGIN, NOW));
    expect(events.map(({ summary }) => summary)).toEqual([title, title]);
    expect(events.map(({ startDate }) => startDate.toJSDate().toISOString())).toEqual(dates.slice(1));
    expect(events.map(({ duration }) => duration.toSeconds())).toEqual([3900, 3900]);
    expect(new Set(events.map(({ uid }) => uid)).size).toBe(2);
    expect(events[0]?.component.getFirstPropertyValue('url')).toBe(`${ORIGIN}/classes/${made.id}/perform`);
    expect(events[0]?.description).toContain(`${ORIGIN}/classes/${made.id}/stage?see-through`);
  });

  it('has nothing of another studio', async () => {
    const stranger: Asking = { db: who.db, studio: await insertStudio(who.db, 'Another hall') };
    expect(eventsOf(await liveCalendar(stranger, ORIGIN, NOW))).toEqual([]);
  });
});
