import { createEvents, type EventAttributes } from 'ics';
import { comingLives, type ComingLive } from '@/db/queries/classes';
import type { Asking } from './studio';

/** Dates that a calendar brings at most. */
const EVENTS_AT_MOST = 500;
/** A calendar shows what was given today, too. */
const BACK_MILLISECONDS = 24 * 3_600_000;

/**
 * The coming live classes of a studio as iCalendar (RFC 5545), each with its length and the address to perform it at.
 * @throws Error when a date could not be written, which the door of dates should have refused.
 */
export async function liveCalendar({ db, studio }: Asking, origin: string, now = Date.now()): Promise<string> {
  const lives = await comingLives(db, studio.id, new Date(now - BACK_MILLISECONDS), EVENTS_AT_MOST);
  if (lives.length === 0) return EMPTY;
  const { value, error } = createEvents(
    lives.map((live) => eventOf(live, origin)),
    { productId: PRODUCT, calName: `Live classes, ${studio.name}` },
  );
  if (error || !value) throw error ?? new Error('no calendar was written');
  return value;
}

const PRODUCT = 'calm-count';
/** A calendar with nothing in it yet can be subscribed to all the same. */
const EMPTY = ['BEGIN:VCALENDAR', 'VERSION:2.0', `PRODID:${PRODUCT}`, 'END:VCALENDAR', ''].join('\r\n');

function eventOf({ classId, title, startsAt, seconds }: ComingLive, origin: string): EventAttributes {
  const minutes = Math.max(1, Math.round(seconds / 60));
  return {
    uid: `${classId}-${startsAt.getTime()}@calm-count`,
    title,
    start: startsAt.getTime(),
    startInputType: 'utc',
    startOutputType: 'utc',
    duration: { hours: Math.floor(minutes / 60), minutes: minutes % 60 },
    url: `${origin}/classes/${classId}/perform`,
    description: `The prompter: ${origin}/classes/${classId}/perform\nIts overlay, in the same browser: ${origin}/classes/${classId}/stage?see-through`,
    busyStatus: 'BUSY',
  };
}
