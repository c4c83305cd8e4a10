import {
  bigserial,
  index,
  integer,
  jsonb,
  pgTable,
  real,
  text,
  timestamp,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';
import type { Evidence } from '@/core/align';
import type { ClassPlan } from '@/core/plan';
import type { Corrections, Reading } from '@/core/reading';

const at = () => timestamp({ withTimezone: true }).notNull().defaultNow();

/** The tenant: every other row belongs to one. */
export const studios = pgTable('studios', {
  id: uuid().primaryKey().defaultRandom(),
  name: text().notNull(),
  createdAt: at(),
});

const studioId = () =>
  uuid()
    .notNull()
    .references(() => studios.id, { onDelete: 'cascade' });

/** A class as it stands now; the columns beside the plan are copies to search and list by. */
export const classes = pgTable(
  'classes',
  {
    id: uuid().primaryKey().defaultRandom(),
    studioId: studioId(),
    title: text().notNull(),
    targetSeconds: real().notNull(),
    runtimeSeconds: real().notNull(),
    plan: jsonb().$type<ClassPlan>().notNull(),
    revision: integer().notNull().default(1),
    createdAt: at(),
    updatedAt: at(),
    removedAt: timestamp({ withTimezone: true }),
  },
  (table) => [index('classes_shelf').on(table.studioId, table.removedAt, table.createdAt)],
);

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
    createdAt: at(),
  },
  (table) => [uniqueIndex('class_revisions_once').on(table.classId, table.revision)],
);

/** One recording of a class: its evidence, and the plan it was read against. The sound itself stays with the person. */
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
    reading: jsonb().$type<Reading>().notNull(),
    corrections: jsonb().$type<Corrections>().notNull(),
    updatedAt: at(),
  },
  (table) => [uniqueIndex('readings_once').on(table.takeId)],
);
