import { index, integer, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { Answer } from '@/core/job/need';
import type { SignatureSummary } from '@/core/signature';
import { prints } from './attempts';
import { profiles } from './equipment';
import { jobs } from './jobs';
import { runs } from './runs';

/**
 * Every estimate of a signature that was ever used: what it said of the law, and how far the readings went that it was
 * learned from. A row is as short in the fifth year as in the first week.
 */
export const signatures = sqliteTable(
  'signatures',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    profileId: integer()
      .notNull()
      .references(() => profiles.id),
    /** Key of the evidence it was learned from. */
    evidenceKey: text().notNull(),
    readingCount: integer().notNull(),
    /** The newest reading in it; 0 where it was learned from words alone. */
    lastReadingId: integer().notNull(),
    summary: text({ mode: 'json' }).$type<SignatureSummary>().notNull(),
    createdAt: integer({ mode: 'timestamp_ms' }).notNull(),
  },
  (table) => [uniqueIndex('signatures_once').on(table.profileId, table.evidenceKey)],
);

/** The law of each profile as last computed, with its prior: what related profiles use. */
export const laws = sqliteTable('laws', {
  profileId: integer()
    .primaryKey()
    .references(() => profiles.id),
  /** Key of the evidence it was learned from. */
  evidenceKey: text().notNull(),
  readingCount: integer().notNull(),
  mean: text({ mode: 'json' }).$type<number[]>().notNull(),
  /** Over the parameters, row-major. */
  covariance: text({ mode: 'json' }).$type<number[]>().notNull(),
  priorMean: text({ mode: 'json' }).$type<number[]>().notNull(),
  priorCovariance: text({ mode: 'json' }).$type<number[]>().notNull(),
});

/** A code with its facts. Each subject says which codes it writes, beside their words. */
export interface Fact {
  readonly code: string;
}

/** What was decided in a job, by what evidence, and where. */
export const ledgerLines = sqliteTable(
  'ledger_lines',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    jobId: integer()
      .notNull()
      .references(() => jobs.id),
    step: text()
      .$type<'need' | 'resin' | 'fit' | 'check' | 'run' | 'measure' | 'correct' | 'story'>()
      .notNull(),
    /** What happened, as a code with its facts; the words are made when it is shown. */
    entry: text({ mode: 'json' }).$type<Fact>().notNull(),
    at: integer({ mode: 'timestamp_ms' }).notNull(),
  },
  (table) => [index('ledger_of_job').on(table.jobId)],
);

/** Settings of this workshop, by name. */
export const settings = sqliteTable('settings', {
  name: text().primaryKey(),
  value: text({ mode: 'json' }).$type<unknown>().notNull(),
});

/** Taps and forms that were answered, by the key that each bears: asked again, they get the first answer. The oldest go. */
export const taps = sqliteTable('taps', {
  id: integer().primaryKey({ autoIncrement: true }),
  tapKey: text().notNull().unique(),
  answer: text({ mode: 'json' }).$type<{ readonly answer?: unknown }>().notNull(),
});

/** How a print did in the acceptance test that was agreed; append-only, the last answer counts. */
export const acceptanceAnswers = sqliteTable(
  'acceptance_answers',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    jobId: integer()
      .notNull()
      .references(() => jobs.id),
    printId: integer()
      .notNull()
      .references(() => prints.id),
    /** The text of the test when it was answered: another text reopens it. */
    test: text().notNull(),
    answer: text().$type<Answer>().notNull(),
    note: text().notNull().default(''),
    at: integer({ mode: 'timestamp_ms' }).notNull(),
  },
  (table) => [index('answers_of_job').on(table.jobId)],
);

/** Photos and sketches kept with a job; the bytes lie beside the database. */
export const pictures = sqliteTable(
  'pictures',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    jobId: integer()
      .notNull()
      .references(() => jobs.id),
    /** Taken of what came off a run; null: of the part or where it sits. */
    runId: integer().references(() => runs.id),
    hash: text().notNull(),
    type: text().$type<'jpg' | 'png' | 'webp'>().notNull(),
    caption: text().notNull().default(''),
    addedAt: integer({ mode: 'timestamp_ms' }).notNull(),
    removedAt: integer({ mode: 'timestamp_ms' }),
  },
  (table) => [index('pictures_of_job').on(table.jobId)],
);
