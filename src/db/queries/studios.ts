import { firstItems } from '@/core/units';
import { and, asc, eq, inArray, sql } from 'drizzle-orm';
import { NO_SPELLING, type Spelling } from '@/core/words';
import type { Database } from '../database';
import { studios } from '../schema';
import { buildsOn, revisionOfSave, type SaveBase } from './save-base';

export interface Studio {
  readonly id: string;
  readonly name: string;
}

/** The studio served; `null` before the demo is seeded. */
export async function firstStudio(db: Database): Promise<Studio | null> {
  const [studio] = await db
    .select({ id: studios.id, name: studios.name })
    .from(studios)
    .orderBy(asc(studios.createdAt))
    .limit(1);
  return studio ?? null;
}

export async function insertStudio(db: Database, name: string): Promise<Studio> {
  const [studio] = firstItems(
    await db.insert(studios).values({ name }).returning({ id: studios.id, name: studios.name }),
    1,
  );
  return studio;
}

/** Sets the name of a studio where it is still as it was; whether it stands. */
export async function renameStudio(db: Database, id: string, was: string, name: string): Promise<boolean> {
  const named = await db
    .update(studios)
    .set({ name })
    .where(and(eq(studios.id, id), inArray(studios.name, [was, name])))
    .returning({ id: studios.id });
  return named.length > 0;
}

/** What a studio keeps about its terms, and the number of its latest save. */
export async function spellingOf(db: Database, id: string): Promise<Spelling & { readonly revision: number }> {
  const [found] = await db
    .select({ chosen: studios.spelling, own: studios.ownTerms, revision: studios.spellingRevision })
    .from(studios)
    .where(eq(studios.id, id));
  return found ?? { ...NO_SPELLING, revision: 1 };
}

/** Saves on top of what it builds on; `null`, and nothing changed, when another save came first. */
export async function setSpelling(
  db: Database,
  id: string,
  base: SaveBase,
  { chosen, own }: Spelling,
): Promise<number | null> {
  const columns = { revision: studios.spellingRevision, lastSaveId: studios.spellingSaveId };
  const [changed] = await db
    .update(studios)
    .set({
      spelling: chosen,
      ownTerms: own,
      spellingRevision: sql`${studios.spellingRevision} + 1`,
      spellingSaveId: base.saveId ?? null,
    })
    .where(and(eq(studios.id, id), buildsOn(columns, base)))
    .returning({ revision: studios.spellingRevision });
  return changed?.revision ?? revisionOfSave(db, studios, columns, eq(studios.id, id), base);
}

/** Removes a studio and all of its rows. */
export async function deleteStudio(db: Database, id: string): Promise<void> {
  await db.delete(studios).where(eq(studios.id, id));
}

/** Whether the database answers within `milliseconds`. */
export async function answers(db: Database, milliseconds: number): Promise<boolean> {
  let timer: NodeJS.Timeout | undefined;
  const late = new Promise<boolean>((done) => {
    timer = setTimeout(() => done(false), milliseconds);
  });
  const asked = db.execute(sql`select 1`).then(
    () => true,
    () => false,
  );
  return Promise.race([asked, late]).finally(() => clearTimeout(timer));
}
