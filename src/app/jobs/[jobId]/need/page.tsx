import { connection } from 'next/server';
import { loadJob } from '@/app/_components/load-job';
import { idFrom } from '@/app/_components/read-params';
import { sideOfDirection } from '@/core/part/findings';
import type { Profile } from '@/core/fit/solids';
import { bench } from '@/subjects/workshop/settings';
import { canBuild, outlineOfJob } from '@/subjects/job/jobs';
import { listPictures } from '@/subjects/job/need';
import { listProfileChoices } from '@/subjects/signature';
import { buttonLook, Link } from '@/ui';
import { FeatureTable } from './_components/feature-table';
import { JobActions } from './_components/job-actions';
import { Mates } from './_components/mates';
import { NeedFields } from './_components/need-fields';
import { PartPanel } from './_components/part-panel';
import { Pictures } from '@/app/_components/pictures';
import { ProfileMaker } from './_components/profile-maker';
import { TrueSize, TrueSizeOfFile } from './_components/true-size';

/** Need: the sizes that matter, what they meet and what the part must do. */
export default async function NeedPage({ params }: { params: Promise<{ jobId: string }> }) {
  await connection();
  const jobId = idFrom((await params).jobId);
  const { db } = bench();
  const view = await loadJob(jobId);
  const { job } = view;
  const profiles = listProfileChoices(db);
  const rows = view.features.map((feature) => {
    const drawn = view.attempts.at(-1)?.drawn.find(({ featureId }) => featureId === feature.id)?.drawnMm;
    const prints = view.attempts.flatMap((attempt) => attempt.prints).length;
    const mate = view.mates.find(({ id }) => id === feature.mateId);
    return { feature, prints, drawnMm: drawn, mate };
  });
  const outline = outlineOfJob(view, 'newest');
  return (
    <div className="grid gap-x-8 gap-y-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,22rem)]">
      <div className="min-w-0 space-y-6">
        {job.kind === 'part' && (
          <SheetLine jobId={jobId} hasSheet={job.sheet !== null} isEmpty={rows.length === 0} />
        )}
        <FeatureTable jobId={jobId} revision={job.revision} rows={rows} />
        <Mates mates={view.mates.filter(({ id }) => view.features.some(({ mateId }) => mateId === id))} />
        <section aria-labelledby="need-title">
          <h2 id="need-title" className="mb-2 text-lg">
            Requirements
          </h2>
          <NeedFields
            jobId={jobId}
            job={{ ...job, seenSides: [...new Set(job.seenDirections.map(sideOfDirection))] }}
            profiles={profiles}
          />
          <ProfileMaker jobId={jobId} open={profiles.length === 0} />
        </section>
      </div>
      <div className="min-w-0 space-y-6">
        <PartPanel
          jobId={jobId}
          source={
            job.meshHash !== null
              ? `/api/meshes/${job.meshHash}`
              : canBuild(view)
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
        {outline !== undefined && <TrueSize loops={outline.loops} circles={circlesOf(outline)} />}
        {outline === undefined && job.meshHash !== null && (
          <TrueSizeOfFile key={job.meshHash} source={`/api/meshes/${job.meshHash}`} version={job.revision} />
        )}
        <Pictures
          title="Photos and sketches"
          jobId={jobId}
          pictures={listPictures(db, jobId).map(({ id, caption }) => ({ id, caption }))}
        />
        <JobActions jobId={jobId} archived={job.archivedAt !== null} />
      </div>
    </div>
  );
}

/** Round edges of the outline; a part shown in section is seen from above as well, to hold the old one against. */
function circlesOf({ view, loops, circles }: Profile) {
  const holes = circles.map((circle) => ({ ...circle, isHole: loops.length > 0 }));
  if (view !== 'section') return holes;
  const radii = loops.flat().map(([x]) => Math.abs(x));
  const heights = loops.flat().map(([, y]) => y);
  const [inner, outer] = [Math.min(...radii), Math.max(...radii)];
  const centre: [number, number] = [2 * outer + 4, (Math.min(...heights) + Math.max(...heights)) / 2];
  const plan = [
    { centre, diameterMm: 2 * outer, isHole: false },
    { centre, diameterMm: 2 * inner, isHole: true },
  ];
  return [...holes, ...plan.filter(({ diameterMm }) => diameterMm > 0)];
}

/** The way to the guided sheet, which asks for each reading in turn. */
function SheetLine({ jobId, hasSheet, isEmpty }: { jobId: number; hasSheet: boolean; isEmpty: boolean }) {
  return (
    <p className="flex flex-wrap items-center justify-between gap-3 bg-wash px-3 py-2">
      <span>
        {hasSheet
          ? 'This part is created by a measuring sheet.'
          : 'Do you have the old part, or the parts it must fit between? A measuring sheet asks for each reading and calculates the part.'}
      </span>
      <Link href={`/jobs/${jobId}/need/sheet`} className={buttonLook(isEmpty ? 'main' : 'plain')}>
        {hasSheet ? 'Open measuring sheet' : 'Start measuring sheet'}
      </Link>
    </p>
  );
}
