import { firstItems } from '@/core/units';
import { and, asc, eq, isNotNull, isNull, sql } from 'drizzle-orm';
import { movementUpToDate, type Movement, type MovementSummary } from '@/core/movement';
import type { Database } from '../database';
import { movementMedia, movements } from '../schema';
import { buildsOn, revisionOfSave, type SaveBase } from './save-base';

/** A movement as the library lists it. */
export interface ListedMovement {
  readonly id: string;
  readonly revision: number;
  readonly archived: boolean;
  readonly summary: MovementSummary;
  /** What its picture or clip is, and the version of it to ask for; `null` where it has none. */
  readonly media: ListedMedia | null;
}

export interface ListedMedia {
  readonly contentType: string;
  readonly version: string;
}

/** A movement with the number of its latest save. */
export interface StoredMovement {
  readonly id: string;
  readonly revision: number;
  readonly archived: boolean;
  readonly movement: Movement;
}

export interface NewMovement {
  readonly movement: Movement;
  readonly summary: MovementSummary;
}

const archived = sql<boolean>`${movements.archivedAt} is not null`;
const listedMedia = sql<ListedMedia | null>`case when ${movementMedia.movementId} is null then null else
  json_build_object('contentType', ${movementMedia.contentType}, 'version', ${movementMedia.storageKey}) end`;
const columns = { id: movements.id, revision: movements.revision, archived, movement: movements.document };

function one(studioId: string, id: string) {
  return and(eq(movements.studioId, studioId), eq(movements.id, id), isNull(movements.removedAt));
}

/** Every movement by name, archived ones too; the index on studio and name gives the order. */
export async function listMovements(db: Database, studioId: string): Promise<ListedMovement[]> {
  return db
    .select({
      id: movements.id,
      revision: movements.revision,
      archived,
      summary: movements.summary,
      media: listedMedia,
    })
    .from(movements)
    .leftJoin(movementMedia, eq(movementMedia.movementId, movements.id))
    .where(and(eq(movements.studioId, studioId), isNull(movements.removedAt)))
    .orderBy(asc(movements.name));
}

/** Movements whose name has the words in it, by name. */
export async function findMovementsByName(
  db: Database,
  studioId: string,
  words: string,
  max: number,
): Promise<{ readonly id: string; readonly name: string }[]> {
  return db
    .select({ id: movements.id, name: movements.name })
    .from(movements)
    .where(
      and(
        eq(movements.studioId, studioId),
        isNull(movements.removedAt),
        isNull(movements.archivedAt),
        sql`strpos(lower(${movements.name}), lower(${words})) > 0`,
      ),
    )
    .orderBy(asc(movements.name))
    .limit(max);
}

export async function findMovement(db: Database, studioId: string, id: string): Promise<StoredMovement | null> {
  const [found] = await db.select(columns).from(movements).where(one(studioId, id));
  return found ? { ...found, movement: movementUpToDate(found.movement) as Movement } : null;
}

function stored({ movement, summary }: NewMovement) {
  return { name: movement.name, summary, document: movement };
}

export async function insertMovement(db: Database, studioId: string, added: NewMovement): Promise<StoredMovement> {
  const [made] = firstItems(
    await db
      .insert(movements)
      .values({ studioId, ...stored(added) })
      .returning(columns),
    1,
  );
  return made;
}

/** Saves on top of what it builds on; `null`, and nothing changed, when another save came first. */
export async function updateMovement(
  db: Database,
  studioId: string,
  id: string,
  base: SaveBase,
  saved: NewMovement,
): Promise<number | null> {
  const [made] = await db
    .update(movements)
    .set({
      ...stored(saved),
      revision: sql`${movements.revision} + 1`,
      lastSaveId: base.saveId ?? null,
      updatedAt: sql`now()`,
    })
    .where(and(one(studioId, id), buildsOn(movements, base)))
    .returning({ revision: movements.revision });
  return made?.revision ?? revisionOfSave(db, movements, movements, one(studioId, id), base);
}

/** Puts a movement into the archive, or takes it out; whether that changed anything. */
export async function setMovementArchived(db: Database, studioId: string, id: string, away: boolean): Promise<boolean> {
  const changed = await db
    .update(movements)
    .set({ archivedAt: away ? sql`now()` : null })
    .where(and(one(studioId, id), away ? isNull(movements.archivedAt) : isNotNull(movements.archivedAt)))
    .returning({ id: movements.id });
  return changed.length > 0;
}
