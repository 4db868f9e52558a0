import { connection } from 'next/server';
import { InstrumentForm } from '@/app/_components/instrument-form';
import { loadJob } from '@/app/_components/load-job';
import { idFrom } from '@/app/_components/read-params';
import { SHEET_KINDS, type SheetKind, SHEETS, workOutSheet } from '@/core/job/sheets';
import { listInstruments } from '@/subjects/measure/calipers';
import { planDraw } from '@/subjects/job/correct';
import { bench } from '@/subjects/workshop/settings';
import { outlineOfJob } from '@/subjects/job/jobs';
import { viewSheet } from '@/subjects/job/sheets';
import { KindChoice } from './_components/kind-choice';
import { SheetBench } from './_components/sheet-bench';
import type { DrawnLine } from './_components/sheet-types';

/** What each kind looks like before anything is read. */
function examples(): {
  kind: SheetKind;
  title: string;
  purpose: string;
  drawing: ReturnType<typeof workOutSheet>['drawing'];
}[] {
  return SHEET_KINDS.map((kind) => {
    const { title, purpose } = SHEETS[kind];
    const { drawing } = workOutSheet({ kind, options: {}, wishes: {}, bodies: new Map() });
    return { kind, title, purpose, drawing };
  });
}

/** A measuring sheet: the old part measured, resolved into sizes and a part. */
export default async function SheetPage({ params }: { params: Promise<{ jobId: string }> }) {
  await connection();
  const jobId = idFrom((await params).jobId);
  const { db } = bench();
  const job = await loadJob(jobId);
  const view = viewSheet(db, jobId);
  if (view === undefined) return <KindChoice jobId={jobId} examples={examples()} />;
  const instruments = listInstruments(db);
  if (instruments.length === 0)
    return (
      <div className="max-w-2xl">
        <h2 className="mb-1 text-lg">Add a caliper first</h2>
        <p className="mb-3 text-soft">Each reading gets its uncertainty from the caliper.</p>
        <InstrumentForm />
      </div>
    );
  const { choices, sheet } = view;
  const { title, purpose, options } = SHEETS[choices.kind];
  const plan = view.takenOver ? planDraw(job) : undefined;
  const drawn = plan?.lines.map(({ feature, next }): DrawnLine => ({
    id: feature.id,
    name: feature.name,
    targetMm: feature.targetMm,
    lowerDeviationMm: feature.lowerDeviationMm,
    upperDeviationMm: feature.upperDeviationMm,
    drawMm: next.drawMm,
    tight: next.tight,
    right: next.inTolerance,
    loose: next.loose,
    hasMate: feature.mateId !== null,
  }));
  return (
    <SheetBench
      jobId={jobId}
      jobName={job.job.name}
      title={title}
      purpose={purpose}
      options={options}
      choices={choices}
      drawing={sheet.drawing}
      measures={view.measures.map(({ measure, readings, body }) => ({ ...measure, readings, body }))}
      interfaces={sheet.interfaces}
      features={sheet.features}
      issues={sheet.issues}
      whole={sheet.whole}
      next={view.next}
      takenOver={view.takenOver}
      stale={view.stale}
      drawn={drawn}
      joint={plan?.joint}
      hasProfile={job.job.profileId !== null}
      files={{ solid: job.job.solid !== null, outline: outlineOfJob(job, 'next') !== undefined }}
      instruments={instruments.map(({ id, name, mpeMm }) => ({ id, name, mpeMm }))}
    />
  );
}
