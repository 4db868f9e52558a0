import { index, integer, primaryKey, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { Axis, Base, Sense, Shape } from '@/core/measure';
import type { CardStep } from '@/core/resin';
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
    /** Newly drawn sizes, or the whole mesh corrected. */
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

/** One piece that came off a printer: a run of it makes one, or several copies. */
export const prints = sqliteTable(
  'prints',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    attemptId: integer()
      .notNull()
      .references(() => attempts.id),
    name: text().notNull(),
    madeAt: integer({ mode: 'timestamp_ms' }).notNull(),
    /** The run of the printer that it came out of; null where only the print was noted. */
    runId: integer(),
    /** Which run of the printer for this attempt, and which of the copies of that run; from 1. */
    run: integer().notNull().default(1),
    copy: integer().notNull().default(1),
    /** Why it was printed although findings that could lose it were open; empty when none were. */
    despite: text().notNull().default(''),
    /** What came off broken; what can still be read or tried of it counts. */
    brokenNote: text().notNull().default(''),
    /** Place of the part's centre on the plate, from the plate's centre, mm; null if unknown. */
    placeXMm: real(),
    placeYMm: real(),
    /** Rotated by 90° on the plate: what is along X in its file was printed along Y. */
    isTurned: integer({ mode: 'boolean' }).notNull().default(false),
    /** Temperature of the room while it was printed, °C; null when nobody looked. */
    roomC: real(),
  },
  (table) => [index('prints_of_attempt').on(table.attemptId)],
);

/** Direction of a feature when it was printed: the part may be rotated later, the print does not change. */
export const printedFeatures = sqliteTable(
  'printed_features',
  {
    printId: integer()
      .notNull()
      .references(() => prints.id),
    featureId: integer()
      .notNull()
      .references(() => features.id),
    sense: text().$type<Sense>().notNull(),
    shape: text().$type<Shape>().notNull(),
    axis: text().$type<Axis>().notNull(),
    angleRad: real(),
    base: text().$type<Base>(),
    /** A place on one of its faces in the file that was printed, mm. */
    anchor: text({ mode: 'json' }).$type<[number, number, number]>(),
    /** Where it lay on the plate, from the middle of its part, mm; null where no face of it is known. */
    offsetXMm: real(),
    offsetYMm: real(),
    /** Of a control feature: what was expected before it was read, by all that was read until then, mm. */
    expectedMm: real(),
    expectedSdMm: real(),
  },
  (table) => [primaryKey({ columns: [table.printId, table.featureId] })],
);

/** A step of a print after it came off the plate; append-only but for its end and the taking back. Times are the server's. */
export const printSteps = sqliteTable(
  'print_steps',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    /** Made by whoever taps it; the same tap again starts nothing twice. */
    clientKey: text().notNull().unique(),
    printId: integer()
      .notNull()
      .references(() => prints.id),
    step: text().$type<CardStep['step']>().notNull(),
    /** The tap that began it for several prints of one plate at once; they end together. Null: for this one alone. */
    sharedKey: text(),
    /** How long it is to take, s; null where nobody can say. */
    plannedS: integer(),
    startedAt: integer({ mode: 'timestamp_ms' }).notNull(),
    endedAt: integer({ mode: 'timestamp_ms' }),
    /** What was done otherwise than the card says, in the person's words. */
    given: text().notNull().default(''),
    retractedAt: integer({ mode: 'timestamp_ms' }),
  },
  (table) => [index('steps_of_print').on(table.printId)],
);
