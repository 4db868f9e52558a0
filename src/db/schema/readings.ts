import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { PartState } from '@/core/metrology';
import type { FitWord } from '@/core/signature';
import { instruments } from './equipment';
import { prints } from './attempts';
import { features, jobs } from './jobs';

/** A sitting with one instrument: its zero and temperatures hold for all its readings. */
export const sessions = sqliteTable('sessions', {
  id: integer().primaryKey({ autoIncrement: true }),
  jobId: integer()
    .notNull()
    .references(() => jobs.id),
  instrumentId: integer()
    .notNull()
    .references(() => instruments.id),
  zeroMm: real().notNull().default(0),
  partC: real(),
  instrumentC: real(),
  state: text().$type<PartState>().notNull(),
  warm: integer({ mode: 'boolean' }).notNull().default(false),
  startedAt: integer({ mode: 'timestamp_ms' }).notNull(),
});

/** Append-only: a reading is never changed; taking it back is a row in `retractions`. */
export const readings = sqliteTable(
  'readings',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    /** Made by whoever sends it; sending it again stores nothing twice. */
    clientKey: text().notNull().unique(),
    sessionId: integer()
      .notNull()
      .references(() => sessions.id),
    featureId: integer()
      .notNull()
      .references(() => features.id),
    printId: integer()
      .notNull()
      .references(() => prints.id),
    readingMm: real().notNull(),
    heightMm: real(),
    takenAt: integer({ mode: 'timestamp_ms' }).notNull(),
  },
  (table) => [index('readings_of_print').on(table.printId), index('readings_of_feature').on(table.featureId)],
);

export const retractions = sqliteTable('retractions', {
  readingId: integer()
    .primaryKey()
    .references(() => readings.id),
  retractedAt: integer({ mode: 'timestamp_ms' }).notNull(),
});

/** A word of fit on the mate; append-only like readings, the last word of a feature in a print counts. */
export const tries = sqliteTable(
  'tries',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    clientKey: text().notNull().unique(),
    featureId: integer()
      .notNull()
      .references(() => features.id),
    printId: integer()
      .notNull()
      .references(() => prints.id),
    word: text().$type<FitWord>().notNull(),
    state: text().$type<PartState>().notNull(),
    takenAt: integer({ mode: 'timestamp_ms' }).notNull(),
  },
  (table) => [index('tries_of_print').on(table.printId)],
);
