import { connection } from 'next/server';
import { loadJob } from '@/app/_components/load-job';
import { idFrom } from '@/app/_components/read-params';
import { bench } from '@/services/bench';
import { listProfileChoices } from '@/services/equipment';
import { JobActions } from './_components/job-actions';
import { FeatureTable } from './_components/feature-table';
import { NeedFields } from './_components/need-fields';
import { PartPanel } from './_components/part-panel';
import { ProfileMaker } from './_components/profile-maker';

export default async function NeedPage({ params }: { params: Promise<{ jobId: string }> }) {
  await connection();
  const jobId = idFrom((await params).jobId);
  const { db } = bench();
  const view = loadJob(jobId);
  const { job } = view;
  const profiles = listProfileChoices(db);
  const rows = view.features.map((feature) => {
    const drawn = view.attempts.at(-1)?.drawn.find(({ featureId }) => featureId === feature.id)?.drawnMm;
    const mate = view.mates.find(({ id }) => id === feature.mateId);
    return { feature, drawnMm: drawn, mate };
  });
  return (
    <div className="grid gap-x-8 gap-y-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,22rem)]">
      <div className="min-w-0 space-y-6">
        <FeatureTable jobId={jobId} revision={job.revision} rows={rows} />
        <section aria-labelledby="need-title">
          <h2 id="need-title" className="mb-2 text-lg">
            What it must do
          </h2>
          <NeedFields jobId={jobId} job={job} profiles={profiles} />
          <ProfileMaker jobId={jobId} open={profiles.length === 0} />
        </section>
      </div>
      <div className="min-w-0 space-y-6">
        <PartPanel
          jobId={jobId}
          source={
            job.meshHash !== null
              ? `/api/meshes/${job.meshHash}`
              : job.solid !== null
                ? `/api/jobs/${jobId}/part`
                : undefined
          }
          version={job.revision}
          features={view.features.map(({ id, name, targetMm, shape, anchor }) => ({
            id,
            name,
            targetMm,
            shape,
            anchor,
          }))}
        />
        <JobActions jobId={jobId} archived={job.archivedAt !== null} />
      </div>
    </div>
  );
}
