import type { Metadata } from 'next';
import type { ReactNode } from 'react';
import { idFrom } from '@/app/_components/read-params';
import { loadJob } from '@/app/_components/load-job';
import { bench } from '@/services/bench';
import { frameJob, type JobFrame } from '@/services/frame-job';
import { Ledger, Tape, type TapeStep } from '@/ui';
import { describeOutcome } from '@/words';

type Params = { params: Promise<{ jobId: string }> };

const THREAD = [
  { step: 'need', number: 1, label: 'Need' },
  { step: 'measure', number: 6, label: 'Measure' },
  { step: 'correct', number: 7, label: 'Correct' },
  { step: 'story', number: 8, label: 'Story' },
] as const;

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

export default async function JobLayout({ params, children }: Params & { children: ReactNode }) {
  const jobId = idFrom((await params).jobId);
  const frame = frameJob(bench().db, loadJob(jobId));
  const steps: TapeStep[] = THREAD.map(({ step, number, label }) => ({
    number,
    label,
    href: `/jobs/${jobId}/${step}`,
    settled: frame.settled[step],
  }));
  const lines = frame.ledger.map(({ step, ...line }) => ({ ...line, href: `/jobs/${jobId}/${step}` }));
  return (
    <div className="lg:flex">
      <div className="min-w-0 flex-1 px-4 py-3 sm:px-6">
        <div className="mb-2 flex flex-wrap items-baseline gap-x-3">
          <h1 className="text-2xl sm:text-[1.7rem]">{frame.name}</h1>
          <p className="text-soft">{subtitleOf(frame)}</p>
        </div>
        <Tape steps={steps} />
        <div className="mt-4">{children}</div>
      </div>
      <Ledger lines={lines} />
    </div>
  );
}
