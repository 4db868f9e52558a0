import { index, integer, primaryKey, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { RunPlan, VatReading } from '@/core/print';
import { attempts, prints } from './attempts';
import { printers, profiles } from './equipment';
import { bottles } from './resins';

/** How a question of the gate was answered: all well, or an exception with its reason. */
export interface GateAnswer {
  readonly well: boolean;
  readonly reason: string;
  /** Milliseconds since the epoch. */
  readonly at: number;
}

/** One run of a printer: what lies on its plate, how it is made, and its clock. Times are the server's. */
export const runs = sqliteTable(
  'runs',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    profileId: integer()
      .notNull()
      .references(() => profiles.id),
    createdAt: integer({ mode: 'timestamp_ms' }).notNull(),
    /** When it is to start, where somebody planned it. */
    plannedFor: integer({ mode: 'timestamp_ms' }),
    startedAt: integer({ mode: 'timestamp_ms' }),
    endedAt: integer({ mode: 'timestamp_ms' }),
    outcome: text().$type<'done' | 'stopped'>(),
    /** Its end was seen, by the printer or by somebody beside it: then its hours tell of the printer. */
    isTimed: integer({ mode: 'boolean' }).notNull().default(false),
    /** The clock was set back while it printed: how long it took is not known. */
    isClockChanged: integer({ mode: 'boolean' }).notNull().default(false),
    /** What it was started with: program, layers, resin, settings of the profile at that time. */
    plan: text({ mode: 'json' }).$type<RunPlan>(),
    /** When the printer last said where it is, and where that was. */
    heardAt: integer({ mode: 'timestamp_ms' }),
    heardLayer: integer(),
    stoppedLayer: integer(),
    endReason: text().notNull().default(''),
    /** The bottle that is poured from. */
    bottleId: integer().references(() => bottles.id),
    roomC: real(),
    /** Answers of the gate before the start, by question. */
    gate: text({ mode: 'json' }).$type<Readonly<Record<string, GateAnswer>>>().notNull().default({}),
    /** Somebody looked at what came off, and all of it was well. */
    wellAt: integer({ mode: 'timestamp_ms' }),
    /** Taken off the list before it was started. */
    putAwayAt: integer({ mode: 'timestamp_ms' }),
  },
  (table) => [index('runs_of_profile').on(table.profileId)],
);

/** One copy on the plate of a run; when the run has ended, the print that came of it. */
export const runPieces = sqliteTable(
  'run_pieces',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    runId: integer()
      .notNull()
      .references(() => runs.id),
    attemptId: integer()
      .notNull()
      .references(() => attempts.id),
    /** Middle of the piece from the middle of the plate, mm. */
    xMm: real().notNull(),
    yMm: real().notNull(),
    /** Rotated by 90° on the plate. */
    isTurned: integer({ mode: 'boolean' }).notNull().default(false),
    /** Hollowed with so thick a wall, mm; null: solid. */
    wallMm: real(),
    printId: integer().references(() => prints.id),
  },
  (table) => [index('pieces_of_run').on(table.runId), index('pieces_of_attempt').on(table.attemptId)],
);

/** Layers of a part as it stands, read off its file: what hours and resin are made of. */
export const partLayers = sqliteTable(
  'part_layers',
  {
    /** The part's own key: the hash of its file, or the sizes that it is built from. */
    part: text().notNull(),
    layerMm: real().notNull(),
    /** Area of each layer, mm². */
    areasMm2: text({ mode: 'json' }).$type<readonly number[]>().notNull(),
    sizeMm: text({ mode: 'json' }).$type<readonly [number, number, number]>().notNull(),
    volumeMm3: real().notNull(),
    surfaceMm2: real().notNull(),
    readAt: integer({ mode: 'timestamp_ms' }).notNull(),
  },
  (table) => [primaryKey({ columns: [table.part, table.layerMm] })],
);

/** Resin poured into the vat for a run, before it or while it printed; append-only. */
export const pours = sqliteTable(
  'pours',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    clientKey: text().notNull().unique(),
    runId: integer()
      .notNull()
      .references(() => runs.id),
    bottleId: integer().references(() => bottles.id),
    ml: real().notNull(),
    /** Layer that was printing; null before the start. */
    layer: integer(),
    at: integer({ mode: 'timestamp_ms' }).notNull(),
  },
  (table) => [index('pours_of_run').on(table.runId)],
);

/** Supports and part of a run on the scale, in one unit; the last one of a run counts. */
export const weighings = sqliteTable(
  'weighings',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    runId: integer()
      .notNull()
      .references(() => runs.id),
    supports: real().notNull(),
    parts: real().notNull(),
    unit: text().$type<'g' | 'oz' | 'ml'>().notNull(),
    at: integer({ mode: 'timestamp_ms' }).notNull(),
  },
  (table) => [index('weighings_of_run').on(table.runId)],
);

/** The vat of a printer: what it holds, and how full it was when somebody last looked. */
export const vats = sqliteTable('vats', {
  printerId: integer()
    .primaryKey()
    .references(() => printers.id),
  capacityMl: real().notNull(),
  /** Least level that still prints. */
  floorMl: real().notNull(),
  levelMl: real().notNull(),
  /** How the level was read. */
  read: text({ mode: 'json' }).$type<VatReading>().notNull(),
  /** Lots that stand in it, the newest first. */
  lots: text({ mode: 'json' }).$type<readonly string[]>().notNull().default([]),
  at: integer({ mode: 'timestamp_ms' }).notNull(),
});

/** What a simulated printer does: a device of its own, that the run only hears of by its reports. */
export const simulatedRuns = sqliteTable('simulated_runs', {
  printerId: integer()
    .primaryKey()
    .references(() => printers.id),
  file: text().notNull(),
  layers: integer().notNull(),
  /** What the run takes on this machine, s of its own clock. */
  realS: real().notNull(),
  /** Its clock runs so many times as fast as the one on the wall. */
  speed: real().notNull(),
  startedAt: integer({ mode: 'timestamp_ms' }).notNull(),
  /** Layer at which it stopped; null while it runs or when it is done. */
  stoppedLayer: integer(),
  /** It answers nothing until then; null while it answers. */
  silentUntil: integer({ mode: 'timestamp_ms' }),
});

/** A simulated wash or lamp: a device of its own, that the chain only hears of by its reports. */
export const simulatedStations = sqliteTable('simulated_stations', {
  station: text().$type<'wash' | 'lamp'>().primaryKey(),
  /** What was put in. */
  load: text().notNull(),
  /** What it was set to, s of its own clock. */
  seconds: real().notNull(),
  /** Its clock runs so many times as fast as the one on the wall. */
  speed: real().notNull(),
  startedAt: integer({ mode: 'timestamp_ms' }).notNull(),
  /** Its lid was opened; null: it runs until it is done. */
  openedAt: integer({ mode: 'timestamp_ms' }),
});
