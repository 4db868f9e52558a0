import { and, count, countDistinct, desc, eq, isNull } from 'drizzle-orm';
import type { GaugeSpec } from '@/core/fit/gauges';
import { type Db, tables } from '@/store';

/** A gauge as the list shows it. */
interface GaugeGlance {
  readonly id: number;
  readonly name: string;
  readonly profile: string;
  readonly profileId: number | null;
  readonly gauge: GaugeSpec | null;
  readonly printed: boolean;
  readonly found: number;
  readonly of: number;
}

/** How many of something each job has, by its id; jobs without any are left out. */
type CountOfJobs = ReadonlyMap<number, number>;

const byJob = (rows: readonly { readonly jobId: number; readonly n: number }[]): CountOfJobs =>
  new Map(rows.map(({ jobId, n }) => [jobId, n]));

/** Prints of each gauge, its features, those that were measured and the steps that were tried. */
function countOfGauges(db: Db) {
  const { jobs, attempts, prints, features, readings, retractions, rungs } = tables;
  const isGauge = eq(jobs.kind, 'gauge');
  return {
    prints: byJob(
      db
        .select({ jobId: attempts.jobId, n: count() })
        .from(prints)
        .innerJoin(attempts, eq(prints.attemptId, attempts.id))
        .innerJoin(jobs, and(eq(attempts.jobId, jobs.id), isGauge))
        .groupBy(attempts.jobId)
        .all(),
    ),
    features: byJob(
      db
        .select({ jobId: features.jobId, n: count() })
        .from(features)
        .innerJoin(jobs, and(eq(features.jobId, jobs.id), isGauge))
        .where(isNull(features.removedAt))
        .groupBy(features.jobId)
        .all(),
    ),
    read: byJob(
      db
        .select({ jobId: features.jobId, n: countDistinct(readings.featureId) })
        .from(readings)
        .innerJoin(features, eq(readings.featureId, features.id))
        .innerJoin(jobs, and(eq(features.jobId, jobs.id), isGauge))
        .leftJoin(retractions, eq(retractions.readingId, readings.id))
        .where(isNull(retractions.readingId))
        .groupBy(features.jobId)
        .all(),
    ),
    rungs: byJob(
      db
        .select({ jobId: attempts.jobId, n: countDistinct(rungs.rung) })
        .from(rungs)
        .innerJoin(prints, eq(rungs.printId, prints.id))
        .innerJoin(attempts, eq(prints.attemptId, attempts.id))
        .groupBy(attempts.jobId)
        .all(),
    ),
  };
}

/** All gauges that are not archived, the newest first. */
export function glanceAtGauges(db: Db): GaugeGlance[] {
  const { jobs, profiles, printers, resins } = tables;
  const counts = countOfGauges(db);
  const rows = db
    .select({ job: jobs, printer: printers.name, resin: resins.name })
    .from(jobs)
    .leftJoin(profiles, eq(jobs.profileId, profiles.id))
    .leftJoin(printers, eq(profiles.printerId, printers.id))
    .leftJoin(resins, eq(profiles.resinId, resins.id))
    .where(and(eq(jobs.kind, 'gauge'), isNull(jobs.archivedAt)))
    .orderBy(desc(jobs.createdAt), desc(jobs.id))
    .all();
  return rows.map(({ job: { id, name, profileId, gauge }, printer, resin }) => {
    const isJoint = gauge?.kind === 'joint';
    return {
      id,
      name,
      profile: printer === null || resin === null ? '' : `${resin} on ${printer}`,
      profileId,
      gauge,
      printed: (counts.prints.get(id) ?? 0) > 0,
      found: (isJoint ? counts.rungs : counts.read).get(id) ?? 0,
      of: isJoint ? gauge.stepsMm.length : (counts.features.get(id) ?? 0),
    };
  });
}
