import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { GapStepOutcome } from '@/core/fit/mating';
import type { Jaw, PartState, ReadAs } from '@/core/measure';
import type { FitWord } from '@/core/signature';
import { prints } from './attempts';
import { instruments } from './equipment';
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
  /** The print that was measured when it began; null if nothing was printed yet. */
  printId: integer().references(() => prints.id),
  zeroMm: real().notNull().default(0),
  partC: real(),
  instrumentC: real(),
  state: text().$type<PartState>().notNull(),
  warm: integer({ mode: 'boolean' }).notNull().default(false),
  startedAt: integer({ mode: 'timestamp_ms' }).notNull(),
});

/** A reading of a piece of known size: it tells what the jaws of an instrument add. Append-only but for the taking back. */
export const checkReadings = sqliteTable(
  'check_readings',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    clientKey: text().notNull().unique(),
    instrumentId: integer()
      .notNull()
      .references(() => instruments.id),
    jaw: text().$type<Jaw>().notNull(),
    /** What the piece is called. */
    piece: text().notNull(),
    knownMm: real().notNull(),
    /** Standard uncertainty of the piece, mm. */
    uMm: real().notNull(),
    readingMm: real().notNull(),
    takenAt: integer({ mode: 'timestamp_ms' }).notNull(),
    retractedAt: integer({ mode: 'timestamp_ms' }),
  },
  (table) => [index('check_readings_of_instrument').on(table.instrumentId)],
);

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

/** A hand fit; append-only like readings, the last one of a feature in a print counts. */
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
    /** Said of a part that was still warm: kept, not learned from. */
    warm: integer({ mode: 'boolean' }).notNull().default(false),
    /** Weight of the push, where somebody weighed it, N. */
    pushN: real(),
    takenAt: integer({ mode: 'timestamp_ms' }).notNull(),
  },
  (table) => [index('tries_of_print').on(table.printId)],
);

/** A reading of the old part or of what it meets, at a place of its measuring sheet; append-only but for the taking back. */
export const bodyReadings = sqliteTable(
  'body_readings',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    clientKey: text().notNull().unique(),
    jobId: integer()
      .notNull()
      .references(() => jobs.id),
    /** The size of the sheet, and where it was taken: height along it, turn around it, from 0. */
    measure: text().notNull(),
    level: integer().notNull(),
    turn: integer().notNull(),
    readingMm: real().notNull(),
    readAs: text().$type<ReadAs>().notNull().default('diameter'),
    instrumentId: integer()
      .notNull()
      .references(() => instruments.id),
    takenAt: integer({ mode: 'timestamp_ms' }).notNull(),
    retractedAt: integer({ mode: 'timestamp_ms' }),
  },
  (table) => [index('body_readings_of_job').on(table.jobId)],
);

/** What the hand found at a step of a printed gauge; append-only, the last outcome of a step in a print counts. */
export const rungs = sqliteTable(
  'rungs',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    clientKey: text().notNull().unique(),
    printId: integer()
      .notNull()
      .references(() => prints.id),
    /** From 1, as notched into the gauge. */
    rung: integer().notNull(),
    outcome: text().$type<GapStepOutcome>().notNull(),
    state: text().$type<PartState>().notNull(),
    takenAt: integer({ mode: 'timestamp_ms' }).notNull(),
  },
  (table) => [index('rungs_of_print').on(table.printId)],
);
