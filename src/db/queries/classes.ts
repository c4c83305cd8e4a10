import { and, asc, eq, isNotNull, isNull, sql } from 'drizzle-orm';
import { upToDate, type ClassPlan } from '@/core/plan';
import type { Database } from '../database';
import { classes, classRevisions, takes } from '../schema';

/** A class as the shelf lists it. */
export interface ClassSummary {
  readonly id: string;
  readonly title: string;
  readonly targetSeconds: number;
  readonly runtimeSeconds: number;
  readonly updatedAt: Date;
  readonly takes: number;
  readonly seriesId: string | null;
  readonly seriesOrder: number | null;
}

/** A class with its plan and the number of its latest save. */
export interface StoredClass {
  readonly id: string;
  readonly revision: number;
  readonly plan: ClassPlan;
}

export interface NewClass {
  readonly plan: ClassPlan;
  readonly runtimeSeconds: number;
}

const columns = { id: classes.id, revision: classes.revision, plan: classes.plan };

function present(studioId: string, id: string) {
  return and(eq(classes.studioId, studioId), eq(classes.id, id), isNull(classes.removedAt));
}

export async function listClasses(db: Database, studioId: string): Promise<ClassSummary[]> {
  return db
    .select({
      id: classes.id,
      title: classes.title,
      targetSeconds: classes.targetSeconds,
      runtimeSeconds: classes.runtimeSeconds,
      updatedAt: classes.updatedAt,
      seriesId: classes.seriesId,
      seriesOrder: classes.seriesOrder,
      takes: sql<number>`(select count(*)::int from ${takes} where ${takes}.studio_id = ${classes}.studio_id and ${takes}.class_id = ${classes}.id and ${takes}.removed_at is null)`,
    })
    .from(classes)
    .where(and(eq(classes.studioId, studioId), isNull(classes.removedAt)))
    .orderBy(asc(classes.createdAt));
}

export async function findClass(db: Database, studioId: string, id: string): Promise<StoredClass | null> {
  const [found] = await db.select(columns).from(classes).where(present(studioId, id));
  return found ? { ...found, plan: upToDate(found.plan) } : null;
}

function searched({ plan, runtimeSeconds }: NewClass) {
  return { title: plan.title, targetSeconds: plan.targetSeconds, runtimeSeconds, plan };
}

export async function insertClass(db: Database, studioId: string, added: NewClass): Promise<StoredClass> {
  return db.transaction(async (tx) => {
    const [stored] = await tx
      .insert(classes)
      .values({ studioId, ...searched(added) })
      .returning(columns);
    await tx
      .insert(classRevisions)
      .values({ studioId, classId: stored.id, revision: stored.revision, plan: added.plan });
    return stored;
  });
}

/**
 * Saves a plan on top of revision `baseRevision`; `null`, and nothing changed, when another save came first. One
 * statement decides, so two savers cannot both win.
 */
export async function updateClass(
  db: Database,
  studioId: string,
  id: string,
  baseRevision: number,
  saved: NewClass,
): Promise<StoredClass | null> {
  return db.transaction(async (tx) => {
    const [stored] = await tx
      .update(classes)
      .set({ ...searched(saved), revision: baseRevision + 1, updatedAt: sql`now()` })
      .where(and(present(studioId, id), eq(classes.revision, baseRevision)))
      .returning(columns);
    if (!stored) return null;
    await tx.insert(classRevisions).values({ studioId, classId: id, revision: stored.revision, plan: saved.plan });
    return stored;
  });
}

/** Takes a class off the shelf, or puts it back; whether there was one. */
export async function setClassRemoved(db: Database, studioId: string, id: string, removed: boolean): Promise<boolean> {
  const changed = await db
    .update(classes)
    .set({ removedAt: removed ? sql`now()` : null })
    .where(
      and(
        eq(classes.studioId, studioId),
        eq(classes.id, id),
        removed ? isNull(classes.removedAt) : isNotNull(classes.removedAt),
      ),
    )
    .returning({ id: classes.id });
  return changed.length > 0;
}
