import { and, asc, desc, eq, getTableColumns, inArray, isNotNull, isNull, sql } from 'drizzle-orm';
import { groupBy } from '@/core/kit';
import type { Db } from '../client';
import { attempts, drawnSizes, printedFeatures, prints } from '../schema/attempts';
import { printers, profiles } from '../schema/equipment';
import { features, jobs, mates } from '../schema/jobs';
import { ledgerLines } from '../schema/records';
import { resins } from '../schema/resins';

export type Job = typeof jobs.$inferSelect;

export type Printer = typeof printers.$inferSelect;

export type Feature = typeof features.$inferSelect;

export type Attempt = typeof attempts.$inferSelect;

export type DrawnSizeRow = typeof drawnSizes.$inferSelect;

export type Print = typeof prints.$inferSelect;

export type PrintedFeature = typeof printedFeatures.$inferSelect;

export type Mate = typeof mates.$inferSelect;

export function findJob(db: Db, jobId: number): Job | undefined {
  return db.select().from(jobs).where(eq(jobs.id, jobId)).get();
}

export function listFeatures(db: Db, jobId: number): Feature[] {
  return db
    .select()
    .from(features)
    .where(and(eq(features.jobId, jobId), isNull(features.removedAt)))
    .orderBy(asc(features.position), asc(features.id))
    .all();
}

export function listMates(db: Db, jobId: number): Mate[] {
  return db.select().from(mates).where(eq(mates.jobId, jobId)).orderBy(asc(mates.id)).all();
}

/** Attempts of a job with the drawn sizes of its own features, first to last; their prints, which may be thousands, are not read. */
export function listDrawnAttempts(db: Db, jobId: number) {
  const own = db.select().from(attempts).where(eq(attempts.jobId, jobId)).orderBy(asc(attempts.number)).all();
  const drawn =
    own.length === 0
      ? []
      : db
          .select(getTableColumns(drawnSizes))
          .from(drawnSizes)
          .innerJoin(features, eq(drawnSizes.featureId, features.id))
          .where(
            and(
              inArray(
                drawnSizes.attemptId,
                own.map(({ id }) => id),
              ),
              eq(features.jobId, jobId),
            ),
          )
          .all();
  const drawnOf = groupBy(drawn, ({ attemptId }) => attemptId);
  return own.map((attempt) => ({ ...attempt, drawn: drawnOf.get(attempt.id) ?? [] }));
}

/** The same with the prints of each. */
export function listAttempts(db: Db, jobId: number) {
  const own = listDrawnAttempts(db, jobId);
  const ids = own.map(({ id }) => id);
  const rows =
    ids.length === 0
      ? []
      : db.select().from(prints).where(inArray(prints.attemptId, ids)).orderBy(asc(prints.id)).all();
  const printsOf = groupBy(rows, ({ attemptId }) => attemptId);
  return own.map((attempt) => ({ ...attempt, prints: printsOf.get(attempt.id) ?? [] }));
}

/** How features lay in a print, by feature id. */
export function printedById(db: Db, printId: number): Map<number, PrintedFeature> {
  const rows = db.select().from(printedFeatures).where(eq(printedFeatures.printId, printId)).all();
  return new Map(rows.map((row) => [row.featureId, row]));
}

/** The profile that a print was made with. */
export function profileOfPrint(db: Db, printId: number): number {
  return db
    .select({ profileId: attempts.profileId })
    .from(prints)
    .innerJoin(attempts, eq(prints.attemptId, attempts.id))
    .where(eq(prints.id, printId))
    .get()!.profileId;
}

/** Whether a print was made of an attempt of this job. */
export function isPrintOf(db: Db, jobId: number, printId: number): boolean {
  const row = db
    .select({ jobId: attempts.jobId })
    .from(prints)
    .innerJoin(attempts, eq(prints.attemptId, attempts.id))
    .where(eq(prints.id, printId))
    .get();
  return row?.jobId === jobId;
}

export type AttemptWithPrints = ReturnType<typeof listAttempts>[number];

export function findProfile(db: Db, profileId: number) {
  return db
    .select({ profile: profiles, printer: printers, resin: resins })
    .from(profiles)
    .innerJoin(printers, eq(profiles.printerId, printers.id))
    .innerJoin(resins, eq(profiles.resinId, resins.id))
    .where(eq(profiles.id, profileId))
    .get();
}

export function listProfiles(db: Db) {
  return db
    .select({ profile: profiles, printer: printers, resin: resins })
    .from(profiles)
    .innerJoin(printers, eq(profiles.printerId, printers.id))
    .innerJoin(resins, eq(profiles.resinId, resins.id))
    .orderBy(asc(printers.name), asc(resins.name))
    .all();
}

export type ProfileRow = ReturnType<typeof listProfiles>[number];

/** Jobs of a profile that are not archived. */
export function listOpenJobsOf(db: Db, profileId: number): Job[] {
  return db
    .select()
    .from(jobs)
    .where(and(eq(jobs.profileId, profileId), isNull(jobs.archivedAt)))
    .orderBy(asc(jobs.id))
    .all();
}

export function listLedger(db: Db, jobId: number) {
  return db
    .select()
    .from(ledgerLines)
    .where(eq(ledgerLines.jobId, jobId))
    .orderBy(desc(ledgerLines.id))
    .limit(60)
    .all();
}

export function listJobs(db: Db, { archived = false } = {}) {
  return db
    .select({ job: jobs, profile: profiles, printer: printers, resin: resins })
    .from(jobs)
    .leftJoin(profiles, eq(jobs.profileId, profiles.id))
    .leftJoin(printers, eq(profiles.printerId, printers.id))
    .leftJoin(resins, eq(profiles.resinId, resins.id))
    .where(archived ? isNotNull(jobs.archivedAt) : isNull(jobs.archivedAt))
    .orderBy(desc(jobs.createdAt), desc(jobs.id))
    .all();
}

/** Mates by their ids. */
export function listMatesById(db: Db, ids: readonly number[]): [id: number, mate: Mate][] {
  if (ids.length === 0) return [];
  return db
    .select()
    .from(mates)
    .where(inArray(mates.id, [...ids]))
    .all()
    .map((mate) => [mate.id, mate]);
}

/** Names of all jobs, the newest first and archived ones last. */
export function nameJobs(db: Db) {
  const { id, name, kind, archivedAt } = jobs;
  const isArchived = sql<boolean>`${archivedAt} is not null`.mapWith(Boolean);
  return db.select({ id, name, kind, isArchived }).from(jobs).orderBy(isArchived, desc(id)).all();
}

/** Features that bear each of the words in their own name or their job's, the newest first. */
export function findFeatures(db: Db, words: readonly string[], most: number) {
  const text = sql`lower(${features.name} || ' feature of ' || ${jobs.name})`;
  return db
    .select({ name: features.name, jobId: jobs.id, job: jobs.name })
    .from(features)
    .innerJoin(jobs, eq(features.jobId, jobs.id))
    .where(and(isNull(features.removedAt), ...words.map((word) => sql`instr(${text}, ${word}) > 0`)))
    .orderBy(desc(features.id))
    .limit(most)
    .all();
}
