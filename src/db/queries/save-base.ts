import { and, eq, inArray, isNull, ne, or, sql, type AnyColumn, type SQL } from 'drizzle-orm';
import type { PgTable } from 'drizzle-orm/pg-core';
import type { Database } from '../database';

/**
 * What a save builds on, as the browser knows it. `saveId` names the save, so that the same one may come twice when its
 * answer was lost; `unanswered` are saves of the same tab whose answer never came: what stands stored may be one of them.
 */
export interface SaveBase {
  readonly baseRevision: number;
  readonly saveId?: string | null;
  readonly unanswered?: readonly string[];
}

/** A save that names nothing but the revision it builds on. */
export function onRevision(baseRevision: number): SaveBase {
  return { baseRevision };
}

/** Whether a row still stands as a save left it that builds on it, and does not hold that very save already. */
export function buildsOn(
  columns: { readonly revision: AnyColumn; readonly lastSaveId: AnyColumn },
  { baseRevision, saveId, unanswered = [] }: SaveBase,
): SQL | undefined {
  const stands =
    unanswered.length === 0
      ? eq(columns.revision, baseRevision)
      : or(eq(columns.revision, baseRevision), inArray(columns.lastSaveId, [...unanswered]));
  return saveId ? and(stands, or(isNull(columns.lastSaveId), ne(columns.lastSaveId, saveId))) : stands;
}

/** The revision that a save left, where it stands stored already: it was sent again, its answer was lost. */
export async function revisionOfSave(
  db: Database,
  table: PgTable,
  columns: { readonly revision: AnyColumn; readonly lastSaveId: AnyColumn },
  where: SQL | undefined,
  { saveId }: SaveBase,
): Promise<number | null> {
  if (!saveId) return null;
  const [same] = await db
    .select({ revision: sql<number>`${columns.revision}` })
    .from(table)
    .where(and(where, eq(columns.lastSaveId, saveId)));
  return same?.revision ?? null;
}
