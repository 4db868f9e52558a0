import { connection } from 'next/server';
import { loadJob } from '@/app/_components/load-job';
import { idFrom } from '@/app/_components/read-params';
import { bench } from '@/services/bench';
import { sitDown } from '@/services/sit-down';
import { type JobView } from '@/services/view-job';
import { buttonLook, Link } from '@/ui';
import { MeasuringBench } from './_components/measuring-bench';
import { PrintPanel } from './_components/print-panel';
import { SessionPanel } from './_components/session-panel';

export default async function MeasurePage({ params }: { params: Promise<{ jobId: string }> }) {
  await connection();
  const jobId = idFrom((await params).jobId);
  const { db } = bench();
  const view = loadJob(jobId);
  const { current } = view;
  if (current === undefined) return <NothingDrawn view={view} />;
  const sitting = sitDown(db, view);
  if (current.printId === undefined) {
    return (
      <PrintPanel
        jobId={jobId}
        attemptId={current.attemptId}
        attemptNumber={current.attemptNumber}
        standIn={sitting.standInPrint}
      />
    );
  }
  const { open } = sitting;
  if (open === undefined)
    return <SessionPanel jobId={jobId} instruments={sitting.instruments} remembered={sitting.remembered} />;
  return (
    <MeasuringBench
      jobId={jobId}
      printId={current.printId}
      printName={current.printName ?? ''}
      features={current.features}
      session={{ ...open.session, instrument: open.instrument }}
      standIn={sitting.standInPrint && open.instrument.standInSeed !== null}
      part={partSource(view)}
    />
  );
}

function partSource({ job, attempts }: JobView): { source: string; version: number } | undefined {
  const meshHash = attempts.at(-1)?.meshHash ?? job.meshHash;
  if (meshHash !== null) return { source: `/api/meshes/${meshHash}`, version: 0 };
  return job.solid === null ? undefined : { source: `/api/jobs/${job.id}/part`, version: job.revision };
}

function NothingDrawn({ view }: { view: JobView }) {
  const step = view.features.length === 0 ? 'need' : 'correct';
  return (
    <div className="max-w-prose">
      <h2 className="text-xl">Nothing has been drawn yet</h2>
      <p className="mt-2 text-soft">
        {step === 'need'
          ? 'Enter the sizes that matter first; readings are taken feature by feature.'
          : 'The first attempt is drawn under Correct: what this printer is expected to do is allowed for before the first print.'}
      </p>
      <Link href={`/jobs/${view.job.id}/${step}`} className={`${buttonLook('large')} mt-4`}>
        {step === 'need' ? 'Enter the sizes' : 'Draw the first attempt'}
      </Link>
    </div>
  );
}
