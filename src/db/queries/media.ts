import { and, eq, sql } from 'drizzle-orm';
import type { Database } from '../database';
import { movementMedia, storedFiles } from '../schema';

export interface StoredMedia {
  readonly contentType: string;
  readonly storageKey: string;
}

/** What a movement's picture or clip is and where it lies; `null` where it has none. */
export async function findMedia(db: Database, studioId: string, movementId: string): Promise<StoredMedia | null> {
  const [found] = await db
    .select({ contentType: movementMedia.contentType, storageKey: movementMedia.storageKey })
    .from(movementMedia)
    .where(and(eq(movementMedia.studioId, studioId), eq(movementMedia.movementId, movementId)));
  return found ?? null;
}

/** Every picture and clip of a studio. */
export async function listMedia(
  db: Database,
  studioId: string,
): Promise<(StoredMedia & { readonly movementId: string })[]> {
  return db
    .select({
      movementId: movementMedia.movementId,
      contentType: movementMedia.contentType,
      storageKey: movementMedia.storageKey,
    })
    .from(movementMedia)
    .where(eq(movementMedia.studioId, studioId));
}

/** Sets the picture or clip of a movement; `null` takes it away. */
export async function setMedia(
  db: Database,
  studioId: string,
  movementId: string,
  media: StoredMedia | null,
): Promise<void> {
  if (!media) {
    await db
      .delete(movementMedia)
      .where(and(eq(movementMedia.studioId, studioId), eq(movementMedia.movementId, movementId)));
    return;
  }
  await db
    .insert(movementMedia)
    .values({ studioId, movementId, ...media })
    .onConflictDoUpdate({ target: movementMedia.movementId, set: media });
}

export async function insertFile(db: Database, studioId: string, key: string, bytes: Uint8Array): Promise<void> {
  await db.insert(storedFiles).values({ key, studioId, bytes });
}

export async function findFile(db: Database, studioId: string, key: string): Promise<Uint8Array | null> {
  const [found] = await db
    .select({ bytes: storedFiles.bytes })
    .from(storedFiles)
    .where(and(eq(storedFiles.studioId, studioId), eq(storedFiles.key, key)));
  return found?.bytes ?? null;
}

export async function deleteFile(db: Database, studioId: string, key: string): Promise<void> {
  await db.delete(storedFiles).where(and(eq(storedFiles.studioId, studioId), eq(storedFiles.key, key)));
}

/** Deletes the files of a studio that belong to nothing any more. */
export async function deleteStrayFiles(db: Database, studioId: string): Promise<void> {
  await db
    .delete(storedFiles)
    .where(
      and(
        eq(storedFiles.studioId, studioId),
        sql`not exists (select 1 from ${movementMedia} where ${movementMedia.storageKey} = ${storedFiles.key})`,
      ),
    );
}
