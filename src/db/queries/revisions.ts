import { and, desc, eq, inArray, lt } from 'drizzle-orm';
import { upToDate, type ClassPlan } from '@/core/plan';
import type { Database } from '../database';
import { classRevisions } from '../schema';

export interface RevisionMark {
  readonly revision: number;
  readonly createdAt: Date;
  /** What somebody called it. */
  readonly name: string | null;
}

export interface StoredRevision extends RevisionMark {
  readonly plan: ClassPlan;
}

const mark = { revision: classRevisions.revision, createdAt: classRevisions.createdAt, name: classRevisions.name };

function ofClass(studioId: string, classId: string) {
  return and(eq(classRevisions.studioId, studioId), eq(classRevisions.classId, classId));
}

/** Saves of a class without their plans, the newest first; those before `before`, at most `most`. */
export async function listRevisions(
  db: Database,
  studioId: string,
  classId: string,
  before: number,
  max: number,
): Promise<RevisionMark[]> {
  return db
    .select(mark)
    .from(classRevisions)
    .where(and(ofClass(studioId, classId), lt(classRevisions.revision, before)))
    .orderBy(desc(classRevisions.revision))
    .limit(max);
}

/** The plans of some saves, by their number. */
export async function findRevisions(
  db: Database,
  studioId: string,
  classId: string,
  revisions: readonly number[],
): Promise<ReadonlyMap<number, StoredRevision>> {
  if (revisions.length === 0) return new Map();
  const found = await db
    .select({ ...mark, plan: classRevisions.plan })
    .from(classRevisions)
    .where(and(ofClass(studioId, classId), inArray(classRevisions.revision, [...revisions])));
  return new Map(found.map((one) => [one.revision, { ...one, plan: upToDate(one.plan) }]));
}

/** Calls a save by a name, or takes the name away; whether there is such a save. */
export async function nameRevision(
  db: Database,
  studioId: string,
  classId: string,
  revision: number,
  name: string | null,
): Promise<boolean> {
  const named = await db
    .update(classRevisions)
    .set({ name })
    .where(and(ofClass(studioId, classId), eq(classRevisions.revision, revision)))
    .returning({ id: classRevisions.id });
  return named.length > 0;
}
