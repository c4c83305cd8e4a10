import { itemAt } from '@/core/units';
import { and, eq, isNotNull, isNull, lt, sql } from 'drizzle-orm';
import { BIN_KINDS, type BinKind } from '@/api/bin';
import type { Database } from '../database';
import { classes, movements, series, takes } from '../schema';
import { deleteStrayFiles } from './media';

/** Something removed. */
export interface BinnedRow {
  readonly kind: BinKind;
  readonly id: string;
  readonly name: string;
  /** The class that a take belongs to. */
  readonly of: string | null;
  readonly removedAt: Date;
}

/** Everything in a studio's bin, the latest first, `most` of each kind. */
export async function listBin(db: Database, studioId: string, max: number): Promise<BinnedRow[]> {
  const removed = await Promise.all([
    db
      .select({ id: classes.id, name: classes.title, removedAt: classes.removedAt, of: sql<null>`null` })
      .from(classes)
      .where(and(eq(classes.studioId, studioId), isNotNull(classes.removedAt)))
      .orderBy(sql`${classes.removedAt} desc`)
      .limit(max),
    db
      .select({ id: takes.id, name: takes.name, removedAt: takes.removedAt, of: classes.title })
      .from(takes)
      .innerJoin(classes, eq(classes.id, takes.classId))
      .where(and(eq(takes.studioId, studioId), isNotNull(takes.removedAt)))
      .orderBy(sql`${takes.removedAt} desc`)
      .limit(max),
    db
      .select({ id: movements.id, name: movements.name, removedAt: movements.removedAt, of: sql<null>`null` })
      .from(movements)
      .where(and(eq(movements.studioId, studioId), isNotNull(movements.removedAt)))
      .orderBy(sql`${movements.removedAt} desc`)
      .limit(max),
    db
      .select({ id: series.id, name: series.title, removedAt: series.removedAt, of: sql<null>`null` })
      .from(series)
      .where(and(eq(series.studioId, studioId), isNotNull(series.removedAt)))
      .orderBy(sql`${series.removedAt} desc`)
      .limit(max),
  ]);
  return removed
    .flatMap((rows, at) =>
      rows.map(({ removedAt, ...row }) => ({
        kind: itemAt(BIN_KINDS, at),
        ...row,
        removedAt: removedAt ?? new Date(0),
      })),
    )
    .sort((a, b) => b.removedAt.getTime() - a.removedAt.getTime());
}

const TABLES = { class: classes, take: takes, movement: movements, series } as const;

/** Puts something into the bin, or takes it out; whether there was such a thing to put, or to take. */
export async function setRemoved(
  db: Database,
  kind: BinKind,
  studioId: string,
  id: string,
  removed: boolean,
): Promise<boolean> {
  const table = TABLES[kind];
  const changed = await db
    .update(table)
    .set({ removedAt: removed ? sql`now()` : null })
    .where(
      and(
        eq(table.studioId, studioId),
        eq(table.id, id),
        removed ? isNull(table.removedAt) : isNotNull(table.removedAt),
      ),
    )
    .returning({ id: table.id });
  return changed.length > 0;
}

/**
 * Deletes for good what was removed before a time, and how many things that were. A series goes without its classes, a
 * class with its takes and its history.
 */
export async function emptyBin(db: Database, studioId: string, removedBefore: Date): Promise<number> {
  return db.transaction(async (tx) => {
    const counts: number[] = [];
    for (const table of [takes, classes, movements, series]) {
      const gone = await tx
        .delete(table)
        .where(and(eq(table.studioId, studioId), lt(table.removedAt, removedBefore)))
        .returning({ id: table.id });
      counts.push(gone.length);
    }
    // The picture of a movement goes with it, and so do its bytes.
    await deleteStrayFiles(tx, studioId);
    return counts.reduce((sum, one) => sum + one, 0);
  });
}
