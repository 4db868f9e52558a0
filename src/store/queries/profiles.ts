import { and, asc, eq, isNull, or } from 'drizzle-orm';
import type { Db } from '../client';
import { attempts, printedFeatures, prints } from '../schema/attempts';
import { foreignLaws, printers, profileChanges, profiles } from '../schema/equipment';
import { features, jobs } from '../schema/jobs';
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

/** Signatures of other shops that speak of the printer or the resin of a profile. */
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

/** All of them that were not put away. */
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
