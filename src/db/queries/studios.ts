import { asc, eq, sql } from 'drizzle-orm';
import { NO_SPELLING, type Spelling } from '@/core/words';
import type { Database } from '../database';
import { studios } from '../schema';

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
  const [studio] = await db.insert(studios).values({ name }).returning({ id: studios.id, name: studios.name });
  return studio;
}

/** What a studio keeps about its terms. */
export async function spellingOf(db: Database, id: string): Promise<Spelling> {
  const [found] = await db
    .select({ chosen: studios.spelling, own: studios.ownTerms })
    .from(studios)
    .where(eq(studios.id, id));
  return found ?? NO_SPELLING;
}

export async function setSpelling(db: Database, id: string, { chosen, own }: Spelling): Promise<void> {
  await db.update(studios).set({ spelling: chosen, ownTerms: own }).where(eq(studios.id, id));
}

/** Removes a studio and all of its rows. */
export async function deleteStudio(db: Database, id: string): Promise<void> {
  await db.delete(studios).where(eq(studios.id, id));
}

/** Whether the database answers. */
export async function answers(db: Database): Promise<boolean> {
  try {
    await db.execute(sql`select 1`);
    return true;
  } catch {
    return false;
  }
}
