import { desc, eq } from 'drizzle-orm';
import type { DecisionRule } from '@/core/metrology';
import type { Answer, Claim } from '@/core/need';
import { fail, ok, type Result } from '@/core/result';
import { queries, tables, type Db } from '@/db';
import type { Ranked } from '@/core/resins';
import { dropOvertaken, requirementFromNeed, verdictOfJob } from './choose-resin';
import { refit } from './fits';
import { bumpRevision, noteLedger } from './ledger';

export type NeedIssue = { readonly code: 'gone' } | { readonly code: 'changedElsewhere' };

export interface NeedChange {
  readonly name: string;
  readonly need: string;
  readonly acceptance: string;
  readonly profileId?: number;
  readonly rule: DecisionRule;
  readonly quantity: number;
  readonly dueOn: string;
  readonly seenFaces: string;
  readonly hottestC?: number;
  readonly hottestWhen: string;
  readonly fitC?: number;
  readonly loadWords: string;
  readonly loadN?: number;
  readonly claims: readonly Claim[];
  /** Revision of the job that the sender was looking at. */
  readonly revision: number;
}

/** What a change of the need opened again. */
export type Reopened =
  | { readonly code: 'fits'; readonly names: readonly string[] }
  | { readonly code: 'acceptance' }
  | { readonly code: 'resin'; readonly name: string }
  | { readonly code: 'drawn'; readonly attempt: number };

/** The answer for the newest print, while it still answers the test as it is worded now. */
export function standingAnswer(db: Db, job: queries.Job) {
  const { acceptanceAnswers } = tables;
  const last = db
    .select()
    .from(acceptanceAnswers)
    .where(eq(acceptanceAnswers.jobId, job.id))
    .orderBy(desc(acceptanceAnswers.id))
    .get();
  const newest = queries
    .listAttempts(db, job.id)
    .flatMap(({ prints }) => prints)
    .at(-1);
  return last?.test === job.acceptance && last.printId === newest?.id ? last : undefined;
}

/** A resin that did pass and no longer does is no longer chosen. */
function reopenResin(db: Db, job: queries.Job, before: Ranked | undefined): Reopened[] {
  const after = verdictOfJob(db, queries.findJob(db, job.id)!);
  if (before?.verdict !== 'passes' || after === undefined || after.verdict === 'passes') return [];
  db.update(tables.jobs).set({ resinChosenId: null }).where(eq(tables.jobs.id, job.id)).run();
  return [{ code: 'resin', name: after.resin }];
}

interface Before {
  readonly answered: boolean;
  readonly resin: Ranked | undefined;
}

function reopen(db: Db, job: queries.Job, wanted: NeedChange, { answered, resin }: Before): Reopened[] {
  const opened: Reopened[] = reopenResin(db, job, resin);
  const moved = refit(db, job.id);
  if (moved.length > 0) opened.push({ code: 'fits', names: moved });
  if (answered && job.acceptance !== wanted.acceptance) opened.push({ code: 'acceptance' });
  const attempt = queries.listAttempts(db, job.id).at(-1);
  const otherProcess = (job.profileId ?? undefined) !== wanted.profileId;
  if (attempt !== undefined && (otherProcess || moved.length > 0)) {
    opened.push({ code: 'drawn', attempt: attempt.number });
    db.update(tables.jobs).set({ needChangedAt: new Date() }).where(eq(tables.jobs.id, job.id)).run();
  }
  if (opened.length > 0) noteLedger(db, job.id, 'need', 'Need changed', describeOpened(opened));
  return opened;
}

function describeOpened(opened: readonly Reopened[]): string {
  return opened
    .map((each) =>
      each.code === 'fits'
        ? `limits of ${each.names.join(', ')} moved`
        : each.code === 'acceptance'
          ? 'the acceptance test is open again'
          : each.code === 'resin'
            ? `${each.name} no longer passes`
            : `attempt ${each.attempt} was drawn before`,
    )
    .join('; ');
}

/**
 * Changes what a job is for, and opens again what depends on it: limits by temperature, the acceptance test, sizes drawn
 * for another process. A change made elsewhere meanwhile is not overwritten: the sender is told.
 */
export function changeNeed(
  db: Db,
  jobId: number,
  wanted: NeedChange,
): Result<readonly Reopened[], NeedIssue> {
  const job = queries.findJob(db, jobId);
  if (job === undefined) return fail({ code: 'gone' });
  if (job.revision !== wanted.revision) return fail({ code: 'changedElsewhere' });
  const { revision, ...values } = wanted;
  return db.transaction((tx) => {
    const own = tx as unknown as Db;
    const before = { answered: standingAnswer(own, job) !== undefined, resin: verdictOfJob(own, job) };
    const askedBefore = requirementFromNeed(own, job);
    tx.update(tables.jobs)
      .set({
        ...values,
        profileId: wanted.profileId ?? null,
        hottestC: wanted.hottestC ?? null,
        fitC: wanted.fitC ?? null,
        loadN: wanted.loadN ?? null,
        revision: revision + 1,
      })
      .where(eq(tables.jobs.id, jobId))
      .run();
    if (job.acceptance !== wanted.acceptance && wanted.acceptance !== '')
      noteLedger(own, jobId, 'need', 'Acceptance test agreed', wanted.acceptance);
    if (job.rule !== wanted.rule) {
      const guarded = wanted.rule === 'guarded';
      noteLedger(
        own,
        jobId,
        'need',
        'Decision rule',
        guarded ? 'ISO 14253-1: U must fit inside' : 'shared risk',
      );
    }
    dropOvertaken(own, jobId, askedBefore);
    return ok(reopen(own, job, wanted, before));
  });
}

export type AnswerIssue =
  { readonly code: 'gone' } | { readonly code: 'noTest' } | { readonly code: 'notPrinted' };

/** Keeps how the newest print did in the test that was agreed. */
export function answerAcceptance(
  db: Db,
  jobId: number,
  answer: Answer,
  note: string,
): Result<void, AnswerIssue> {
  const job = queries.findJob(db, jobId);
  if (job === undefined) return fail({ code: 'gone' });
  if (job.acceptance === '') return fail({ code: 'noTest' });
  const print = queries.listAttempts(db, jobId).at(-1)?.prints.at(-1);
  if (print === undefined) return fail({ code: 'notPrinted' });
  db.insert(tables.acceptanceAnswers)
    .values({ jobId, printId: print.id, test: job.acceptance, answer, note, at: new Date() })
    .run();
  noteLedger(
    db,
    jobId,
    'story',
    `Acceptance test ${answer}`,
    `print ${print.name}${note === '' ? '' : `: ${note}`}`,
  );
  bumpRevision(db, jobId);
  return ok(undefined);
}

/** Answers of a job by print, the last of each. */
export function listAnswers(db: Db, jobId: number) {
  const { acceptanceAnswers } = tables;
  const rows = db.select().from(acceptanceAnswers).where(eq(acceptanceAnswers.jobId, jobId)).all();
  return new Map(rows.map((row) => [row.printId, row]));
}
