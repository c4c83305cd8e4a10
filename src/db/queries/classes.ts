import { and, asc, eq, isNull, sql, type SQL } from 'drizzle-orm';
import { upToDate, type ClassPlan } from '@/core/plan';
import type { Database } from '../database';
import { classes, classRevisions, series, takes } from '../schema';
import { buildsOn, type SaveBase } from './save-base';

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

/** A judged plan as it is stored: its JSON, and the columns beside it. */
export interface PlanRow {
  /** The plan's JSON, written by whoever judged it; it goes to the database as it is. */
  readonly planText: string;
  readonly title: string;
  readonly targetSeconds: number;
  readonly runtimeSeconds: number;
}

const columns = { id: classes.id, revision: classes.revision, plan: classes.plan };

function present(studioId: string, id: string) {
  return and(eq(classes.studioId, studioId), eq(classes.id, id), isNull(classes.removedAt));
}

/** A series that lies in the bin holds no class meanwhile. */
const home = and(eq(series.id, classes.seriesId), isNull(series.removedAt));
/** Series in the order of their making, each class in its place, then those of no series as they were made. */
const placing = {
  seriesAt: sql`coalesce(${series.createdAt}, 'infinity'::timestamptz)`,
  seriesId: sql`coalesce(${series.id}::text, '')`,
  order: sql`case when ${series.id} is null then 0 else coalesce(${classes.seriesOrder}, 0) end`,
};

/** `most` classes in the order of the list, those after the class `after` if one is named. */
export async function listClasses(
  db: Database,
  studioId: string,
  { after, most }: { readonly after?: string; readonly most: number },
): Promise<ClassSummary[]> {
  return db
    .select({
      id: classes.id,
      title: classes.title,
      targetSeconds: classes.targetSeconds,
      runtimeSeconds: classes.runtimeSeconds,
      updatedAt: classes.updatedAt,
      seriesId: series.id,
      seriesOrder: sql<number | null>`case when ${series.id} is null then null else ${classes.seriesOrder} end`,
      takes: sql<number>`(select count(*)::int from ${takes} where ${takes}.studio_id = ${classes}.studio_id and ${takes}.class_id = ${classes}.id and ${takes}.removed_at is null)`,
    })
    .from(classes)
    .leftJoin(series, home)
    .where(
      and(eq(classes.studioId, studioId), isNull(classes.removedAt), after ? isAfter(db, studioId, after) : undefined),
    )
    .orderBy(placing.seriesAt, placing.seriesId, placing.order, asc(classes.createdAt), asc(classes.id))
    .limit(most);
}

/** Behind a class in the order of the list; the class itself may lie in the bin by now. */
function isAfter(db: Database, studioId: string, id: string): SQL {
  const place = db
    .select({
      at: placing.seriesAt.as('at'),
      series: placing.seriesId.as('series'),
      order: placing.order.as('order'),
      made: classes.createdAt,
      id: classes.id,
    })
    .from(classes)
    .leftJoin(series, home)
    .where(and(eq(classes.studioId, studioId), eq(classes.id, id)));
  return sql`(${placing.seriesAt}, ${placing.seriesId}, ${placing.order}, ${classes.createdAt}, ${classes.id}) > (${place})`;
}

export async function findClass(db: Database, studioId: string, id: string): Promise<StoredClass | null> {
  const [found] = await db.select(columns).from(classes).where(present(studioId, id));
  return found ? { ...found, plan: upToDate(found.plan) } : null;
}

/** The number of the latest save of a class; `null` where there is none. Far cheaper than its plan. */
export async function revisionOfClass(db: Database, studioId: string, id: string): Promise<number | null> {
  const [found] = await db.select({ revision: classes.revision }).from(classes).where(present(studioId, id));
  return found?.revision ?? null;
}

/** Whether a class is there, without its plan. */
export async function hasClass(db: Database, studioId: string, id: string): Promise<boolean> {
  const found = await db.select({ id: classes.id }).from(classes).where(present(studioId, id));
  return found.length > 0;
}

/** The stored plan of a class as JSON, with its title. */
export async function findPlanText(
  db: Database,
  studioId: string,
  id: string,
): Promise<{ readonly planText: string; readonly title: string } | null> {
  const [found] = await db
    .select({ planText: sql<string>`${classes.plan}::text`, title: classes.title })
    .from(classes)
    .where(present(studioId, id));
  return found ?? null;
}

function stored({ planText, ...searched }: PlanRow) {
  return { ...searched, plan: sql`${planText}::jsonb` };
}

export async function insertClass(db: Database, studioId: string, added: PlanRow): Promise<StoredClass> {
  return db.transaction(async (tx) => {
    const [made] = await tx
      .insert(classes)
      .values({ studioId, ...stored(added) })
      .returning(columns);
    const { id: classId, revision } = made;
    await tx.insert(classRevisions).values({ studioId, classId, revision, plan: stored(added).plan });
    return made;
  });
}

/**
 * Saves a plan on top of what it builds on; `null`, and nothing changed, when another save came first. One statement
 * decides, so two savers cannot both win. A save that is stored already gives its revision again.
 */
export async function updateClass(
  db: Database,
  studioId: string,
  id: string,
  base: SaveBase,
  saved: PlanRow,
): Promise<number | null> {
  return db.transaction(async (tx) => {
    const { saveId = null } = base;
    const [changed] = await tx
      .update(classes)
      .set({ ...stored(saved), revision: sql`${classes.revision} + 1`, lastSaveId: saveId, updatedAt: sql`now()` })
      .where(and(present(studioId, id), buildsOn(classes, base)))
      .returning({ revision: classes.revision });
    if (!changed) return saveId === null ? null : revisionOfSave(tx, studioId, id, saveId);
    const revision = { studioId, classId: id, revision: changed.revision, saveId };
    await tx.insert(classRevisions).values({ ...revision, plan: stored(saved).plan });
    return changed.revision;
  });
}

async function revisionOfSave(db: Database, studioId: string, classId: string, saveId: string): Promise<number | null> {
  const [found] = await db
    .select({ revision: classRevisions.revision })
    .from(classRevisions)
    .where(
      and(
        eq(classRevisions.studioId, studioId),
        eq(classRevisions.classId, classId),
        eq(classRevisions.saveId, saveId),
      ),
    );
  return found?.revision ?? null;
}
