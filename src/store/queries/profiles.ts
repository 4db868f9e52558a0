import { and, asc, desc, eq, isNull, ne, or, sql } from 'drizzle-orm';
import type { StateShift } from '@/core/signature';
import type { Db } from '../client';
import { attempts, printedFeatures, prints } from '../schema/attempts';
import { foreignLaws, printers, profileChanges, profiles } from '../schema/equipment';
import { features, jobs } from '../schema/jobs';
import { laws, signatures } from '../schema/records';
import { resins } from '../schema/resins';

/** Changes of what a profile is printed under that stand, oldest first. */
export function listChanges(db: Db, profileId: number) {
  return db
    .select()
    .from(profileChanges)
    .where(and(eq(profileChanges.profileId, profileId), isNull(profileChanges.retractedAt)))
    .orderBy(asc(profileChanges.at), asc(profileChanges.id))
    .all();
}

export type ProfileChange = ReturnType<typeof listChanges>[number];

/** Prints of a profile, oldest first. */
export function listPrintsOfProfile(db: Db, profileId: number) {
  return db
    .select({ id: prints.id, name: prints.name, madeAt: prints.madeAt, roomC: prints.roomC })
    .from(prints)
    .innerJoin(attempts, eq(prints.attemptId, attempts.id))
    .where(eq(attempts.profileId, profileId))
    .orderBy(asc(prints.madeAt), asc(prints.id))
    .all();
}

/** The control feature of a profile with the gauge that it is on. */
export function findControl(db: Db, profileId: number) {
  return db
    .select({ feature: features, job: jobs })
    .from(profiles)
    .innerJoin(features, eq(profiles.controlFeatureId, features.id))
    .innerJoin(jobs, eq(features.jobId, jobs.id))
    .where(eq(profiles.id, profileId))
    .get();
}

/** Features of gauges that were made for a profile: what its control can be chosen from. */
export function listGaugeFeatures(db: Db, profileId: number) {
  return db
    .select({ id: features.id, name: features.name, job: jobs.name })
    .from(features)
    .innerJoin(jobs, eq(features.jobId, jobs.id))
    .where(
      and(
        eq(jobs.profileId, profileId),
        eq(jobs.kind, 'gauge'),
        isNull(jobs.archivedAt),
        isNull(features.removedAt),
      ),
    )
    .orderBy(asc(jobs.id), asc(features.position))
    .all();
}

/** What was expected of a feature in each print, where that was noted. */
export function listExpectedOf(db: Db, featureId: number) {
  const rows = db
    .select({
      printId: printedFeatures.printId,
      mm: printedFeatures.expectedMm,
      sd: printedFeatures.expectedSdMm,
    })
    .from(printedFeatures)
    .where(eq(printedFeatures.featureId, featureId))
    .all();
  return new Map(
    rows.flatMap(({ printId, mm, sd }) =>
      mm === null || sd === null ? [] : [[printId, { expectedMm: mm, sdMm: sd }] as const],
    ),
  );
}

/** Returns signatures of other workshops for the printer or the resin of a profile. */
export function listForeignLaws(db: Db, { printerId, resinId }: { printerId: number; resinId: number }) {
  return selectForeignLaws(db)
    .where(
      and(
        isNull(foreignLaws.removedAt),
        or(eq(foreignLaws.printerId, printerId), eq(foreignLaws.resinId, resinId)),
      ),
    )
    .orderBy(asc(foreignLaws.id))
    .all();
}

/** Returns all of them that are not archived. */
export function listAllForeignLaws(db: Db) {
  return selectForeignLaws(db).where(isNull(foreignLaws.removedAt)).orderBy(asc(foreignLaws.id)).all();
}

function selectForeignLaws(db: Db) {
  return db
    .select({ law: foreignLaws, printer: printers.name, resin: resins.name })
    .from(foreignLaws)
    .leftJoin(printers, eq(foreignLaws.printerId, printers.id))
    .leftJoin(resins, eq(foreignLaws.resinId, resins.id));
}

/**
 * Returns a text that changes with anything that affects the interpretation of a profile's readings, except new
 * readings: deletions, place and coat of features, calipers and the resin.
 */
export function keyOfReadings(db: Db, profileId: number): string {
  const { key } = db.get<{ key: string }>(sql`
    select json_array(
      (select count(*) from retractions),
      (select group_concat(json_array(id, sense, shape, axis, angle_rad, base, coat_mm)) from features
        where job_id in (select job_id from attempts where profile_id = ${profileId})),
      (select json_group_array(json_array(id, name, mpe_mm, resolution_mm, jaw_flat_mm, jaw_flat_unknown, steel))
        from instruments),
      (select sheet from resins join profiles on profiles.resin_id = resins.id where profiles.id = ${profileId})) as key`);
  return key;
}

/** The newest signature that was kept of a profile. */
export function findKeptSignature(db: Db, profileId: number) {
  return db
    .select()
    .from(signatures)
    .where(eq(signatures.profileId, profileId))
    .orderBy(desc(signatures.id))
    .limit(1)
    .get();
}

/** Shifts between states as the newest kept signature of a profile has them; none before one was kept. */
export function listKeptShifts(db: Db, profileId: number): readonly StateShift[] {
  return findKeptSignature(db, profileId)?.summary.stateShift ?? [];
}

/** Was a signature with this evidence kept for the profile? */
export function hasKeptSignature(db: Db, profileId: number, evidenceKey: string): boolean {
  const where = and(eq(signatures.profileId, profileId), eq(signatures.evidenceKey, evidenceKey));
  return db.select({ id: signatures.id }).from(signatures).where(where).get() !== undefined;
}

/** Laws that were learned of profiles which share the printer or the resin of this one, those measured most first. */
export function listKinLaws(db: Db, profileId: number) {
  const own = db.select().from(profiles).where(eq(profiles.id, profileId)).get();
  if (own === undefined) return [];
  return db
    .select({ law: laws, profile: profiles, printer: printers.name, resin: resins.name })
    .from(laws)
    .innerJoin(profiles, eq(laws.profileId, profiles.id))
    .innerJoin(printers, eq(profiles.printerId, printers.id))
    .innerJoin(resins, eq(profiles.resinId, resins.id))
    .where(
      and(
        ne(profiles.id, profileId),
        or(eq(profiles.printerId, own.printerId), eq(profiles.resinId, own.resinId)),
      ),
    )
    .orderBy(desc(laws.readingCount), asc(profiles.id))
    .all();
}
