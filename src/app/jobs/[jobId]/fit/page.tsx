import { formatChance } from '@/core/kit/wording';
import { connection } from 'next/server';
import { loadJob } from '@/app/_components/load-job';
import { idFrom } from '@/app/_components/read-params';
import { type FitView, strengthOf, viewFits, viewJoints } from '@/subjects/fit/mating';
import { bench } from '@/subjects/workshop/settings';
import { buttonLook, Link, Note } from '@/ui';
import { FitDesk } from './_components/fit-desk';
import { FitRows } from './_components/fit-rows';
import type { FitRow } from './_components/fit-types';
import { Joints } from './_components/joints';
import { OfferedLimits } from './_components/offered-limits';

function rowOf({ feature, ...rest }: FitView): FitRow {
  const ownBand = feature.bandLowMm !== null && feature.bandHighMm !== null;
  return { ...feature, ...rest, ownBand };
}

/** Fit: what should happen at each interface, and joints printed in place. */
export default async function FitPage({ params }: { params: Promise<{ jobId: string }> }) {
  await connection();
  const jobId = idFrom((await params).jobId);
  const { db } = bench();
  const view = await loadJob(jobId);
  const { fits, joint, offered } = viewFits(db, view);
  const { profile, learned, job } = view;
  const joints = viewJoints(db, view);
  const wished = fits.filter(({ drawn }) => drawn !== undefined).length;
  return (
    <div className="space-y-8">
      {profile === undefined && (
        <Note>
          No printer and resin chosen yet. Fits set the targets now. The drawn sizes follow when you choose a
          printer and resin in{' '}
          <Link href={`/jobs/${jobId}/need`} className="underline">
            Need
          </Link>
          .
        </Note>
      )}
      {learned !== undefined && learned.readingCount === 0 && (
        <p className="border-l-4 border-honey py-1 pl-3">
          Nothing printed with this profile has been measured yet. The chances below apply to a typical
          printer. Print a{' '}
          <Link
            href={`/gauges?profile=${learned.profileId}&choice=chosenBlock&job=${jobId}`}
            className="underline"
          >
            signature block
          </Link>{' '}
          to get the values of this printer.
        </p>
      )}
      <section aria-labelledby="fits-title">
        <h2 id="fits-title" className="text-lg">
          Fit at each interface
        </h2>
        {offered.length > 0 && <OfferedLimits jobId={jobId} names={offered} />}
        <FitRows jobId={jobId} rows={fits.map(rowOf)} fitC={job.fitC} />
        {joint !== undefined && (
          <p className="mt-2 flex flex-wrap items-center justify-between gap-3 bg-wash px-3 py-2">
            <span>
              All {wished} within limits in one print: <span className="num">{formatChance(joint)}</span>
            </span>
            <Link href={`/jobs/${jobId}/correct`} className={buttonLook('main')}>
              Continue to drawn sizes
            </Link>
          </p>
        )}
      </section>
      <Joints jobId={jobId} views={joints} profileId={profile?.profile.id} />
      <FitDesk
        jobId={jobId}
        resin={
          profile && {
            id: profile.resin.id,
            name: profile.resin.name,
            ...strengthOf(db, profile.resin.id),
          }
        }
        features={view.features.map(({ id, name }) => ({ id, name }))}
        presses={fits.flatMap(({ feature, mate, band, clearance }) =>
          mate === undefined || mate.sizeMm === null || band === undefined || feature.shape !== 'round'
            ? []
            : {
                name: feature.name,
                sense: feature.sense,
                interfaceMm: mate.sizeMm,
                material: mate.material,
                interference: clearance
                  ? { low: -clearance.meanMm - clearance.halfMm, high: -clearance.meanMm + clearance.halfMm }
                  : { low: -band.highMm, high: -band.lowMm },
              },
        )}
      />
    </div>
  );
}
