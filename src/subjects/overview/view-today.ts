import { type Outcome, outcomeOf } from '@/core/metrology';
import { type Db, queries } from '@/store';
import { settledOfCheck } from '@/subjects/check';
import { verdictOfJob } from '@/subjects/choice';
import { listJoints } from '@/subjects/fit';
import { rungsOfPrint } from '@/subjects/gauge';
import { type JobView, viewJob } from '@/subjects/job';
import type { LedgerStep } from '@/subjects/records';

export type NextStep = LedgerStep;

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
  /** Joints printed in place that are designed in it. */
  readonly joints: number;
  readonly step: NextStep;
}

function nextStep(db: Db, view: JobView, outcome: Outcome, joints: number): NextStep {
  const { job, attempts, features } = view;
  if (features.length === 0) return joints > 0 ? 'fit' : 'need';
  if (attempts.length === 0) {
    if (verdictOfJob(db, job)?.verdict === 'fails') return 'resin';
    // A file that somebody drew is looked at before it is printed.
    return job.meshHash !== null && settledOfCheck(db, view) === 0 ? 'check' : 'correct';
  }
  if (outcome.kind === 'in') return 'story';
  return outcome.kind === 'out' || outcome.kind === 'notPrinted' ? 'correct' : 'measure';
}

function rungsFound(db: Db, { current }: JobView): number {
  return current?.printId === undefined ? 0 : rungsOfPrint(db, current.printId).size;
}

/** Every open job with its next step. */
export function glanceAtJobs(db: Db): JobGlance[] {
  return queries.listJobs(db).flatMap(({ job, printer, resin }) => {
    const view = viewJob(db, job.id);
    if (view === undefined) return [];
    const features = view.current?.features ?? [];
    const printed = view.current?.printId !== undefined;
    const outcome = outcomeOf(features, printed);
    const [read, of] =
      job.gauge?.kind === 'joint'
        ? [rungsFound(db, view), job.gauge.stepsMm.length]
        : [features.filter(({ size }) => size !== undefined).length, view.features.length];
    const joints = listJoints(db, job.id).length;
    return {
      id: job.id,
      name: job.name,
      kind: job.kind,
      profile: printer === null || resin === null ? '' : `${resin.name} on ${printer.name}`,
      attempt: view.current?.attemptNumber ?? 0,
      read,
      of,
      outcome,
      joints,
      step:
        job.kind === 'gauge'
          ? of > 0 && read === of
            ? 'story'
            : 'measure'
          : nextStep(db, view, outcome, joints),
    };
  });
}

/** Jobs that were put away. */
export function glanceAtArchive(db: Db): { readonly id: number; readonly name: string }[] {
  return queries.listJobs(db, { archived: true }).map(({ job }) => ({ id: job.id, name: job.name }));
}
