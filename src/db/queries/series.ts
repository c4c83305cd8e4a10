import { and, asc, desc, eq, inArray, isNull, sql } from 'drizzle-orm';
import type { Database } from '../database';
import { classes, series } from '../schema';

export interface StoredSeries {
  readonly id: string;
  readonly title: string;
}

const columns = { id: series.id, title: series.title };

function present(studioId: string, id: string) {
  return and(eq(series.studioId, studioId), eq(series.id, id), isNull(series.removedAt));
}

export async function listSeries(db: Database, studioId: string): Promise<StoredSeries[]> {
  return db
    .select(columns)
    .from(series)
    .where(and(eq(series.studioId, studioId), isNull(series.removedAt)))
    .orderBy(asc(series.createdAt));
}

export async function findSeries(db: Database, studioId: string, id: string): Promise<StoredSeries | null> {
  const [found] = await db.select(columns).from(series).where(present(studioId, id));
  return found ?? null;
}

export async function insertSeries(db: Database, studioId: string, title: string): Promise<StoredSeries> {
  const [made] = await db.insert(series).values({ studioId, title }).returning(columns);
  return made;
}

/** Sets a series' title and exactly which classes stand in it, in this order. Classes of other studios stay out. */
export async function updateSeries(
  db: Database,
  studioId: string,
  id: string,
  title: string,
  classIds: readonly string[],
): Promise<boolean> {
  return db.transaction(async (tx) => {
    const changed = await tx.update(series).set({ title }).where(present(studioId, id)).returning({ id: series.id });
    if (changed.length === 0) return false;
    await tx
      .update(classes)
      .set({ seriesId: null, seriesOrder: null })
      .where(and(eq(classes.studioId, studioId), eq(classes.seriesId, id)));
    if (classIds.length > 0) {
      const place = sql`array_position(array[${sql.join(
        classIds.map((one) => sql`${one}::uuid`),
        sql`, `,
      )}], ${classes.id})`;
      await tx
        .update(classes)
        .set({ seriesId: id, seriesOrder: place })
        .where(and(eq(classes.studioId, studioId), inArray(classes.id, [...classIds])));
    }
    return true;
  });
}

/** Takes a series off the shelf; its classes stay. Whether there was one. */
export async function removeSeries(db: Database, studioId: string, id: string): Promise<boolean> {
  return db.transaction(async (tx) => {
    const changed = await tx
      .update(series)
      .set({ removedAt: sql`now()` })
      .where(present(studioId, id))
      .returning({ id: series.id });
    if (changed.length === 0) return false;
    await tx
      .update(classes)
      .set({ seriesId: null, seriesOrder: null })
      .where(and(eq(classes.studioId, studioId), eq(classes.seriesId, id)));
    return true;
  });
}

/** The last class of a series with its place; `null` while it is empty. */
export async function lastOfSeries(
  db: Database,
  studioId: string,
  id: string,
): Promise<{ readonly id: string; readonly order: number } | null> {
  const [last] = await db
    .select({ id: classes.id, order: sql<number>`coalesce(${classes.seriesOrder}, 0)` })
    .from(classes)
    .where(and(eq(classes.studioId, studioId), eq(classes.seriesId, id), isNull(classes.removedAt)))
    .orderBy(desc(classes.seriesOrder))
    .limit(1);
  return last ?? null;
}

/** Puts a class at the end of a series. */
export async function appendToSeries(
  db: Database,
  studioId: string,
  seriesId: string,
  classId: string,
  order: number,
): Promise<void> {
  await db
    .update(classes)
    .set({ seriesId, seriesOrder: order })
    .where(and(eq(classes.studioId, studioId), eq(classes.id, classId)));
}
