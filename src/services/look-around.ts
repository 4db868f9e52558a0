import { outcomeOf, type Outcome } from '@/core/metrology';
import { queries, tables, type Db } from '@/db';
import { viewJob } from './view-job';

export type NextStep = 'need' | 'measure' | 'correct' | 'story';

/** A job as Today shows it: where it stands and the one thing to do next. */
export interface JobGlance {
  readonly id: number;
  readonly name: string;
  readonly kind: 'part' | 'gauge';
  readonly profile: string;
  readonly attempt: number;
  readonly read: number;
  readonly of: number;
  readonly outcome: Outcome;
  readonly step: NextStep;
}

function nextStep(outcome: Outcome, features: number): NextStep {
  if (features === 0) return 'need';
  if (outcome.kind === 'in') return 'story';
  if (outcome.kind === 'out' || outcome.kind === 'notPrinted') return 'correct';
  return 'measure';
}

/** Every open job with its next step. */
export function glanceAtJobs(db: Db): JobGlance[] {
  return queries.listJobs(db).flatMap(({ job, printer, resin }) => {
    const view = viewJob(db, job.id);
    if (view === undefined) return [];
    const features = view.current?.features ?? [];
    const printed = view.current?.printId !== undefined;
    const outcome = outcomeOf(features, printed);
    const gaugeDone =
      job.kind === 'gauge' && features.length > 0 && features.every(({ size }) => size !== undefined);
    return {
      id: job.id,
      name: job.name,
      kind: job.kind,
      profile: printer === null || resin === null ? '' : `${resin.name} on ${printer.name}`,
      attempt: view.current?.attemptNumber ?? 0,
      read: features.filter(({ size }) => size !== undefined).length,
      of: view.features.length,
      outcome,
      step: gaugeDone
        ? 'story'
        : view.attempts.length === 0
          ? view.features.length === 0
            ? 'need'
            : 'correct'
          : nextStep(outcome, view.features.length),
    };
  });
}

export interface Findable {
  readonly label: string;
  readonly detail: string;
  readonly href: string;
}

/** Everything that can be found by name: jobs (archived too), features, printers, resins, instruments. */
export function listFindables(db: Db): Findable[] {
  const jobs = [...queries.listJobs(db), ...queries.listJobs(db, { archived: true })];
  const ofJobs = jobs.flatMap(({ job }) => [
    {
      label: job.name,
      detail: job.archivedAt === null ? job.kind : `${job.kind}, archived`,
      href: `/jobs/${job.id}/story`,
    },
    ...queries.listFeatures(db, job.id).map((feature) => ({
      label: feature.name,
      detail: `feature of ${job.name}`,
      href: `/jobs/${job.id}/measure`,
    })),
  ]);
  const profiles = queries.listProfiles(db).map(({ profile, printer, resin }) => ({
    label: `${resin.name} on ${printer.name}`,
    detail: `signature, ${profile.name}`,
    href: `/printers/${profile.id}`,
  }));
  const instruments = db
    .select()
    .from(tables.instruments)
    .all()
    .map(({ name }) => ({ label: name, detail: 'instrument', href: '/printers' }));
  return [...profiles, ...ofJobs, ...instruments];
}

/** Jobs that were put away. */
export function glanceAtArchive(db: Db): { readonly id: number; readonly name: string }[] {
  return queries.listJobs(db, { archived: true }).map(({ job }) => ({ id: job.id, name: job.name }));
}
