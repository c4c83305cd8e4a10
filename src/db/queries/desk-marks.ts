import { and, eq, isNull, sql } from 'drizzle-orm';
import type { Database } from '../database';
import { classes, movementMedia, movements, studios, takes, voiceMeasures } from '../schema';

/** What tells whether anything that a desk shows has changed, without any of it: one question to the database. */
export interface DeskMarks {
  readonly title: string;
  readonly revision: number;
  readonly takes: number;
  /** Changes whenever the studio's library, voice or spelling does. */
  readonly studioMark: string;
}

/** `null` where there is no such class. */
export async function findDeskMarks(db: Database, studioId: string, classId: string): Promise<DeskMarks | null> {
  const library = sql`(select concat_ws(' ', count(*), count(${movements.archivedAt}), count(${movements.removedAt}), sum(${movements.revision}), max(${movements.updatedAt}), max(${movements.archivedAt}), max(${movements.removedAt})) from ${movements} where ${movements.studioId} = ${studioId})`;
  const media = sql`(select concat_ws(' ', count(*), max(${movementMedia.createdAt}), md5(string_agg(${movementMedia.storageKey}::text, ',' order by ${movementMedia.movementId}))) from ${movementMedia} where ${movementMedia.studioId} = ${studioId})`;
  const voice = sql`(select concat_ws(' ', count(*), max(${voiceMeasures.createdAt})) from ${voiceMeasures} where ${voiceMeasures.studioId} = ${studioId})`;
  const spelling = sql`(select concat_ws(' ', ${studios.name}, ${studios.spellingRevision}) from ${studios} where ${studios.id} = ${studioId})`;
  const [found] = await db
    .select({
      title: classes.title,
      revision: classes.revision,
      takes: sql<number>`(select count(*)::int from ${takes} where ${takes.studioId} = ${studioId} and ${takes.classId} = ${classId} and ${takes.removedAt} is null)`,
      studioMark: sql<string>`concat_ws(' / ', ${library}, ${media}, ${voice}, ${spelling})`,
    })
    .from(classes)
    .where(and(eq(classes.studioId, studioId), eq(classes.id, classId), isNull(classes.removedAt)));
  return found ?? null;
}
