import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { addWeeks, nextThursday, setHours, startOfDay } from 'date-fns';
import { BufferSource, BufferTarget, Conversion, Input, OggOutputFormat, Output, WEBM } from 'mediabunny';
import type { Evidence } from '@/core/align';
import { readCaptions } from '@/core/interchange';
import { summaryOf } from '@/core/movement';
import { isMovement, type ClassPlan, type MovementStep } from '@/core/plan';
import { practiceSchedule } from '@/core/practice';
import { glanceOf, readTake, type Recording } from '@/core/reading';
import { speakingSeconds } from '@/core/speech';
import { expandPlan } from '@/core/timeline';
import type { Interval } from '@/core/units';
import { insertMovement } from '@/db/queries/movements';
import { insertClass, planRow, setListing, type ClassListing } from '@/db/queries/classes';
import { insertSeries, updateSeries } from '@/db/queries/series';
import { insertStudio } from '@/db/queries/studios';
import { keepPiece } from '@/db/queries/sounds';
import { insertTake, type TakeRow } from '@/db/queries/takes';
import { onRevision } from '@/db/queries/save-base';
import type { Database } from '@/db/database';
import { demoClasses } from './classes';
import { demoLibrary } from './library';
import { DEMO_STUDIO } from './outline';

/** What the demo take was made to be: see `scripts/make-demo-take.ts`. */
export interface DemoTruth {
  readonly lengthSeconds: number;
  readonly said: readonly {
    readonly cueId: string | null;
    readonly text: string;
    readonly startSeconds: number;
    readonly endSeconds: number;
  }[];
  readonly skipped: readonly string[];
  /** Stretches of speech that the level of its sound shows. */
  readonly speech: readonly Interval[];
}

/** What was heard in its sound when it was brought: figures of the recording, and its envelope in base 64. */
interface DemoHeard {
  readonly recording: Recording;
  readonly envelope: string;
}

/** Demo classes that make the demo series. */
const IN_SERIES: readonly string[] = ['before-the-first-ferry', 'net-menders-break'];
const TAKE_OF = 'before-the-first-ferry';

/** A file of the demo take, by its ending. */
function takeFile(ending: '.vtt' | '.truth.json' | '.heard.json' | '.webm'): Buffer {
  return readFileSync(fileURLToPath(new URL(`../../demo/take/${TAKE_OF}${ending}`, import.meta.url)));
}

/** Puts the invented studio, its classes and its takes into a database: all of it, or nothing when it is broken off. */
export async function seedDemo(database: Database): Promise<void> {
  await database.transaction((db) => seedIn(db));
}

/** Tags of demo classes; the live one is given on the next two Thursdays. */
const TAGS: Readonly<Record<string, readonly string[]>> = {
  'before-the-first-ferry': ['morning', 'standing'],
  'net-menders-break': ['break', 'seated'],
  'thursday-live': ['live'],
  'evening-ebb': ['evening'],
};

function listingOf(name: string): ClassListing | null {
  const tags = TAGS[name];
  if (!tags) return null;
  const thursday = setHours(startOfDay(nextThursday(new Date())), 18);
  const liveDates = name === 'thursday-live' ? [thursday, addWeeks(thursday, 1)] : [];
  return { tags, liveDates: liveDates.map((one) => one.toISOString()) };
}

async function seedIn(db: Database): Promise<void> {
  const studio = await insertStudio(db, DEMO_STUDIO);
  const inSeries: string[] = [];
  const sources = new Map<string, NonNullable<MovementStep['source']>>();
  for (const movement of demoLibrary()) {
    const { id, revision } = await insertMovement(db, studio.id, { movement, summary: summaryOf(movement) });
    sources.set(movement.name, { movementId: id, revision });
  }
  for (const { name, plan: unlinked } of demoClasses()) {
    const plan = withSources(unlinked, sources);
    const timeline = expandPlan(plan);
    const stored = await insertClass(db, studio.id, planRow(plan, timeline));
    const listing = listingOf(name);
    if (listing) await setListing(db, studio.id, stored.id, { tags: [], liveDates: [] }, listing);
    if (IN_SERIES.includes(name)) inSeries.push(stored.id);
    if (name !== TAKE_OF) continue;
    await seedEarlierTakes(db, studio.id, stored.id, plan);
    const truth = JSON.parse(takeFile('.truth.json').toString()) as DemoTruth;
    const heard = JSON.parse(takeFile('.heard.json').toString()) as DemoHeard;
    const soundId = await seedSound(db, studio.id);
    const captions = readCaptions(takeFile('.vtt').toString());
    if (!captions.ok) throw new Error(`the demo captions cannot be read: ${captions.problem.code}`);
    const evidence = { captions: captions.value.captions, speech: truth.speech, lengthSeconds: truth.lengthSeconds };
    await insertTake(db, studio.id, {
      ...takeRow(stored.id, 'Monday, before the ferry', plan, evidence),
      recordingText: JSON.stringify(heard.recording),
      envelope: Buffer.from(heard.envelope, 'base64'),
      soundId,
    });
  }
  const series = await insertSeries(db, studio.id, 'Weekday mornings');
  await updateSeries(db, studio.id, series.id, onRevision(series.revision), {
    title: series.title,
    classIds: inSeries,
  });
}

/** Takes from before the one that has a recording: known by their captions alone, as somebody might give the class. */
async function seedEarlierTakes(db: Database, studioId: string, classId: string, plan: ClassPlan): Promise<void> {
  for (const [name, seed] of [
    ['Thursday, a first try', 31],
    ['Saturday, in the hall', 32],
  ] as const) {
    const saying = practiceSchedule({ plan, tempo: 'steady', seed, shares: FEW_SLIPS });
    let next = saying.next();
    while (!next.done) next = saying.next(speakingSeconds(next.value, plan.voice));
    const { said, lengthSeconds } = next.value;
    const captions = said.map(({ text, startSeconds, endSeconds }) => ({ text, startSeconds, endSeconds }));
    const evidence = { captions, speech: null, lengthSeconds };
    await insertTake(db, studioId, takeRow(classId, name, plan, evidence));
  }
}

/** A take as it is stored that has captions alone. */
function takeRow(classId: string, name: string, plan: ClassPlan, evidence: Evidence): TakeRow {
  const reading = readTake(expandPlan(plan), evidence);
  return {
    classId,
    name,
    planText: JSON.stringify(plan),
    evidenceText: JSON.stringify(evidence),
    recordingText: null,
    performedText: null,
    soundId: null,
    envelope: null,
    readingText: JSON.stringify(reading),
    glanceText: JSON.stringify(glanceOf(reading)),
  };
}

const FEW_SLIPS = { skipped: 0.03, paraphrased: 0.05, adLibbed: 0.04 };

/** The sound of the demo take as a copy is kept: its own packets, put from WebM into Ogg. */
async function seedSound(db: Database, studioId: string): Promise<string> {
  const input = new Input({ source: new BufferSource(new Uint8Array(takeFile('.webm'))), formats: [WEBM] });
  const target = new BufferTarget();
  const output = new Output({ format: new OggOutputFormat(), target });
  const conversion = await Conversion.init({ input, output });
  await conversion.execute();
  const id = randomUUID();
  const bytes = new Uint8Array(target.buffer ?? new ArrayBuffer());
  for (let piece = 0; piece * PIECE_BYTES < bytes.length; piece++)
    await keepPiece(db, studioId, id, piece, bytes.subarray(piece * PIECE_BYTES, (piece + 1) * PIECE_BYTES));
  return id;
}

const PIECE_BYTES = 128 * 1024;

/** The plan with each movement linked to the library entry of its name. */
function withSources(plan: ClassPlan, sources: ReadonlyMap<string, NonNullable<MovementStep['source']>>): ClassPlan {
  const sections = plan.sections.map((section) => ({
    ...section,
    steps: section.steps.map((step) => (isMovement(step) ? { ...step, source: sources.get(step.name) ?? null } : step)),
  }));
  return { ...plan, sections };
}
