import { formatChance, formatMm } from '@/core/kit/wording';
import { connection } from 'next/server';
import { FootLine } from '@/app/_components/foot-line';
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
  viewCorrectionMethods,
} from '@/subjects/job/correct';
import { type JointView, viewJoints } from '@/subjects/fit/mating';
import { foreseeBlock } from '@/subjects/fit/gauges';
import { bench } from '@/subjects/workshop/settings';
import { type JobView, viewFoot } from '@/subjects/job/jobs';
import { boundsByWords } from '@/subjects/measure/readings';
import { buttonLook, Link } from '@/ui';
import { type DrawRow, DrawTable } from './_components/draw-table';
import { CorrectionMethods } from './_components/correction-methods';
import { MeshCorrectionMethod } from './_components/mesh-correction-method';
import { StartAttempt } from './_components/start-attempt';

/** Correct: what to draw next, with its chance to fit, and the next attempt. */
export default async function CorrectPage({ params }: { params: Promise<{ jobId: string }> }) {
  await connection();
  const jobId = idFrom((await params).jobId);
  const view = await loadJob(jobId);
  const plan = planDraw(view);
  const { learned, profile } = view;
  const joints = viewJoints(bench().db, view) ?? [];
  const foot = profile && viewFoot(bench().db, profile.profile.id);
  if (learned === undefined || profile === undefined || (plan === undefined && joints.length === 0))
    return <NotYet view={view} />;
  return (
    <div className="space-y-6">
      {joints.length > 0 && <JointPlan jobId={jobId} joints={joints} />}
      <Plan view={view} plan={plan} />
      <CorrectionMethodsOf view={view} />
      {foot !== undefined && <FootLine foot={foot} />}
      <div className={`grid gap-8 ${view.job.meshHash === null ? '' : 'lg:grid-cols-2'}`}>
        <section aria-labelledby="does-title">
          <h2 id="does-title" className="text-lg">
            Signature of {profile.printer.name} with {profile.resin.name}
          </h2>
          <p className="mb-1 text-sm text-soft">
            {learned.readingCount === 0
              ? learned.lenders.length === 0
                ? 'No readings for this profile yet. All values are assumed.'
                : 'No readings for this profile yet. The values come from related profiles or are assumed.'
              : `Learned from ${learned.readingCount} readings.`}{' '}
            <Link href={`/printers/${profile.profile.id}`} className="underline">
              Show full signature
            </Link>
          </p>
          <ParameterList
            parameters={learned.signature.parameters}
            used={usedParameters(view)}
            isWide={view.job.meshHash === null}
          />
        </section>
        <FileCorrectionMethod view={view} chamferMm={foot?.chamfer?.legMm} />
      </div>
    </div>
  );
}

function CorrectionMethodsOf({ view }: { view: JobView }) {
  // A gauge is printed as it is, to be measured.
  const levers = view.job.kind === 'gauge' ? undefined : viewCorrectionMethods(bench().db, view);
  return levers && <CorrectionMethods jobId={view.job.id} view={levers} />;
}

/** Joints printed in place: what the file has, and what would free itself. */
function JointPlan({ jobId, joints }: { jobId: number; joints: readonly JointView[] }) {
  return (
    <section aria-labelledby="joint-plan-title">
      <h2 id="joint-plan-title" className="text-lg">
        Joints printed in place
      </h2>
      <table className="mt-1 w-full border-collapse">
        <thead>
          <tr className="text-left text-sm text-soft">
            <th className="font-normal">Joint</th>
            <th className="font-normal">drawn gap per side</th>
            <th className="font-normal">chance free</th>
            <th className="font-normal">play</th>
            <th className="font-normal">gap for a 95 % chance</th>
          </tr>
        </thead>
        <tbody>
          {joints.map(({ joint, wanted, recommendedMm }) => (
            <tr key={joint.id} className="border-b border-hair">
              <th scope="row" className="py-1 text-left font-semibold">
                {joint.name}
              </th>
              <td className="num py-1 text-xl font-semibold text-juniper">
                {formatMm(joint.gapMm * joint.scale, 3)}
              </td>
              <td className="num py-1">{formatChance(wanted.free)}</td>
              <td className="num py-1">{formatMm(wanted.lateralMm, 3)}</td>
              <td className="num py-1">{formatMm(recommendedMm.plane, 3)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-sm text-soft">
        Change the gap in{' '}
        <Link href={`/jobs/${jobId}/fit`} className="underline">
          Fit
        </Link>
        . The next attempt uses the gap set there.
      </p>
    </section>
  );
}

function Plan({ view, plan }: { view: JobView; plan: DrawPlan | undefined }) {
  const last = view.attempts.at(-1);
  const waits = last !== undefined && last.prints.length === 0;
  return (
    <section aria-labelledby="draw-title">
      <h2 id="draw-title" className="text-lg">
        New drawn sizes
      </h2>
      {plan !== undefined && <DrawTable rows={rowsOf(view, plan)} />}
      {waits ? (
        <p className="mt-3 flex flex-wrap items-center justify-between gap-3 bg-wash px-3 py-2">
          <span>
            Attempt {last.number} is drawn
            {last.drawn.length > 0 &&
              ` with ${last.drawn.length} ${last.drawn.length === 1 ? 'size' : 'sizes'}`}{' '}
            and ready to print.{' '}
          </span>
          <Link href={`/jobs/${view.job.id}/measure`} className={buttonLook('main')}>
            Go to Print
          </Link>
        </p>
      ) : (
        <StartAttempt
          jobId={view.job.id}
          nextNumber={(last?.number ?? 0) + 1}
          joint={plan?.joint}
          jointUnchanged={plan?.jointUnchanged}
          copies={
            plan?.allCopies === undefined ? undefined : { wanted: view.job.quantity, chance: plan.allCopies }
          }
          features={plan?.lines.length ?? 0}
          nextReading={plan && nextReadingOf(view, plan)}
          check={plan?.check}
          block={foreseeBlock(view)}
          profileId={view.job.profileId!}
          hasSolid={view.job.solid !== null}
        />
      )}
    </section>
  );
}

function rowsOf(view: JobView, plan: DrawPlan): DrawRow[] {
  const bounds = boundsByWords(bench().db, view);
  return plan.lines.map(({ feature, lastDrawnMm, next, unchanged, snap }) => ({
    id: feature.id,
    name: feature.name,
    targetMm: feature.targetMm,
    lowerDeviationMm: feature.lowerDeviationMm,
    upperDeviationMm: feature.upperDeviationMm,
    lastDrawnMm,
    next,
    chanceUnchanged: unchanged?.inTolerance,
    hasMate: feature.mateId !== null,
    isHeight: feature.axis === 'Z',
    bounds: bounds.get(feature.id),
    snap,
  }));
}

function FileCorrectionMethod({ view, chamferMm }: { view: JobView; chamferMm?: number }) {
  const { job, learned, features, attempts } = view;
  if (learned === undefined || job.meshHash === null) return null;
  const waits = attempts.length > 0 && attempts[attempts.length - 1].prints.length === 0;
  return (
    <MeshCorrectionMethod
      jobId={job.id}
      jobName={job.name}
      meshHash={job.meshHash}
      by={correctionFrom(learned)}
      onPlate={job.stance === null ? undefined : job.stance.kind !== 'supports'}
      features={listAnchored(view)}
      unplaced={features.filter(({ anchor }) => anchor === null).map(({ name }) => name)}
      chamferMm={chamferMm}
      nextNumber={waits ? undefined : (attempts.at(-1)?.number ?? 0) + 1}
    />
  );
}

function NotYet({ view }: { view: JobView }) {
  return (
    <div className="max-w-prose">
      <h2 className="text-xl">Not enough data to compute drawn sizes</h2>
      <p className="mt-2 text-soft">
        {view.job.profileId === null
          ? 'Choose the printer, resin and profile. Each combination prints differently.'
          : 'Enter the important sizes with targets and limits, or design a joint in Fit.'}
      </p>
      <Link href={`/jobs/${view.job.id}/need`} className={`${buttonLook('large')} mt-4`}>
        Back to Need
      </Link>
    </div>
  );
}
