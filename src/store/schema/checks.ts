import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { Finding, PrintSetup } from '@/core/part/findings';
import { jobs } from './jobs';

/** What a look at the layers found, on which file standing how; the newest of a job counts. */
export const checks = sqliteTable(
  'checks',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    jobId: integer()
      .notNull()
      .references(() => jobs.id),
    /** File that was read, by its hash; built parts by what they are built from. */
    source: text().notNull(),
    stance: text({ mode: 'json' }).$type<PrintSetup>().notNull(),
    layerMm: real().notNull(),
    findings: text({ mode: 'json' }).$type<readonly Finding[]>().notNull(),
    at: integer({ mode: 'timestamp_ms' }).notNull(),
  },
  (table) => [index('checks_of_job').on(table.jobId)],
);

/** A finding of which only the words were kept. */
export interface ToldFinding {
  readonly code: 'told';
  readonly title: string;
}

/** What was decided of a finding; append-only, the last one of a key counts. */
export const findingVerdicts = sqliteTable(
  'finding_verdicts',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    jobId: integer()
      .notNull()
      .references(() => jobs.id),
    source: text().notNull(),
    key: text().notNull(),
    /** The finding when it was decided; old rows have only its text. */
    finding: text({ mode: 'json' }).$type<Finding | ToldFinding>().notNull(),
    /** Fixed in the file or by supports, or printed anyway; open again after Undo. */
    verdict: text().$type<'passed' | 'waived' | 'open'>().notNull(),
    reason: text().notNull(),
    at: integer({ mode: 'timestamp_ms' }).notNull(),
  },
  (table) => [index('verdicts_of_job').on(table.jobId)],
);
