import { index, integer, primaryKey, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { JointKind, JointOutcome } from '@/core/fit/mating';
import type { PartState } from '@/core/measure';
import { attempts, prints } from './attempts';
import { jobs } from './jobs';

/** A joint printed in place, as drawn at scale 1, with the scale it is wanted at; lengths mm. */
export const joints = sqliteTable(
  'joints',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    jobId: integer()
      .notNull()
      .references(() => jobs.id),
    name: text().notNull(),
    kind: text().$type<JointKind>().notNull(),
    gapMm: real().notNull(),
    /** Null where nothing stands over the joint. */
    heightGapMm: real(),
    pinMm: real().notNull(),
    spanMm: real().notNull(),
    scale: real().notNull().default(1),
    /** The most play it may have: an angle for what swings, else a length; the other is null. */
    mostAngleDeg: real(),
    mostLateralMm: real(),
    /** Moved for the first time green or after the cure. */
    freed: text().$type<'green' | 'cured'>().notNull().default('green'),
    removedAt: integer({ mode: 'timestamp_ms' }),
  },
  (table) => [index('joints_of_job').on(table.jobId)],
);

/** What an attempt's file has for each joint, and what was expected of it then. */
export const drawnJoints = sqliteTable(
  'drawn_joints',
  {
    attemptId: integer()
      .notNull()
      .references(() => attempts.id),
    jointId: integer()
      .notNull()
      .references(() => joints.id),
    /** Gap per side in the file, at its scale; mm. */
    gapMm: real().notNull(),
    heightGapMm: real(),
    scale: real().notNull(),
    /** Chance to come free that was expected. */
    free: real(),
  },
  (table) => [primaryKey({ columns: [table.attemptId, table.jointId] })],
);

/** What the hand found at a joint of a print; append-only, the last one of a joint in a print counts. */
export const jointOutcomes = sqliteTable(
  'joint_outcomes',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    clientKey: text().notNull().unique(),
    jointId: integer()
      .notNull()
      .references(() => joints.id),
    printId: integer()
      .notNull()
      .references(() => prints.id),
    outcome: text().$type<JointOutcome>().notNull(),
    /** Play as felt or measured; both null if unknown. */
    playMm: real(),
    playDeg: real(),
    state: text().$type<PartState>().notNull(),
    takenAt: integer({ mode: 'timestamp_ms' }).notNull(),
  },
  (table) => [index('joint_outcomes_of_print').on(table.printId)],
);
