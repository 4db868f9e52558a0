import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { Axis, Base, DecisionRule, Sense, Shape } from '@/core/metrology';
import type { SolidRecipe } from '@/core/solids';
import { profiles } from './equipment';

/** A thing that must fit, or a gauge: a small piece printed only to be measured. */
export const jobs = sqliteTable('jobs', {
  id: integer().primaryKey({ autoIncrement: true }),
  kind: text().$type<'part' | 'gauge'>().notNull().default('part'),
  name: text().notNull(),
  /** What it must do, in the person's words. */
  need: text().notNull().default(''),
  /** The acceptance test agreed before printing. */
  acceptance: text().notNull().default(''),
  profileId: integer().references(() => profiles.id),
  rule: text().$type<DecisionRule>().notNull().default('guarded'),
  /** How the part is built from its drawn sizes, where the program can. */
  solid: text({ mode: 'json' }).$type<SolidRecipe>(),
  /** The part's file as it was brought in, before any attempt. */
  meshHash: text(),
  createdAt: integer({ mode: 'timestamp_ms' }).notNull(),
  archivedAt: integer({ mode: 'timestamp_ms' }),
  /** Counts changes of the job and its features, so that a second window notices. */
  revision: integer().notNull().default(1),
});

/** The body that a feature must fit. */
export const mates = sqliteTable('mates', {
  id: integer().primaryKey({ autoIncrement: true }),
  jobId: integer()
    .notNull()
    .references(() => jobs.id),
  name: text().notNull(),
  sizeMm: real(),
  uMm: real(),
});

export const features = sqliteTable(
  'features',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    jobId: integer()
      .notNull()
      .references(() => jobs.id),
    position: integer().notNull(),
    name: text().notNull(),
    sense: text().$type<Sense>().notNull(),
    shape: text().$type<Shape>().notNull(),
    axis: text().$type<Axis>().notNull(),
    angleRad: real(),
    base: text().$type<Base>(),
    targetMm: real().notNull(),
    lowerMm: real().notNull(),
    upperMm: real().notNull(),
    mateId: integer().references(() => mates.id),
    /** A place on one of its faces in the part's file, mm. */
    anchor: text({ mode: 'json' }).$type<[number, number, number]>(),
    removedAt: integer({ mode: 'timestamp_ms' }),
  },
  (table) => [index('features_of_job').on(table.jobId)],
);
