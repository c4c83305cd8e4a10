import {
  bigserial,
  customType,
  foreignKey,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  real,
  text,
  timestamp,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';
import { sql } from 'drizzle-orm';
import type { Evidence, AdLib } from '@/core/align';
import type { StepPerformed } from '@/core/conductor';
import type { LiveEvent, ShownClass, Standing } from '@/core/live';
import type { Movement, MovementSummary } from '@/core/movement';
import type { ClassPlan } from '@/core/plan';
import type { Corrections, Cut, Reading, Recording, TakeGlance } from '@/core/reading';
import type { VoiceSource } from '@/core/voice';
import type { Spelling, Term } from '@/core/words';

const bytes = customType<{ data: Uint8Array; driverData: Buffer }>({
  dataType: () => 'bytea',
  toDriver: (value) => Buffer.from(value.buffer, value.byteOffset, value.byteLength),
});

/** The name that a browser gave to the save that is stored; the same save may come twice, when its answer was lost. */
const saveId = () => uuid();

/** The clock and not the beginning of the transaction, so that what is made in one keeps its order. */
const at = () =>
  timestamp({ withTimezone: true })
    .notNull()
    .default(sql`clock_timestamp()`);

/** The tenant: every other row belongs to one. */
export const studios = pgTable('studios', {
  id: uuid().primaryKey().defaultRandom(),
  name: text().notNull(),
  /** The spelling chosen for each term; one that is left out is as it is written. */
  spelling: jsonb().$type<Spelling['chosen']>().notNull().default({}),
  /** Terms of its own beside the house list. */
  ownTerms: jsonb().$type<readonly Term[]>().notNull().default([]),
  /** Of spelling and own terms together; each save adds one. */
  spellingRevision: integer().notNull().default(1),
  spellingSaveId: saveId(),
  createdAt: at(),
});

const studioId = () =>
  uuid()
    .notNull()
    .references(() => studios.id, { onDelete: 'cascade' });

/** How fast somebody of the studio speaks, as typed or as measured; several are kept and the middle one is used. */
export const voiceMeasures = pgTable(
  'voice_measures',
  {
    id: uuid().primaryKey().defaultRandom(),
    studioId: studioId(),
    syllablesPerMinute: real().notNull(),
    /** Silence between sentences, in seconds; null where the rate was typed. */
    pauseSeconds: real(),
    how: text().$type<VoiceSource>().notNull(),
    createdAt: at(),
  },
  (table) => [index('voice_measures_of_studio').on(table.studioId, table.createdAt)],
);

/** Classes in an order; a new one of it starts from the last. */
export const series = pgTable(
  'series',
  {
    id: uuid().primaryKey().defaultRandom(),
    studioId: studioId(),
    title: text().notNull(),
    revision: integer().notNull().default(1),
    lastSaveId: saveId(),
    createdAt: at(),
    removedAt: timestamp({ withTimezone: true }),
  },
  (table) => [index('series_shelf').on(table.studioId, table.removedAt, table.createdAt)],
);

/** An entry of the movement library; the summary is what lists and searches show of the document. */
export const movements = pgTable(
  'movements',
  {
    id: uuid().primaryKey().defaultRandom(),
    studioId: studioId(),
    name: text().notNull(),
    summary: jsonb().$type<MovementSummary>().notNull(),
    document: jsonb().$type<Movement>().notNull(),
    revision: integer().notNull().default(1),
    lastSaveId: saveId(),
    createdAt: at(),
    updatedAt: at(),
    archivedAt: timestamp({ withTimezone: true }),
    removedAt: timestamp({ withTimezone: true }),
  },
  (table) => [index('movements_by_name').on(table.studioId, table.name)],
);

/** A class as it stands now; the columns beside the plan are copies to search and list by. */
export const classes = pgTable(
  'classes',
  {
    id: uuid().primaryKey().defaultRandom(),
    studioId: studioId(),
    title: text().notNull(),
    targetSeconds: real().notNull(),
    runtimeSeconds: real().notNull(),
    /** Focus and audience in one line; null in rows from before it was kept. */
    about: text(),
    /** Its small drawing (`packShape`); null in rows from before it was kept. */
    shape: text(),
    /** The studio's own words to find it by; they are no part of its script. */
    tags: text()
      .array()
      .notNull()
      .default(sql`'{}'::text[]`),
    plan: jsonb().$type<ClassPlan>().notNull(),
    revision: integer().notNull().default(1),
    lastSaveId: saveId(),
    createdAt: at(),
    updatedAt: at(),
    removedAt: timestamp({ withTimezone: true }),
    seriesId: uuid().references(() => series.id, { onDelete: 'set null' }),
    /** Place in its series, from 1. */
    seriesOrder: integer(),
  },
  (table) => [
    index('classes_of_series').on(table.seriesId, table.seriesOrder),
    index('classes_shelf').on(table.studioId, table.removedAt, table.createdAt),
  ],
);

/** When a class is given live. */
export const liveDates = pgTable(
  'live_dates',
  {
    id: uuid().primaryKey().defaultRandom(),
    studioId: studioId(),
    classId: uuid()
      .notNull()
      .references(() => classes.id, { onDelete: 'cascade' }),
    startsAt: timestamp({ withTimezone: true }).notNull(),
    createdAt: at(),
  },
  (table) => [uniqueIndex('live_dates_of_class').on(table.classId, table.startsAt)],
);

/** A performance that is shown to others while it runs. */
export const lives = pgTable(
  'lives',
  {
    id: uuid().primaryKey().defaultRandom(),
    studioId: studioId(),
    classId: uuid()
      .notNull()
      .references(() => classes.id, { onDelete: 'cascade' }),
    /** Who has it may look on. */
    code: text().notNull(),
    /** Who has it may move the performance on, too. */
    remoteCode: text().notNull(),
    /** The prompter that leads it: a name that a tab gave itself. */
    leader: uuid().notNull(),
    /** What followers see of the class, as it is performed now. */
    shown: jsonb().$type<ShownClass>().notNull(),
    /** Where it stands; null before anything was told. */
    standing: jsonb().$type<Standing>(),
    /** Of the newest event; 0 before the first. */
    lastNumber: integer().notNull().default(0),
    createdAt: at(),
    /** From then on its codes open nothing. */
    expiresAt: timestamp({ withTimezone: true }).notNull(),
    /** When it was ended by hand; null while it was not. */
    revokedAt: timestamp({ withTimezone: true }),
  },
  (table) => [
    uniqueIndex('lives_by_code').on(table.code),
    uniqueIndex('lives_by_remote_code').on(table.remoteCode),
    index('lives_of_class').on(table.studioId, table.classId, table.createdAt),
  ],
);

/** What happened in a live class, numbered without gaps; kept while its codes are good. */
export const liveEvents = pgTable(
  'live_events',
  {
    studioId: studioId(),
    liveId: uuid()
      .notNull()
      .references(() => lives.id, { onDelete: 'cascade' }),
    /** From 1. */
    number: integer().notNull(),
    /** The name its sender gave it, so that it may come twice. */
    eventId: uuid().notNull(),
    event: jsonb().$type<LiveEvent>().notNull(),
    createdAt: at(),
  },
  (table) => [
    primaryKey({ columns: [table.liveId, table.number] }),
    uniqueIndex('live_events_once').on(table.liveId, table.eventId),
  ],
);

/** The picture or clip of a movement of the library, one each. */
export const movementMedia = pgTable('movement_media', {
  movementId: uuid()
    .primaryKey()
    .references(() => movements.id, { onDelete: 'cascade' }),
  studioId: studioId(),
  contentType: text().notNull(),
  /** Where its bytes lie in the storage. */
  storageKey: uuid().notNull(),
  createdAt: at(),
});

/** Files by key: the storage of an installation that has nothing else. */
export const storedFiles = pgTable('stored_files', {
  key: uuid().primaryKey(),
  studioId: studioId(),
  bytes: bytes().notNull(),
  createdAt: at(),
});

/** Every save, kept. */
export const classRevisions = pgTable(
  'class_revisions',
  {
    id: bigserial({ mode: 'number' }).primaryKey(),
    studioId: studioId(),
    classId: uuid()
      .notNull()
      .references(() => classes.id, { onDelete: 'cascade' }),
    revision: integer().notNull(),
    plan: jsonb().$type<ClassPlan>().notNull(),
    /** What somebody called this version; null where nobody did. */
    name: text(),
    saveId: saveId(),
    createdAt: at(),
  },
  (table) => [
    uniqueIndex('class_revisions_once').on(table.classId, table.revision),
    uniqueIndex('class_revisions_of_save').on(table.classId, table.saveId),
  ],
);

/** A compact copy of the sound of a recording; it comes piece by piece, under an id made from its file. */
export const sounds = pgTable('sounds', { studioId: studioId(), id: uuid().notNull(), createdAt: at() }, (table) => [
  primaryKey({ columns: [table.studioId, table.id] }),
]);

export const soundPieces = pgTable(
  'sound_pieces',
  {
    studioId: uuid().notNull(),
    soundId: uuid().notNull(),
    /** From 0, without gaps once all are there. */
    piece: integer().notNull(),
    bytes: bytes().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.studioId, table.soundId, table.piece] }),
    foreignKey({ columns: [table.studioId, table.soundId], foreignColumns: [sounds.studioId, sounds.id] }).onDelete(
      'cascade',
    ),
  ],
);

/** One recording of a class: its evidence, and the plan it was read against. The recording itself stays with the person. */
export const takes = pgTable(
  'takes',
  {
    id: uuid().primaryKey().defaultRandom(),
    studioId: studioId(),
    classId: uuid()
      .notNull()
      .references(() => classes.id, { onDelete: 'cascade' }),
    name: text().notNull(),
    plan: jsonb().$type<ClassPlan>().notNull(),
    evidence: jsonb().$type<Evidence>().notNull(),
    /** What is known of the recording; null for takes from before it was kept. */
    recording: jsonb().$type<Recording>(),
    /** Its steps by the prompter's log, where one was given. */
    performed: jsonb().$type<readonly StepPerformed[]>(),
    /** The copy of its sound; it may have been thrown away since. */
    soundId: uuid(),
    /** Its level for drawing, a byte for each 20 ms. */
    envelope: bytes(),
    createdAt: at(),
    removedAt: timestamp({ withTimezone: true }),
  },
  (table) => [index('takes_of_class').on(table.studioId, table.classId, table.removedAt)],
);

/** A take measured against its plan, with what was corrected by hand. One a take. */
export const readings = pgTable(
  'readings',
  {
    id: uuid().primaryKey().defaultRandom(),
    studioId: studioId(),
    takeId: uuid()
      .notNull()
      .references(() => takes.id, { onDelete: 'cascade' }),
    revision: integer().notNull().default(1),
    lastSaveId: saveId(),
    reading: jsonb().$type<Reading>().notNull(),
    corrections: jsonb().$type<Corrections>().notNull(),
    /** Ad-libs as somebody left them; null where they are as they were found. */
    adLibs: jsonb().$type<readonly AdLib[]>(),
    /** What is cut out; null where nobody has cut. */
    cuts: jsonb().$type<readonly Cut[]>(),
    /** What lists show of it; null in rows from before it was kept. */
    glance: jsonb().$type<TakeGlance>(),
    updatedAt: at(),
  },
  (table) => [uniqueIndex('readings_once').on(table.takeId)],
);
