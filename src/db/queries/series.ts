import { firstItems } from '@/core/units';
import { and, asc, desc, eq, inArray, isNull, sql } from 'drizzle-orm';
import type { Database } from '../database';
import { classes, series } from '../schema';
import { buildsOn, revisionOfSave, type SaveBase } from './save-base';

export interface StoredSeries {
  readonly id: string;
  readonly title: string;
  readonly revision: number;
}

const columns = { id: series.id, title: series.title, revision: series.revision };

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

export async function insertSeries(db: Database, studioId: string, title: string): Promise<StoredSeries> {
  const [made] = firstItems(await db.insert(series).values({ studioId, title }).returning(columns), 1);
  return made;
}

/**
 * Sets a series' title and exactly which classes stand in it, in this order; `null`, and nothing changed, when another
 * save came first. Classes of other studios stay out; those in the bin keep their place.
 */
export async function updateSeries(
  db: Database,
  studioId: string,
  id: string,
  base: SaveBase,
  { title, classIds }: { readonly title: string; readonly classIds: readonly string[] },
): Promise<number | null> {
  return db.transaction(async (tx) => {
    const [changed] = await tx
      .update(series)
      .set({ title, revision: sql`${series.revision} + 1`, lastSaveId: base.saveId ?? null })
      .where(and(present(studioId, id), buildsOn(series, base)))
      .returning({ revision: series.revision });
    if (!changed) return revisionOfSave(tx, series, series, present(studioId, id), base);
    await tx
      .update(classes)
      .set({ seriesId: null, seriesOrder: null })
      .where(and(eq(classes.studioId, studioId), eq(classes.seriesId, id), isNull(classes.removedAt)));
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
    return changed.revision;
  });
}

/**
 * Holds a series for a transaction, so that nobody else adds to it meanwhile; its last class with its place is then the
 * last (`null` while it is empty). `null` where there is no such series.
 */
export async function holdSeries(
  tx: Database,
  studioId: string,
  id: string,
): Promise<{ readonly title: string; readonly last: { readonly id: string; readonly order: number } | null } | null> {
  const [held] = await tx.select(columns).from(series).where(present(studioId, id)).for('update');
  if (!held) return null;
  const [last] = await tx
    .select({ id: classes.id, order: sql<number>`coalesce(${classes.seriesOrder}, 0)` })
    .from(classes)
    .where(and(eq(classes.studioId, studioId), eq(classes.seriesId, id), isNull(classes.removedAt)))
    .orderBy(desc(classes.seriesOrder))
    .limit(1);
  return { title: held.title, last: last ?? null };
}

/** Puts a class at the end of a series, which is thereby saved anew. */
export async function appendToSeries(
  tx: Database,
  studioId: string,
  seriesId: string,
  classId: string,
  order: number,
): Promise<void> {
  await tx
    .update(series)
    .set({ revision: sql`${series.revision} + 1`, lastSaveId: null })
    .where(present(studioId, seriesId));
  await tx
    .update(classes)
    .set({ seriesId, seriesOrder: order })
    .where(and(eq(classes.studioId, studioId), eq(classes.id, classId)));
}
