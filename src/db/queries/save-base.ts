import { and, eq, inArray, isNull, ne, or, type AnyColumn, type SQL } from 'drizzle-orm';

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
