import { outcomeOf, type Outcome } from '@/core/metrology';
import { queries, type Db } from '@/db';
import type { JobView } from './view-job';
import type { LedgerStep } from './ledger';

/** What stands around every step of a job: its name, how settled each step is, and the ledger. */
export interface JobFrame {
  readonly name: string;
  readonly kind: 'part' | 'gauge';
  readonly archived: boolean;
  readonly attemptNumber?: number;
  readonly profile?: { readonly printer: string; readonly resin: string; readonly name: string };
  readonly outcome: Outcome;
  /** 0 to 1. */
  readonly settled: Readonly<Record<LedgerStep, number>>;
  readonly ledger: readonly {
    readonly id: number;
    readonly step: LedgerStep;
    readonly title: string;
    readonly detail: string;
  }[];
}

export function frameJob(db: Db, view: JobView): JobFrame {
  const { job, profile, current } = view;
  const features = current?.features ?? [];
  const printed = current?.printId !== undefined;
  const outcome = outcomeOf(features, printed);
  const needs = [job.need !== '', job.acceptance !== '', job.profileId !== null, view.features.length > 0];
  const read = features.filter(({ size }) => size !== undefined).length;
  const isIn = outcome.kind === 'in';
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
    outcome,
    settled: {
      need: needs.filter(Boolean).length / needs.length,
      measure: features.length === 0 ? 0 : read / features.length,
      correct: isIn || (current !== undefined && !printed) ? 1 : 0,
      story: isIn ? 1 : 0,
    },
    ledger: queries
      .listLedger(db, job.id)
      .map(({ id, step, title, detail }) => ({ id, step, title, detail })),
  };
}
