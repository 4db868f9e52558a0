import type { Outcome } from '@/core/measure';
import { type Db, queries } from '@/store';
import type { JobView } from '@/subjects/job/jobs';
import type { DecisionStep } from '@/subjects/workshop/records';
import { foundInPrint } from './outcome-of-print';
import { isOvertaken, type Settled, settledSteps } from './settled-steps';
import type { DecisionEntry } from './words-decisions';

/** What is around every step of a job: its name, how complete each step is, and the decisions. */
export interface JobFrame {
  readonly name: string;
  readonly kind: 'part' | 'gauge';
  readonly archived: boolean;
  readonly attemptNumber?: number;
  readonly profile?: { readonly printer: string; readonly resin: string; readonly name: string };
  readonly outcome: Outcome;
  /** The newest attempt was drawn before the need changed. */
  readonly overtaken: boolean;
  readonly settled: Settled;
  readonly ledger: readonly {
    readonly id: number;
    readonly step: DecisionStep;
    readonly entry: DecisionEntry;
  }[];
}

export function frameJob(db: Db, view: JobView): JobFrame {
  const { job, profile, current } = view;
  const found = foundInPrint(db, job.id, current);
  return {
    name: job.name,
    kind: job.kind,
    archived: job.archivedAt !== null,
    attemptNumber: current?.attemptNumber,
    profile: profile && {
      printer: profile.printer.name,
      resin: profile.resin.name,
      name: profile.profile.name,
    },
    outcome: found.outcome,
    overtaken: isOvertaken(view),
    settled: settledSteps(db, view, found),
    ledger: queries
      .listLedger(db, job.id)
      .map(({ id, step, entry }) => ({ id, step, entry: entry as DecisionEntry })),
  };
}
