import { halfWidth95 } from '@/core/kit/numerics';
import { formatMm, formatSigned, momentOf } from '@/core/kit/wording';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { connection } from 'next/server';
import { BeingBroughtUpToDate } from '@/app/_components/being-brought-up-to-date';
import { ParameterList } from '@/app/_components/parameter-list';
import { idFrom } from '@/app/_components/read-params';
import { isLean, type Staleness, weightOfRelatedProfiles } from '@/core/signature';
import { bench } from '@/subjects/workshop/settings';
import {
  hasProfile,
  listControlChoices,
  type SignatureView,
  viewSignature,
  waitForSignature,
} from '@/subjects/signature';
import { Link } from '@/ui';
import { Changes } from './_components/changes';
import { ControlPanel } from './_components/control-panel';
import { OffsetChart } from './_components/offset-chart';

interface SignatureProps {
  readonly params: Promise<{ profileId: string }>;
  readonly searchParams: Promise<{ readonly sizes?: string | string[] }>;
}

/** So many sizes stand in the table unless all are asked for. */
const MOST_SIZES = 100;

export const metadata: Metadata = { title: 'Signature' };

/** The signature of one printer with one resin and profile. */
export default async function SignaturePage({ params, searchParams }: SignatureProps) {
  await connection();
  const { db } = bench();
  const profileId = idFrom((await params).profileId);
  if (hasProfile(db, profileId)) await waitForSignature(db, profileId);
  const view = viewSignature(db, profileId);
  if (view === undefined) notFound();
  const { row, learned, observed, staleness } = view;
  const { scatter, observations } = learned.signature;
  const isPlaced = observations.some(({ place }) => place !== undefined);
  // If places on the plate are unknown, nothing is known of the exposure gradient.
  const parameters = learned.signature.parameters.filter(({ name }) => isPlaced || !isLean(name));
  return (
    <div className="mx-auto max-w-6xl px-4 py-5 sm:px-6">
      <p className="text-sm">
        <Link href="/printers" className="underline">
          Printers
        </Link>
      </p>
      <h1 className="text-3xl">
        {row.resin.name} on {row.printer.name}
      </h1>
      <p className="text-soft">
        {[
          row.profile.name,
          row.profile.lot,
          learned.readingCount === 0 ? 'nothing measured yet' : `${learned.readingCount} readings`,
        ]
          .filter((part) => part !== '')
          .join(' · ')}
      </p>
      <p className="text-sm">
        <a href={`/api/signatures/${profileId}`} download className="underline">
          Export this signature
        </a>
        , for another workshop or the command line ·{' '}
        <Link href={`/printers/${profileId}/light`} className="underline">
          Exposure strips and bracket
        </Link>
      </p>
      {learned.isOvertaken && <BeingBroughtUpToDate />}
      <p className="mt-2 max-w-prose">{describeStaleness(staleness, learned)}</p>
      <div className="mt-5 grid gap-8 lg:grid-cols-[1.15fr_1fr]">
        <section aria-labelledby="law-title">
          <h2 id="law-title" className="text-lg">
            Effect on drawn sizes
          </h2>
          <ParameterList parameters={parameters} />
          <Lenders view={view} />
        </section>
        <section aria-labelledby="scatter-title" className="space-y-4">
          <div>
            <h2 id="scatter-title" className="text-lg">
              Random variation
            </h2>
            <p>
              Repeatable deviation of one feature:{' '}
              <span className="num">{formatMm(scatter.featureMm, 3)} mm</span>. From print to print:{' '}
              <span className="num">{formatMm(scatter.printMm, 3)} mm</span> (standard deviations).
            </p>
            {printsOf(view) < 2 && learned.readingCount > 0 && (
              <p className="text-sm text-soft">
                One print cannot separate repeatable deviation from chance.{' '}
                {view.newestJobId !== undefined && (
                  <Link href={`/jobs/${view.newestJobId}/measure#again`} className="underline">
                    Print the same file again
                  </Link>
                )}{' '}
                to separate them.
              </p>
            )}
          </div>
          {learned.signature.shifts.length > 0 && <Shifts view={view} />}
          {learned.signature.biases.length > 0 && <Biases view={view} />}
          {observed.length > 0 && (
            <div>
              <h3 className="text-base">Size minus drawn size, by feature</h3>
              <OffsetChart lines={observed} />
            </div>
          )}
        </section>
      </div>
      <Changes view={view} />
      <ControlPanel view={view} choices={listControlChoices(db, profileId)} />
      {observed.length > 0 && <Observations view={view} isWhole={(await searchParams).sizes === 'all'} />}
      {view.kept.length > 0 && <History view={view} />}
    </div>
  );
}

function printsOf({ learned }: SignatureView): number {
  return new Set(learned.signature.observations.map(({ print }) => print)).size;
}

function describeStaleness(
  staleness: Staleness,
  { readingCount, lenders }: SignatureView['learned'],
): string {
  if (readingCount === 0 && lenders.length > 0)
    return 'Until something is measured, jobs use values from related profiles and, where there are none, assumed values.';
  if (readingCount === 0)
    return 'Until something is measured, jobs use assumed values for an unknown printer, and show this.';
  if (staleness.kind === 'holds') return 'Prints match the prediction: the signature is valid.';
  const why =
    'Check the lot, film, exposure and temperature. Record the change below, then measure a block again.';
  return staleness.kind === 'twoInARow'
    ? `Two prints in a row were far from the prediction. This signature may no longer be valid. ${why}`
    : `Prints are ${staleness.side} the prediction, more than expected by chance. This signature may no longer be valid. ${why}`;
}

const SAME_WORDS = {
  printer: 'same printer',
  resin: 'same resin',
  both: 'same printer and resin',
} as const;

/** Above this many standard deviations the readings here contradict the related profiles. */
const CONTRADICTS = 3;

/** Related profiles used for this one, and whether readings here confirm them. */
function Lenders({ view: { learned } }: { view: SignatureView }) {
  const { lenders, contradiction } = learned;
  if (lenders.length === 0) return null;
  return (
    <div className="mt-3 text-sm">
      <h3 className="text-base">From related profiles</h3>
      <ul>
        {lenders.map(({ profileId, name, same, readingCount }) => (
          <li key={profileId ?? name}>
            {profileId === undefined ? (
              name
            ) : (
              <Link href={`/printers/${profileId}`} className="underline">
                {name}
              </Link>
            )}{' '}
            <span className="text-soft">
              {SAME_WORDS[same]},{' '}
              {readingCount === undefined ? (
                'learned in another shop'
              ) : (
                <>
                  <span className="num">{readingCount}</span> readings
                </>
              )}
            </span>
          </li>
        ))}
      </ul>
      {contradiction !== undefined && contradiction > CONTRADICTS && (
        <p className="mt-1 border-l-4 border-honey py-1 pl-3">
          The readings here are <span className="num">{formatMm(contradiction, 1)}</span> standard deviations
          away from the related profiles: this printer and resin behave differently. The more readings you
          take, the less the related profiles count.
        </p>
      )}
      <p className="text-soft">
        Related profiles contribute{' '}
        <span className="num">
          {Math.round(100 * weightOfRelatedProfiles(learned.signature.parameters))} %
        </span>{' '}
        of what is known about this printer beyond the general assumptions.
      </p>
    </div>
  );
}

/** How much larger sizes are in each measured state than in the state of the law. */
function Shifts({ view: { learned } }: { view: SignatureView }) {
  const { shifts, base } = learned.signature;
  return (
    <div>
      <h3 className="text-base">Sizes in other states, compared with {base}</h3>
      <ul className="text-sm">
        {shifts.map(({ state, xy, z }) => (
          <li key={state}>
            {state}: <span className="num">{formatSigned(100 * xy.mean, 2)}</span> ±{' '}
            <span className="num">{formatMm(196 * xy.sd, 2)} %</span> in plane,{' '}
            <span className="num">{formatSigned(100 * z.mean, 2)}</span> ±{' '}
            <span className="num">{formatMm(196 * z.sd, 2)} %</span> along Z
          </li>
        ))}
      </ul>
    </div>
  );
}

function Biases({ view }: { view: SignatureView }) {
  return (
    <div>
      <h3 className="text-base">Estimated caliper errors</h3>
      <ul className="text-sm">
        {view.learned.signature.biases.map(({ instrument, jaw, meanMm, sdMm }) => (
          <li key={`${instrument} ${jaw}`}>
            {instrument}, {jaw} jaws: <span className="num">{formatSigned(meanMm, 3)}</span> ±{' '}
            <span className="num">{formatMm(halfWidth95(sdMm), 3)} mm</span>
          </li>
        ))}
      </ul>
    </div>
  );
}

function Observations({ view: { row, observed }, isWhole }: { view: SignatureView; isWhole: boolean }) {
  // What looks odd is looked for first, then the newest.
  const ordered = [
    ...observed.filter(({ suspicious }) => suspicious),
    ...observed.filter(({ suspicious }) => !suspicious).toReversed(),
  ];
  const shown = isWhole ? ordered : ordered.slice(0, MOST_SIZES);
  return (
    <details className="mt-6" open={isWhole}>
      <summary className="font-semibold">The {observed.length} sizes it was learned from</summary>
      <table className="mt-2 w-full border-collapse text-sm">
        <caption className="sr-only">Sizes used to learn the signature</caption>
        <thead>
          <tr className="border-b border-ink text-left text-soft">
            <th className="py-1 font-normal">Feature</th>
            <th className="py-1 text-right font-normal">drawn</th>
            <th className="py-1 text-right font-normal">size − drawn</th>
            <th className="py-1 text-right font-normal">predicted from the rest</th>
          </tr>
        </thead>
        <tbody>
          {shown.map((line, i) => (
            <tr key={i} className="border-b border-hair">
              <th scope="row" className="py-1 text-left font-normal">
                {line.feature} <span className="text-soft">{line.job}</span>
                {line.suspicious && <strong className="text-plum"> looks wrong</strong>}
              </th>
              <td className="num py-1 text-right">{formatMm(line.drawnMm, 3)}</td>
              <td className="num py-1 text-right">
                {formatSigned(line.offsetMm, 3)} ± {formatMm(halfWidth95(line.u_mm), 3)}
              </td>
              <td className="num py-1 text-right">{formatSigned(line.expectedOffsetMm, 3)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {shown.length < observed.length && (
        <p className="mt-2 text-sm">
          Newest {shown.length}, unusual ones first.{' '}
          <Link href={`/printers/${row.profile.id}?sizes=all`} className="underline">
            Show all {observed.length}
          </Link>
        </p>
      )}
    </details>
  );
}

function History({ view: { kept, keptCount } }: { view: SignatureView }) {
  return (
    <details className="mt-4">
      <summary className="font-semibold">Estimate history: {keptCount}</summary>
      <ol className="mt-2 text-sm">
        {kept.map(({ at, readings, edgeMm, featureScatterMm }) => (
          <li key={at.toISOString() + readings} className="num">
            {momentOf(at)}: {readings} readings, edge growth {formatSigned(edgeMm, 3)} mm, repeatable
            deviation {formatMm(featureScatterMm, 3)} mm
          </li>
        ))}
      </ol>
    </details>
  );
}
