import { type Outcome, outcomeOf } from '@/core/metrology';
import { type Db, queries } from '@/store';
import { settledOfCheck } from '@/subjects/check';
import { listJoints } from '@/subjects/fit';
import { rungsOfPrint } from '@/subjects/gauge';
import type { JobView } from '@/subjects/job';
import { standingAnswer } from '@/subjects/need';
import type { LedgerStep } from '@/subjects/records';
import type { LedgerEntry } from './words-ledger';

/** What stands around every step of a job: its name, how settled each step is, and the ledger. */
export interface JobFrame {
  readonly name: string;
  readonly kind: 'part' | 'gauge';
  readonly archived: boolean;
  readonly attemptNumber?: number;
  readonly profile?: { readonly printer: string; readonly resin: string; readonly name: string };
  readonly outcome: Outcome;
  /** The newest attempt was drawn before the need changed. */
  readonly overtaken: boolean;
  /** 0 to 1. */
  readonly settled: Readonly<Record<LedgerStep, number>>;
  readonly ledger: readonly {
    readonly id: number;
    readonly step: LedgerStep;
    readonly entry: LedgerEntry;
  }[];
}

export function frameJob(db: Db, view: JobView): JobFrame {
  const { job, profile, current } = view;
  const features = current?.features ?? [];
  const printed = current?.printId !== undefined;
  const outcome = outcomeOf(features, printed);
  const joints = listJoints(db, job.id).length;
  const needs = [
    job.need !== '',
    job.acceptance !== '',
    job.profileId !== null,
    view.features.length + joints > 0,
  ];
  const read = features.filter(({ size }) => size !== undefined).length;
  const rungs =
    job.gauge?.kind === 'joint' && current?.printId !== undefined
      ? rungsOfPrint(db, current.printId).size / job.gauge.stepsMm.length
      : undefined;
  const isIn = outcome.kind === 'in';
  // Drawn before something changed on which its sizes depend: those steps are open again.
  const last = view.attempts.at(-1);
  const overtaken = last !== undefined && job.overtakenAttemptId === last.id;
  const mated = view.features.filter(({ mateId }) => mateId !== null);
  const wished = mated.filter(({ wish }) => wish !== null).length;
  const answer = standingAnswer(db, job);
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
    overtaken,
    settled: {
      need: needs.filter(Boolean).length / needs.length,
      resin: profile === undefined ? 0 : job.resinChosenId === profile.resin.id ? 1 : 0.5,
      fit: mated.length === 0 ? (joints > 0 ? 1 : 0) : (wished / mated.length) * (overtaken ? 0.5 : 1),
      check: settledOfCheck(db, view),
      measure: rungs ?? (features.length === 0 ? 0 : read / features.length),
      correct: !overtaken && (isIn || (current !== undefined && !printed)) ? 1 : 0,
      story: answer?.answer === 'passed' ? 1 : isIn && !overtaken ? (job.acceptance === '' ? 1 : 0.5) : 0,
    },
    ledger: queries
      .listLedger(db, job.id)
      .map(({ id, step, entry }) => ({ id, step, entry: entry as LedgerEntry })),
  };
}
