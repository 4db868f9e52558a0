import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { MaintenanceKind, Cause, ClearingStep, FailureKind, TestName } from '@/core/log';
import { printers } from './equipment';
import { runPieces, runs } from './runs';

/** Something that failed in a print; append-only, a mistake is undone by a row. */
export const failures = sqliteTable(
  'failures',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    clientKey: text().notNull().unique(),
    runId: integer()
      .notNull()
      .references(() => runs.id),
    /** Null: it was the whole plate. */
    pieceId: integer().references(() => runPieces.id),
    kind: text().$type<FailureKind>().notNull(),
    /** Layer of the whole plate, from 1; null if unknown. */
    layer: integer(),
    /** Where it was tapped: from the centre of the piece in its file, mm. */
    partXMm: real(),
    partYMm: real(),
    note: text().notNull().default(''),
    at: integer({ mode: 'timestamp_ms' }).notNull(),
    retractedAt: integer({ mode: 'timestamp_ms' }),
  },
  (table) => [index('failures_of_run').on(table.runId)],
);

/** What a deciding test of a failed run showed. */
export const failureTests = sqliteTable(
  'failure_tests',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    runId: integer()
      .notNull()
      .references(() => runs.id),
    test: text().$type<TestName>().notNull(),
    outcome: text().notNull(),
    at: integer({ mode: 'timestamp_ms' }).notNull(),
    retractedAt: integer({ mode: 'timestamp_ms' }),
  },
  (table) => [index('tests_of_run').on(table.runId)],
);

/** What turned out to be the cause of a failed run: it feeds what is expected of the next one. */
export const causesFound = sqliteTable('causes_found', {
  runId: integer()
    .primaryKey()
    .references(() => runs.id),
  cause: text().$type<Cause>().notNull(),
  at: integer({ mode: 'timestamp_ms' }).notNull(),
});

/** Care that was done at a printer. */
export const careDone = sqliteTable(
  'care_done',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    printerId: integer()
      .notNull()
      .references(() => printers.id),
    kind: text().$type<MaintenanceKind>().notNull(),
    /** What a check showed; care that is no check is well once it is done. */
    isWell: integer({ mode: 'boolean' }).notNull().default(true),
    note: text().notNull().default(''),
    at: integer({ mode: 'timestamp_ms' }).notNull(),
    /** The newest failure recorded before it: this decides what it cleared, not a clock. Null if there was none. */
    afterFailureId: integer().references(() => failures.id),
    retractedAt: integer({ mode: 'timestamp_ms' }),
  },
  (table) => [index('care_of_printer').on(table.printerId)],
);

/** A step of clearing a printer after a failure, as answered; append-only. */
export const clearings = sqliteTable(
  'clearings',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    printerId: integer()
      .notNull()
      .references(() => printers.id),
    step: text().$type<ClearingStep>().notNull(),
    /** Nothing amiss was seen; otherwise the note says what followed. */
    isWell: integer({ mode: 'boolean' }).notNull(),
    note: text().notNull().default(''),
    at: integer({ mode: 'timestamp_ms' }).notNull(),
    /** The failure that it was answered for; null where an older version did not know. */
    failureId: integer().references(() => failures.id),
    /** The whole clearing was undone: it is due again. */
    retractedAt: integer({ mode: 'timestamp_ms' }),
  },
  (table) => [index('clearings_of_printer').on(table.printerId)],
);

/** Something that is used up beside resin: film, gloves, filters, wash liquid. */
export const consumables = sqliteTable('consumables', {
  id: integer().primaryKey({ autoIncrement: true }),
  name: text().notNull().unique(),
  unit: text().notNull(),
  /** How much was left when somebody counted last. */
  counted: real().notNull(),
  countedAt: integer({ mode: 'timestamp_ms' }).notNull(),
  /** What one print takes of it on average. */
  perPrint: real().notNull(),
  /** Days that it takes to come. */
  leadDays: real().notNull(),
  /** Counts its changes, so that another window notices. */
  revision: integer().notNull().default(1),
  putAwayAt: integer({ mode: 'timestamp_ms' }),
});
