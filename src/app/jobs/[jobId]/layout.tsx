import { describeDecision } from '@/subjects/job/overview/shared';
import type { Metadata } from 'next';
import type { ReactNode } from 'react';
import { loadJob } from '@/app/_components/load-job';
import { BeingBroughtUpToDate } from '@/app/_components/being-brought-up-to-date';
import { idFrom } from '@/app/_components/read-params';
import { jobStepsOf } from '@/app/_components/job-steps';
import { bench } from '@/subjects/workshop/settings';
import { describeOutcome } from '@/subjects/kit/shared';
import { frameJob, type JobFrame } from '@/subjects/job/overview';
import { Decisions, Tape, type ProgressStep } from '@/ui';

type Params = { params: Promise<{ jobId: string }> };

function subtitleOf({ attemptNumber, profile, outcome, kind, archived }: JobFrame): string {
  const attempt = attemptNumber === undefined ? 'nothing drawn yet' : `attempt ${attemptNumber}`;
  const machine =
    profile === undefined
      ? 'no printer chosen yet'
      : `${profile.resin} on ${profile.printer}, ${profile.name}`;
  const state = attemptNumber === undefined || kind === 'gauge' ? undefined : describeOutcome(outcome);
  return [archived ? 'archived' : undefined, attempt, machine, state]
    .filter((part) => part !== undefined)
    .join(' · ');
}

export async function generateMetadata({ params }: Params): Promise<Metadata> {
  return { title: (await loadJob(idFrom((await params).jobId))).job.name };
}

/** The frame of a job: its name, its steps and its decisions. */
export default async function JobLayout({ params, children }: Params & { children: ReactNode }) {
  const jobId = idFrom((await params).jobId);
  const view = await loadJob(jobId);
  const frame = frameJob(bench().db, view);
  const steps: ProgressStep[] = jobStepsOf(frame.kind).map(({ step, number, label }) => ({
    number,
    label,
    href: `/jobs/${jobId}/${step}`,
    settled: frame.settled[step],
  }));
  const lines = frame.ledger.map(({ id, step, entry }) => ({
    id,
    ...describeDecision(entry),
    href: `/jobs/${jobId}/${step}`,
  }));
  return (
    // The column of decisions has its place from the first paint, so that the work beside it does not move.
    <div className="lg:grid lg:grid-cols-[minmax(0,1fr)_16rem] lg:has-[.ledger-folded]:grid-cols-[minmax(0,1fr)_3.5rem] print:block">
      <div className="min-w-0 px-4 py-3 sm:px-6">
        <div className="mb-2 flex flex-wrap items-baseline gap-x-3">
          <h1 className="text-2xl sm:text-[1.7rem]">{frame.name}</h1>
          <p className="text-soft">{subtitleOf(frame)}</p>
        </div>
        <Tape steps={steps} />
        {view.learned?.isOvertaken === true && <BeingBroughtUpToDate />}
        {frame.overtaken && (
          <p className="no-print mt-3 border-l-4 border-honey py-1 pl-3">
            Something changed after attempt {frame.attemptNumber} was created. Its sizes are judged by the
            current limits. Review Fit and Correct again.
          </p>
        )}
        <div className="mt-4">{children}</div>
      </div>
      <Decisions lines={lines} />
    </div>
  );
}
