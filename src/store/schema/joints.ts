import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { JointKind } from '@/core/fits';
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
