import type { GaugeSpec } from '@/core/gauges';
import { type Db, queries } from '@/store';
import { listRungs } from './view-ladder';

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

export function glanceAtGauges(db: Db): GaugeGlance[] {
  const all = listRungs(db);
  return queries
    .listJobs(db)
    .filter(({ job }) => job.kind === 'gauge')
    .map(({ job, printer, resin, profile }) => {
      const prints = queries.listAttempts(db, job.id).flatMap((attempt) => attempt.prints);
      const ids = new Set(prints.map(({ id }) => id));
      const features = queries.listFeatures(db, job.id);
      const read = new Set(
        queries.listStandingReadings(db, queries.ofJob(job.id)).map(({ feature }) => feature.id),
      );
      const isJoint = job.gauge?.kind === 'joint';
      return {
        id: job.id,
        name: job.name,
        profile: printer === null || resin === null ? '' : `${resin.name} on ${printer.name}`,
        profileId: profile?.id ?? null,
        gauge: job.gauge,
        printed: prints.length > 0,
        found: isJoint
          ? new Set(all.filter(({ printId }) => ids.has(printId)).map(({ rung }) => rung)).size
          : read.size,
        of: job.gauge?.kind === 'joint' ? job.gauge.stepsMm.length : features.length,
      };
    });
}
