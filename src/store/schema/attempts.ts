import { index, integer, primaryKey, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import { profiles } from './equipment';
import { features, jobs } from './jobs';

/** Mesh files by the hash of their bytes; the bytes lie beside the database. */
export const meshes = sqliteTable('meshes', {
  hash: text().primaryKey(),
  name: text().notNull(),
  bytes: integer().notNull(),
  createdAt: integer({ mode: 'timestamp_ms' }).notNull(),
});

/** One printed try of a job. */
export const attempts = sqliteTable(
  'attempts',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    jobId: integer()
      .notNull()
      .references(() => jobs.id),
    number: integer().notNull(),
    profileId: integer()
      .notNull()
      .references(() => profiles.id),
    /** Drawn anew from sizes, or the whole mesh corrected. */
    lever: text().$type<'drawn' | 'mesh'>().notNull().default('drawn'),
    meshHash: text().references(() => meshes.hash),
    /** The one-line reason for what changed. */
    reason: text().notNull().default(''),
    createdAt: integer({ mode: 'timestamp_ms' }).notNull(),
  },
  (table) => [uniqueIndex('attempt_numbers').on(table.jobId, table.number)],
);

/** What an attempt's file has for each feature, and what was expected of it then. */
export const drawnSizes = sqliteTable(
  'drawn_sizes',
  {
    attemptId: integer()
      .notNull()
      .references(() => attempts.id),
    featureId: integer()
      .notNull()
      .references(() => features.id),
    drawnMm: real().notNull(),
    predictedMm: real(),
    sdMm: real(),
    chance: real(),
  },
  (table) => [primaryKey({ columns: [table.attemptId, table.featureId] })],
);

/** One run of a printer. */
export const prints = sqliteTable(
  'prints',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    attemptId: integer()
      .notNull()
      .references(() => attempts.id),
    name: text().notNull(),
    madeAt: integer({ mode: 'timestamp_ms' }).notNull(),
    /** What came off broken; what can still be read or tried of it counts. */
    brokenNote: text().notNull().default(''),
  },
  (table) => [index('prints_of_attempt').on(table.attemptId)],
);
