import { and, desc, eq, isNull, sql } from 'drizzle-orm';
import type { Evidence } from '@/core/align';
import { upToDate, type ClassPlan } from '@/core/plan';
import type { Corrections, HandWork, Reading, Recording } from '@/core/reading';
import type { Database } from '../database';
import { readings, takes } from '../schema';

export interface TakeSummary {
  readonly id: string;
  readonly name: string;
  readonly createdAt: Date;
}

/** A take with the plan it was read against and its reading as it stands. */
export interface StoredTake extends TakeSummary {
  readonly classId: string;
  readonly plan: ClassPlan;
  readonly evidence: Evidence;
  readonly recording: Recording | null;
  readonly soundId: string | null;
  readonly reading: Reading;
  readonly corrections: Corrections;
  readonly remarks: HandWork['remarks'];
  readonly cuts: HandWork['cuts'];
  readonly revision: number;
}

export interface NewTake {
  readonly classId: string;
  readonly name: string;
  readonly plan: ClassPlan;
  readonly evidence: Evidence;
  readonly recording?: Recording | null;
  readonly soundId?: string | null;
  readonly envelope?: Uint8Array | null;
  readonly reading: Reading;
}

export async function listTakes(db: Database, studioId: string, classId: string): Promise<TakeSummary[]> {
  return db
    .select({ id: takes.id, name: takes.name, createdAt: takes.createdAt })
    .from(takes)
    .where(and(eq(takes.studioId, studioId), eq(takes.classId, classId), isNull(takes.removedAt)))
    .orderBy(desc(takes.createdAt));
}

export async function findTake(db: Database, studioId: string, id: string): Promise<StoredTake | null> {
  const [found] = await db
    .select({
      id: takes.id,
      name: takes.name,
      createdAt: takes.createdAt,
      classId: takes.classId,
      plan: takes.plan,
      evidence: takes.evidence,
      recording: takes.recording,
      soundId: takes.soundId,
      reading: readings.reading,
      corrections: readings.corrections,
      remarks: readings.remarks,
      cuts: readings.cuts,
      revision: readings.revision,
    })
    .from(takes)
    .innerJoin(readings, eq(readings.takeId, takes.id))
    .where(and(eq(takes.studioId, studioId), eq(takes.id, id), isNull(takes.removedAt)));
  return found ? { ...found, plan: upToDate(found.plan) } : null;
}

/** More takes than this say nothing new of a habit. */
const LEARNED_FROM = 12;

/** The latest takes of a class with the plans they were read against, the oldest of them first. */
export async function findTakenClasses(
  db: Database,
  studioId: string,
  classId: string,
): Promise<(Pick<StoredTake, 'id' | 'name' | 'plan' | 'reading'> & { readonly createdAt: Date })[]> {
  const found = await db
    .select({
      id: takes.id,
      name: takes.name,
      createdAt: takes.createdAt,
      plan: takes.plan,
      reading: readings.reading,
    })
    .from(takes)
    .innerJoin(readings, eq(readings.takeId, takes.id))
    .where(and(eq(takes.studioId, studioId), eq(takes.classId, classId), isNull(takes.removedAt)))
    .orderBy(desc(takes.createdAt))
    .limit(LEARNED_FROM);
  return found.reverse().map((take) => ({ ...take, plan: upToDate(take.plan) }));
}

/** The envelope of a take; `null` where it has none or is not there. */
export async function findEnvelope(db: Database, studioId: string, id: string): Promise<Uint8Array | null> {
  const [found] = await db
    .select({ envelope: takes.envelope })
    .from(takes)
    .where(and(eq(takes.studioId, studioId), eq(takes.id, id), isNull(takes.removedAt)));
  return found?.envelope ?? null;
}

export async function insertTake(db: Database, studioId: string, { reading, ...take }: NewTake): Promise<string> {
  return db.transaction(async (tx) => {
    const [stored] = await tx
      .insert(takes)
      .values({ studioId, ...take })
      .returning({ id: takes.id });
    await tx.insert(readings).values({ studioId, takeId: stored.id, reading, corrections: {} });
    return stored.id;
  });
}

/** Saves a corrected reading on top of `baseRevision`; the new revision, or `null` when another save came first. */
export async function updateReading(
  db: Database,
  studioId: string,
  takeId: string,
  baseRevision: number,
  saved: { readonly reading: Reading } & HandWork,
): Promise<number | null> {
  const [stored] = await db
    .update(readings)
    .set({ ...saved, revision: baseRevision + 1, updatedAt: sql`now()` })
    .where(and(eq(readings.studioId, studioId), eq(readings.takeId, takeId), eq(readings.revision, baseRevision)))
    .returning({ revision: readings.revision });
  return stored?.revision ?? null;
}

export async function removeTake(db: Database, studioId: string, id: string): Promise<boolean> {
  const removed = await db
    .update(takes)
    .set({ removedAt: sql`now()` })
    .where(and(eq(takes.studioId, studioId), eq(takes.id, id), isNull(takes.removedAt)))
    .returning({ id: takes.id });
  return removed.length > 0;
}
