import { firstItems } from '@/core/units';
import { and, asc, eq, gte, inArray, isNull, sql, type SQL } from 'drizzle-orm';
import { sameDocument } from '@/core/document';
import { upToDate, type ClassPlan } from '@/core/plan';
import { expandPlan, packShape, shapeOf, type Timeline } from '@/core/timeline';
import type { Database } from '../database';
import { classes, classRevisions, liveDates, readings, series, takes } from '../schema';
import { buildsOn, type SaveBase } from './save-base';

/** A class as the list shows it. */
export interface ClassSummary {
  readonly id: string;
  readonly title: string;
  readonly targetSeconds: number;
  readonly runtimeSeconds: number;
  readonly updatedAt: Date;
  readonly takes: number;
  /** How far the latest take ended from its plan; `null` where there is none. */
  readonly lastOffSeconds: number | null;
  readonly about: string | null;
  readonly shape: string | null;
  readonly tags: readonly string[];
  /** The next time it is given live, ISO 8601; `null` where none is set. */
  readonly nextLive: string | null;
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
  readonly about: string;
  readonly shape: string;
}

/** A plan that is known to be good as it is stored, with what lists show of it. */
export function planRow(plan: ClassPlan, timeline: Timeline = expandPlan(plan)): PlanRow {
  return {
    planText: JSON.stringify(plan),
    title: plan.title,
    targetSeconds: plan.targetSeconds,
    runtimeSeconds: timeline.runtimeSeconds,
    about: [plan.focus, plan.audience].filter((one) => one.trim() !== '').join(' · '),
    shape: packShape(shapeOf(plan, timeline)),
  };
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

/*
 * What is told of each class from other tables, as questions of its own: they are asked of the rows that are shown, once
 * these are known, and not of all.
 */
const ofTakes = sql`${takes}.studio_id = ${classes}.studio_id and ${takes}.class_id = ${classes}.id and ${takes}.removed_at is null`;
const takesCounted = sql<number>`(select count(*)::int from ${takes} where ${ofTakes})`;
const lastOff = sql<
  number | null
>`(select (${readings}.glance->>'offSeconds')::real from ${takes} join ${readings} on ${readings}.take_id = ${takes}.id where ${ofTakes} order by ${takes}.created_at desc limit 1)`;
const nextLive = sql<
  string | null
>`(select to_char(min(${liveDates}.starts_at) at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS"Z"') from ${liveDates} where ${liveDates}.class_id = ${classes}.id and ${liveDates}.starts_at > now() - interval '3 hours')`;

/** `most` classes in the order of the list, those after the class `after` if one is named. */
export async function listClasses(
  db: Database,
  studioId: string,
  { after, max }: { readonly after?: string; readonly max: number },
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
      about: classes.about,
      shape: classes.shape,
      tags: classes.tags,
      takes: takesCounted,
      lastOffSeconds: lastOff,
      nextLive,
    })
    .from(classes)
    .leftJoin(series, home)
    .where(
      and(eq(classes.studioId, studioId), isNull(classes.removedAt), after ? isAfter(db, studioId, after) : undefined),
    )
    .orderBy(placing.seriesAt, placing.seriesId, placing.order, asc(classes.createdAt), asc(classes.id))
    .limit(max);
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

/** What a list shows of plans that were stored before it was kept is worked out and kept now. */
export async function fillShapes(
  db: Database,
  studioId: string,
  ids: readonly string[],
): Promise<ReadonlyMap<string, Pick<PlanRow, 'about' | 'shape'>>> {
  const filled = new Map<string, Pick<PlanRow, 'about' | 'shape'>>();
  if (ids.length === 0) return filled;
  const found = await db
    .select({ id: classes.id, plan: classes.plan })
    .from(classes)
    .where(and(eq(classes.studioId, studioId), inArray(classes.id, [...ids])));
  for (const { id, plan } of found) {
    const { about, shape } = planRow(upToDate(plan));
    filled.set(id, { about, shape });
    // A save that came meanwhile has set its own.
    await db
      .update(classes)
      .set({ about, shape })
      .where(and(present(studioId, id), isNull(classes.shape)));
  }
  return filled;
}

/** What is kept of a class beside its script. */
export interface ClassListing {
  readonly tags: readonly string[];
  /** ISO 8601, in order. */
  readonly liveDates: readonly string[];
}

/** Tags and live dates of a class; `null` where it is not there. With `hold` nobody else changes them meanwhile. */
export async function findListing(
  db: Database,
  studioId: string,
  id: string,
  hold = false,
): Promise<ClassListing | null> {
  const asked = db.select({ tags: classes.tags }).from(classes).where(present(studioId, id));
  const [found] = hold ? await asked.for('update') : await asked;
  if (!found) return null;
  const dates = await db
    .select({ startsAt: liveDates.startsAt })
    .from(liveDates)
    .where(and(eq(liveDates.studioId, studioId), eq(liveDates.classId, id)))
    .orderBy(asc(liveDates.startsAt));
  return { tags: found.tags, liveDates: dates.map(({ startsAt }) => startsAt.toISOString()) };
}

/** Sets tags and live dates where they are still as they were; gives back how they stand, or `null` where it is not there. */
export async function setListing(
  db: Database,
  studioId: string,
  id: string,
  was: ClassListing,
  next: ClassListing,
): Promise<{ readonly done: boolean; readonly current: ClassListing } | null> {
  return db.transaction(async (tx) => {
    const current = await findListing(tx, studioId, id, true);
    if (!current) return null;
    // What was sent again, when an answer was lost, stands already.
    if (sameDocument(current, next)) return { done: true, current };
    if (!sameDocument(current, was)) return { done: false, current };
    await tx
      .update(classes)
      .set({ tags: [...next.tags] })
      .where(present(studioId, id));
    await tx.delete(liveDates).where(and(eq(liveDates.studioId, studioId), eq(liveDates.classId, id)));
    if (next.liveDates.length > 0) {
      const rows = next.liveDates.map((one) => ({ studioId, classId: id, startsAt: new Date(one) }));
      await tx.insert(liveDates).values(rows);
    }
    return { done: true, current: next };
  });
}

/** Classes whose title has the words in it, the last edited first. */
export async function findClassesByTitle(
  db: Database,
  studioId: string,
  words: string,
  max: number,
): Promise<{ readonly id: string; readonly title: string; readonly runtimeSeconds: number }[]> {
  return db
    .select({ id: classes.id, title: classes.title, runtimeSeconds: classes.runtimeSeconds })
    .from(classes)
    .where(
      and(
        eq(classes.studioId, studioId),
        isNull(classes.removedAt),
        sql`strpos(lower(${classes.title}), lower(${words})) > 0`,
      ),
    )
    .orderBy(sql`${classes.updatedAt} desc`)
    .limit(max);
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
    const [made] = firstItems(
      await tx
        .insert(classes)
        .values({ studioId, ...stored(added) })
        .returning(columns),
      1,
    );
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

/** A date at which a class is given live. */
export interface ComingLive {
  readonly classId: string;
  readonly title: string;
  readonly startsAt: Date;
  /** Its target. */
  readonly seconds: number;
}

/** The dates of a studio's classes from a moment on, in order; those of classes in the bin are not among them. */
export async function comingLives(db: Database, studioId: string, from: Date, max: number): Promise<ComingLive[]> {
  return db
    .select({
      classId: classes.id,
      title: classes.title,
      startsAt: liveDates.startsAt,
      seconds: classes.targetSeconds,
    })
    .from(liveDates)
    .innerJoin(classes, eq(liveDates.classId, classes.id))
    .where(and(eq(liveDates.studioId, studioId), isNull(classes.removedAt), gte(liveDates.startsAt, from)))
    .orderBy(asc(liveDates.startsAt))
    .limit(max);
}
