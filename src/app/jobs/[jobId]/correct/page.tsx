import { connection } from 'next/server';
import { loadJob } from '@/app/_components/load-job';
import { ParameterList } from '@/app/_components/parameter-list';
import { idFrom } from '@/app/_components/read-params';
import {
  correctionFrom,
  type DrawPlan,
  listAnchored,
  nextReadingOf,
  planDraw,
  usedParameters,
} from '@/subjects/correct';
import { bench } from '@/subjects/house';
import type { JobView } from '@/subjects/job';
import { boundsByWords } from '@/subjects/measure';
import { buttonLook, Link } from '@/ui';
import { type DrawRow, DrawTable } from './_components/draw-table';
import { MeshLever } from './_components/mesh-lever';
import { StartAttempt } from './_components/start-attempt';

/** Correct: what to draw next, with its chance to fit, and the next attempt. */
export default async function CorrectPage({ params }: { params: Promise<{ jobId: string }> }) {
  await connection();
  const jobId = idFrom((await params).jobId);
  const view = loadJob(jobId);
  const plan = planDraw(view);
  const { learned, profile } = view;
  if (plan === undefined || learned === undefined || profile === undefined) return <NotYet view={view} />;
  return (
    <div className="space-y-6">
      <Plan view={view} plan={plan} />
      <div className={`grid gap-8 ${view.job.meshHash === null ? '' : 'lg:grid-cols-2'}`}>
        <section aria-labelledby="does-title">
          <h2 id="does-title" className="text-lg">
            What {profile.printer.name} does with {profile.resin.name}
          </h2>
          <p className="mb-1 text-sm text-soft">
            {learned.readingCount === 0
              ? 'No reading of this profile yet: all of this is assumed.'
              : `Learned from ${learned.readingCount} readings.`}{' '}
            <Link href={`/printers/${profile.profile.id}`} className="underline">
              The whole signature
            </Link>
          </p>
          <ParameterList
            parameters={learned.signature.parameters}
            used={usedParameters(view)}
            isWide={view.job.meshHash === null}
          />
        </section>
        <FileLever view={view} />
      </div>
    </div>
  );
}

function Plan({ view, plan }: { view: JobView; plan: DrawPlan }) {
  const last = view.attempts.at(-1);
  const waits = last !== undefined && last.prints.length === 0;
  const bounds = boundsByWords(bench().db, view);
  const rows = plan.lines.map(({ feature, lastDrawnMm, next, unchanged }): DrawRow => ({
    id: feature.id,
    name: feature.name,
    targetMm: feature.targetMm,
    lowerDeviationMm: feature.lowerDeviationMm,
    upperDeviationMm: feature.upperDeviationMm,
    lastDrawnMm,
    next,
    chanceUnchanged: unchanged?.inTolerance,
    hasMate: feature.mateId !== null,
    bounds: bounds.get(feature.id),
  }));
  return (
    <section aria-labelledby="draw-title">
      <h2 id="draw-title" className="text-lg">
        Draw next
      </h2>
      <DrawTable rows={rows} />
      {waits ? (
        <p className="mt-3 flex flex-wrap items-center justify-between gap-3 bg-wash px-3 py-2">
          <span>
            Attempt {last.number} is drawn with {last.drawn.length} sizes and waits for its print.
          </span>
          <Link href={`/jobs/${view.job.id}/measure`} className={buttonLook('main')}>
            On to its print
          </Link>
        </p>
      ) : (
        <StartAttempt
          jobId={view.job.id}
          nextNumber={(last?.number ?? 0) + 1}
          joint={plan.joint}
          jointUnchanged={plan.jointUnchanged}
          copies={
            plan.allCopies === undefined ? undefined : { wanted: view.job.quantity, chance: plan.allCopies }
          }
          features={plan.lines.length}
          nextReading={nextReadingOf(view, plan)}
          hasSolid={view.job.solid !== null}
        />
      )}
    </section>
  );
}

function FileLever({ view }: { view: JobView }) {
  const { job, learned, features, attempts } = view;
  if (learned === undefined || job.meshHash === null) return null;
  const waits = attempts.length > 0 && attempts[attempts.length - 1].prints.length === 0;
  return (
    <MeshLever
      jobId={job.id}
      jobName={job.name}
      meshHash={job.meshHash}
      by={correctionFrom(learned)}
      onPlate={job.stance === null ? undefined : job.stance.kind !== 'supports'}
      features={listAnchored(view)}
      unplaced={features.filter(({ anchor }) => anchor === null).map(({ name }) => name)}
      nextNumber={waits ? undefined : (attempts.at(-1)?.number ?? 0) + 1}
    />
  );
}

function NotYet({ view }: { view: JobView }) {
  return (
    <div className="max-w-prose">
      <h2 className="text-xl">Not enough is known to draw</h2>
      <p className="mt-2 text-soft">
        {view.job.profileId === null
          ? 'Choose the printer, resin and profile: each prints in its own way.'
          : 'Enter the sizes that matter, with their targets and limits.'}
      </p>
      <Link href={`/jobs/${view.job.id}/need`} className={`${buttonLook('large')} mt-4`}>
        Back to the need
      </Link>
    </div>
  );
}
