import { describeLedgerEntry } from '@/subjects/overview/shared';
import type { Metadata } from 'next';
import type { ReactNode } from 'react';
import { loadJob } from '@/app/_components/load-job';
import { idFrom } from '@/app/_components/read-params';
import { bench } from '@/subjects/house';
import { describeOutcome } from '@/subjects/language/shared';
import { frameJob, type JobFrame } from '@/subjects/overview';
import { Ledger, Tape, type TapeStep } from '@/ui';

type Params = { params: Promise<{ jobId: string }> };

const THREAD = [
  { step: 'need', number: 1, label: 'Need' },
  { step: 'resin', number: 2, label: 'Resin' },
  { step: 'fit', number: 3, label: 'Fit' },
  { step: 'check', number: 4, label: 'Check' },
  { step: 'measure', number: 6, label: 'Measure' },
  { step: 'correct', number: 7, label: 'Correct' },
  { step: 'story', number: 8, label: 'Story' },
] as const;

/** A gauge is printed as it is: nothing is wished of it and nothing drawn anew. */
const GAUGE_STEPS: ReadonlySet<string> = new Set(['need', 'measure', 'story']);

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
  return { title: loadJob(idFrom((await params).jobId)).job.name };
}

/** The frame of a job: its name, its steps and its ledger. */
export default async function JobLayout({ params, children }: Params & { children: ReactNode }) {
  const jobId = idFrom((await params).jobId);
  const frame = frameJob(bench().db, loadJob(jobId));
  const thread = frame.kind === 'part' ? THREAD : THREAD.filter(({ step }) => GAUGE_STEPS.has(step));
  const steps: TapeStep[] = thread.map(({ step, number, label }) => ({
    number,
    label,
    href: `/jobs/${jobId}/${step}`,
    settled: frame.settled[step],
  }));
  const lines = frame.ledger.map(({ id, step, entry }) => ({
    id,
    ...describeLedgerEntry(entry),
    href: `/jobs/${jobId}/${step}`,
  }));
  return (
    <div className="lg:flex">
      <div className="min-w-0 flex-1 px-4 py-3 sm:px-6">
        <div className="mb-2 flex flex-wrap items-baseline gap-x-3">
          <h1 className="text-2xl sm:text-[1.7rem]">{frame.name}</h1>
          <p className="text-soft">{subtitleOf(frame)}</p>
        </div>
        <Tape steps={steps} />
        {frame.overtaken && (
          <p className="no-print mt-3 border-l-4 border-honey py-1 pl-3">
            The need changed after attempt {frame.attemptNumber} was drawn: its sizes are judged by the new
            limits, and Fit and Correct are open again.
          </p>
        )}
        <div className="mt-4">{children}</div>
      </div>
      <Ledger lines={lines} />
    </div>
  );
}
