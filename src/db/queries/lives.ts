import { and, asc, desc, eq, gt, inArray, isNull, lt, or, sql } from 'drizzle-orm';
import type { LiveEvent, ShownClass, Standing } from '@/core/live';
import { firstItems } from '@/core/units';
import type { Database } from '../database';
import { classes, liveEvents, lives } from '../schema';

export interface StoredLive {
  readonly id: string;
  readonly studioId: string;
  readonly code: string;
  readonly remoteCode: string;
  readonly leader: string;
  readonly lastNumber: number;
  readonly expiresAt: Date;
  readonly isOver: boolean;
}

/** Where changes of live classes are told to every server that listens; what is told is the id and the newest number. */
export const LIVE_CHANNEL = 'calm_live';

const isOver = sql<boolean>`(${lives.revokedAt} is not null or ${lives.expiresAt} <= clock_timestamp())`;
const columns = {
  id: lives.id,
  studioId: lives.studioId,
  code: lives.code,
  remoteCode: lives.remoteCode,
  leader: lives.leader,
  lastNumber: lives.lastNumber,
  expiresAt: lives.expiresAt,
  isOver,
};
const runs = and(isNull(lives.revokedAt), gt(lives.expiresAt, sql`clock_timestamp()`));

/** Holds a class for a transaction, so that two prompters do not both begin; whether there is one. */
export async function holdClass(tx: Database, studioId: string, classId: string): Promise<boolean> {
  const found = await tx
    .select({ id: classes.id })
    .from(classes)
    .where(and(eq(classes.studioId, studioId), eq(classes.id, classId), isNull(classes.removedAt)))
    .for('update');
  return found.length > 0;
}

/** The live class of a class that runs now. */
export async function runningLive(db: Database, studioId: string, classId: string): Promise<StoredLive | null> {
  const [found] = await db
    .select(columns)
    .from(lives)
    .where(and(eq(lives.studioId, studioId), eq(lives.classId, classId), runs))
    .orderBy(desc(lives.createdAt))
    .limit(1);
  return found ?? null;
}

/** Live classes that ended before a time are forgotten, with their events. */
export async function forgetLives(db: Database, studioId: string, before: Date): Promise<void> {
  const ended = or(lt(lives.expiresAt, before), lt(lives.revokedAt, before));
  await db.delete(lives).where(and(eq(lives.studioId, studioId), ended));
}

export async function insertLive(
  db: Database,
  row: {
    readonly studioId: string;
    readonly classId: string;
    readonly code: string;
    readonly remoteCode: string;
    readonly leader: string;
    readonly shown: ShownClass;
    readonly expiresAt: Date;
  },
): Promise<StoredLive> {
  const [made] = firstItems(await db.insert(lives).values(row).returning(columns), 1);
  return made;
}

/** By either of its codes; one that is over is found too, and says so. */
export async function findLive(db: Database, code: string): Promise<StoredLive | null> {
  const [found] = await db
    .select(columns)
    .from(lives)
    .where(or(eq(lives.code, code), eq(lives.remoteCode, code)))
    .limit(1);
  return found ?? null;
}

/** What followers see of it, where it stands, and the number of the newest event. */
export async function liveSnapshot(
  db: Database,
  id: string,
): Promise<{ readonly shown: ShownClass; readonly standing: Standing | null; readonly number: number } | null> {
  const [found] = await db
    .select({ shown: lives.shown, standing: lives.standing, number: lives.lastNumber })
    .from(lives)
    .where(eq(lives.id, id));
  return found ?? null;
}

/** Lets another prompter lead. */
export async function setLeader(db: Database, id: string, leader: string, expiresAt: Date): Promise<void> {
  await db.update(lives).set({ leader, expiresAt }).where(eq(lives.id, id));
}

/** Its codes open nothing from then on; never later than they do already where `earlier` is said. */
export async function setExpiry(db: Database, id: string, expiresAt: Date, earlier: boolean): Promise<void> {
  const at = earlier ? sql`least(${lives.expiresAt}, ${expiresAt})` : expiresAt;
  await db.update(lives).set({ expiresAt: at }).where(eq(lives.id, id));
}

/** Ends the live classes of a class now, and tells so. */
export async function revokeLives(db: Database, studioId: string, classId: string): Promise<void> {
  const ended = await db
    .update(lives)
    .set({ revokedAt: sql`clock_timestamp()` })
    .where(and(eq(lives.studioId, studioId), eq(lives.classId, classId), runs))
    .returning({ id: lives.id, number: lives.lastNumber });
  for (const { id, number } of ended) await tell(db, id, number);
}

/**
 * Appends events in order, each once however often it is sent, and tells it; their place is held meanwhile, so that
 * numbers are committed in order and without gaps. The number of the newest, or `null`, and nothing appended, where the
 * live class is over or not led by `leader`; whoever leads is judged under the same lock.
 */
export async function appendEvents(
  db: Database,
  live: Pick<StoredLive, 'id' | 'studioId'>,
  events: readonly { readonly id: string; readonly event: LiveEvent }[],
  leader: string | null = null,
): Promise<number | null> {
  return db.transaction(async (tx) => {
    const [held] = await tx
      .select({ number: lives.lastNumber })
      .from(lives)
      .where(and(eq(lives.id, live.id), runs, leader === null ? undefined : eq(lives.leader, leader)))
      .for('update');
    if (!held) return null;
    const ids = events.map(({ id }) => id);
    const known = await tx
      .select({ id: liveEvents.eventId })
      .from(liveEvents)
      .where(and(eq(liveEvents.liveId, live.id), inArray(liveEvents.eventId, ids)));
    const before = new Set(known.map(({ id }) => id));
    const fresh = events.filter(({ id }, at) => !before.has(id) && ids.indexOf(id) === at);
    if (fresh.length === 0) return held.number;
    const rows = fresh.map(({ id, event }, at) => ({
      studioId: live.studioId,
      liveId: live.id,
      number: held.number + 1 + at,
      eventId: id,
      event,
    }));
    await tx.insert(liveEvents).values(rows);
    const number = held.number + fresh.length;
    await tx
      .update(lives)
      .set({ lastNumber: number, ...newest(fresh.map(({ event }) => event)) })
      .where(eq(lives.id, live.id));
    await tell(tx, live.id, number);
    return number;
  });
}

/** What the events leave of how things stand. */
function newest(events: readonly LiveEvent[]): { standing?: Standing; shown?: ShownClass } {
  const standing = events.findLast((one) => one.kind === 'standing');
  const shown = events.findLast((one) => one.kind === 'shown');
  return { ...(standing && { standing: standing.standing }), ...(shown && { shown: shown.shown }) };
}

async function tell(db: Database, id: string, number: number): Promise<void> {
  await db.execute(sql`select pg_notify(${LIVE_CHANNEL}, ${`${id} ${number}`})`);
}

/** Events after a number, in order, at most so many. */
export async function eventsAfter(
  db: Database,
  liveId: string,
  number: number,
  max: number,
): Promise<readonly { readonly number: number; readonly event: LiveEvent }[]> {
  return db
    .select({ number: liveEvents.number, event: liveEvents.event })
    .from(liveEvents)
    .where(and(eq(liveEvents.liveId, liveId), gt(liveEvents.number, number)))
    .orderBy(asc(liveEvents.number))
    .limit(max);
}

/** Whether a live class is over. */
export async function isLiveOver(db: Database, id: string): Promise<boolean> {
  const [found] = await db.select({ isOver }).from(lives).where(eq(lives.id, id));
  return found?.isOver ?? true;
}

/** The database's clock, which every server shares, in milliseconds since 1970. */
export async function sharedClock(db: Database): Promise<number> {
  const { rows } = await db.execute<{ now: string }>(sql`select extract(epoch from clock_timestamp()) * 1000 as now`);
  return Number(firstItems(rows, 1)[0].now);
}
