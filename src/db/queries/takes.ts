import { and, desc, eq, isNull, sql } from 'drizzle-orm';
import type { Evidence } from '@/core/align';
import type { StepPerformed } from '@/core/conductor';
import { upToDate, type ClassPlan } from '@/core/plan';
import type { Corrections, HandWork, Reading, Recording, TakeGlance } from '@/core/reading';
import type { Database } from '../database';
import { readings, takes } from '../schema';
import { buildsOn, revisionOfSave, type SaveBase } from './save-base';

export interface TakeSummary {
  readonly id: string;
  readonly name: string;
  readonly createdAt: Date;
}

/** A take in the list of its class. */
export interface ListedTake extends TakeSummary {
  readonly glance: TakeGlance | null;
}

/** A take with the plan it was read against and its reading as it stands. */
export interface StoredTake extends TakeSummary {
  readonly classId: string;
  readonly plan: ClassPlan;
  readonly evidence: Evidence;
  readonly recording: Recording | null;
  readonly performed: readonly StepPerformed[] | null;
  readonly soundId: string | null;
  readonly reading: Reading;
  readonly corrections: Corrections;
  readonly adLibs: HandWork['adLibs'];
  readonly cuts: HandWork['cuts'];
  readonly revision: number;
}

/** A judged take as it is stored: documents as the JSON that whoever judged them wrote. */
export interface TakeRow {
  /** Made here when left out. */
  readonly id?: string;
  readonly classId: string;
  readonly name: string;
  readonly planText: string;
  readonly evidenceText: string;
  readonly recordingText: string | null;
  /** JSON of its steps by the prompter's log. */
  readonly performedText: string | null;
  readonly soundId: string | null;
  readonly envelope: Uint8Array | null;
  readonly readingText: string;
  /** JSON of its `TakeGlance`. */
  readonly glanceText: string;
}

/** What somebody did to a take, with the reading that it gives, as JSON. */
export interface HandWorkRow {
  readonly readingText: string;
  readonly correctionsText: string;
  readonly adLibsText: string | null;
  readonly cutsText: string | null;
}

const json = (text: string) => sql`${text}::jsonb`;

export async function listTakes(db: Database, studioId: string, classId: string): Promise<ListedTake[]> {
  return db
    .select({ id: takes.id, name: takes.name, createdAt: takes.createdAt, glance: readings.glance })
    .from(takes)
    .innerJoin(readings, eq(readings.takeId, takes.id))
    .where(and(eq(takes.studioId, studioId), eq(takes.classId, classId), isNull(takes.removedAt)))
    .orderBy(desc(takes.createdAt));
}

/** Readings of a class that lists show nothing of yet: rows from before it was kept. */
export async function readingsWithoutGlance(
  db: Database,
  studioId: string,
  classId: string,
): Promise<{ readonly takeId: string; readonly reading: Reading }[]> {
  return db
    .select({ takeId: readings.takeId, reading: readings.reading })
    .from(readings)
    .innerJoin(takes, eq(readings.takeId, takes.id))
    .where(and(eq(takes.studioId, studioId), eq(takes.classId, classId), isNull(readings.glance)));
}

export async function setGlance(db: Database, studioId: string, takeId: string, glance: TakeGlance): Promise<void> {
  await db
    .update(readings)
    .set({ glance })
    .where(and(eq(readings.studioId, studioId), eq(readings.takeId, takeId)));
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
      performed: takes.performed,
      soundId: takes.soundId,
      reading: readings.reading,
      corrections: readings.corrections,
      adLibs: readings.adLibs,
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

export async function insertTake(db: Database, studioId: string, take: TakeRow): Promise<string> {
  return db.transaction(async (tx) => {
    const { planText, evidenceText, recordingText, performedText, readingText, glanceText, ...row } = take;
    const documents = {
      plan: json(planText),
      evidence: json(evidenceText),
      recording: recordingText === null ? null : json(recordingText),
      performed: performedText === null ? null : json(performedText),
    };
    const [stored] = await tx
      .insert(takes)
      .values({ studioId, ...row, ...documents })
      .onConflictDoNothing({ target: takes.id })
      .returning({ id: takes.id });
    if (!stored) return sameTake(tx, studioId, take);
    const read = { reading: json(readingText), glance: json(glanceText) };
    await tx.insert(readings).values({ studioId, takeId: stored.id, ...read, corrections: {} });
    return stored.id;
  });
}

/** A take that was sent again is there already. @throws RangeError when its id is another's. */
async function sameTake(db: Database, studioId: string, { id = '', classId }: TakeRow): Promise<string> {
  const [same] = await db
    .select({ id: takes.id })
    .from(takes)
    .where(and(eq(takes.studioId, studioId), eq(takes.classId, classId), eq(takes.id, id)));
  if (!same) throw new RangeError(`insertTake: ${id} is the id of another take`);
  return same.id;
}

/** Saves work by hand on top of what it builds on; the new revision, or `null` when another save came first. */
export async function updateReading(
  db: Database,
  studioId: string,
  takeId: string,
  base: SaveBase,
  work: HandWorkRow & { readonly glanceText: string },
): Promise<number | null> {
  const one = and(eq(readings.studioId, studioId), eq(readings.takeId, takeId));
  const [stored] = await db
    .update(readings)
    .set({
      reading: json(work.readingText),
      glance: json(work.glanceText),
      corrections: json(work.correctionsText),
      adLibs: work.adLibsText === null ? null : json(work.adLibsText),
      cuts: work.cutsText === null ? null : json(work.cutsText),
      revision: sql`${readings.revision} + 1`,
      lastSaveId: base.saveId ?? null,
      updatedAt: sql`now()`,
    })
    .where(and(one, buildsOn(readings, base)))
    .returning({ revision: readings.revision });
  return stored?.revision ?? revisionOfSave(db, readings, readings, one, base);
}

/** The plan of a take as JSON, and how long its recording is. */
export async function findTakenPlan(
  db: Database,
  studioId: string,
  id: string,
): Promise<{ readonly planText: string; readonly lengthSeconds: number | null } | null> {
  const [found] = await db
    .select({
      planText: sql<string>`${takes.plan}::text`,
      lengthSeconds: sql<number | null>`(${takes.evidence}->>'lengthSeconds')::float8`,
    })
    .from(takes)
    .where(and(eq(takes.studioId, studioId), eq(takes.id, id), isNull(takes.removedAt)));
  return found ?? null;
}

/** The number of the latest save of a take; `null` where it is not there. */
export async function revisionOfTake(db: Database, studioId: string, id: string): Promise<number | null> {
  const [found] = await db
    .select({ revision: readings.revision })
    .from(takes)
    .innerJoin(readings, eq(readings.takeId, takes.id))
    .where(and(eq(takes.studioId, studioId), eq(takes.id, id), isNull(takes.removedAt)));
  return found?.revision ?? null;
}
