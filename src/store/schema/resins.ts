import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { ResinTestData, RecipePart, ResinSheet } from '@/core/resin';

/** Resins and blends. */
export const resins = sqliteTable('resins', {
  id: integer().primaryKey({ autoIncrement: true }),
  name: text().notNull().unique(),
  /** Datasheet values; results of tests are in the table `proofs`. */
  sheet: text({ mode: 'json' })
    .$type<ResinSheet>()
    .notNull()
    .default({ family: 'general', quotes: [], cautions: [] }),
  /** Parts by name when it is a blend: another recipe is another resin, with a signature of its own. */
  recipe: text({ mode: 'json' }).$type<readonly RecipePart[]>(),
  removedAt: integer({ mode: 'timestamp_ms' }),
});

export const bottles = sqliteTable(
  'bottles',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    resinId: integer()
      .notNull()
      .references(() => resins.id),
    batch: text().notNull().default(''),
    /** Days, YYYY-MM-DD; empty while it is sealed or unknown. */
    openedOn: text().notNull().default(''),
    fullMl: real().notNull(),
    leftMl: real().notNull(),
    shakenAt: integer({ mode: 'timestamp_ms' }),
    removedAt: integer({ mode: 'timestamp_ms' }),
  },
  (table) => [index('bottles_of_resin').on(table.resinId)],
);

/** Resin tests with their readings; their results are computed each time. */
export const proofs = sqliteTable(
  'proofs',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    resinId: integer()
      .notNull()
      .references(() => resins.id),
    test: text({ mode: 'json' }).$type<ResinTestData>().notNull(),
    /** Day of the test, YYYY-MM-DD. */
    on: text().notNull(),
    note: text().notNull().default(''),
    /** Day of the second reading of a creep check, YYYY-MM-DD. */
    dueOn: text().notNull().default(''),
    removedAt: integer({ mode: 'timestamp_ms' }),
  },
  (table) => [index('proofs_of_resin').on(table.resinId)],
);
