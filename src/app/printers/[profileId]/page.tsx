import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { connection } from 'next/server';
import { BeingBroughtUpToDate } from '@/app/_components/being-brought-up-to-date';
import { ParameterList } from '@/app/_components/parameter-list';
import { idFrom } from '@/app/_components/read-params';
import { isLean, type Staleness, weightOfRelatives } from '@/core/signature';
import { bench } from '@/subjects/house';
import { formatMm, formatSigned, momentOf } from '@/subjects/language/shared';
import {
  hasProfile,
  listControlChoices,
  type SignatureView,
  viewSignature,
  waitForSignature,
} from '@/subjects/printing';
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
  // Where nobody says where parts lay on the plate, nothing can be said of the lean of the light.
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
          This signature as a file
        </a>
        , for another bench or the command line ·{' '}
        <Link href={`/printers/${profileId}/light`} className="underline">
          Light: strips and exposure
        </Link>
      </p>
      {learned.isOvertaken && <BeingBroughtUpToDate />}
      <p className="mt-2 max-w-prose">{describeStaleness(staleness, learned)}</p>
      <div className="mt-5 grid gap-8 lg:grid-cols-[1.15fr_1fr]">
        <section aria-labelledby="law-title">
          <h2 id="law-title" className="text-lg">
            What it does to drawn sizes
          </h2>
          <ParameterList parameters={parameters} />
          <Lenders view={view} />
        </section>
        <section aria-labelledby="scatter-title" className="space-y-4">
          <div>
            <h2 id="scatter-title" className="text-lg">
              What stays chance
            </h2>
            <p>
              A feature’s own repeatable habit:{' '}
              <span className="num">{formatMm(scatter.featureMm, 3)} mm</span>. From print to print:{' '}
              <span className="num">{formatMm(scatter.printMm, 3)} mm</span> (standard deviations).
            </p>
            {printsOf(view) < 2 && learned.readingCount > 0 && (
              <p className="text-sm text-soft">
                One print cannot tell a feature’s habit from chance.{' '}
                {view.newestJobId !== undefined && (
                  <Link href={`/jobs/${view.newestJobId}/measure#again`} className="underline">
                    Print the same file again
                  </Link>
                )}{' '}
                to learn which it is.
              </p>
            )}
          </div>
          {learned.signature.shifts.length > 0 && <Shifts view={view} />}
          {learned.signature.biases.length > 0 && <Biases view={view} />}
          {observed.length > 0 && (
            <div>
              <h3 className="text-base">Size minus drawn, feature by feature</h3>
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
    return 'Until something is measured, every job uses what relatives lend and, beyond that, what is assumed.';
  if (readingCount === 0)
    return 'Until something is measured, every job uses what is assumed of a printer nobody knows, and says so.';
  if (staleness.kind === 'holds') return 'Prints have come out as it said: the signature holds.';
  const why =
    'Look at the lot, the film, the exposure and the temperature, note below what changed, then measure a block again.';
  return staleness.kind === 'twoInARow'
    ? `Two prints in a row came out far from what it said: this signature may no longer hold. ${why}`
    : `Prints have come out ${staleness.side} what it said by more than chance explains: this signature may no longer hold. ${why}`;
}

const SAME_WORDS = {
  printer: 'same printer',
  resin: 'same resin',
  both: 'same printer and resin',
} as const;

/** Beyond so many standard deviations what was read here contradicts what relatives lent. */
const CONTRADICTS = 3;

/** Profiles that lend to this one what they know, and whether readings here bear them out. */
function Lenders({ view: { learned } }: { view: SignatureView }) {
  const { lenders, contradiction } = learned;
  if (lenders.length === 0) return null;
  return (
    <div className="mt-3 text-sm">
      <h3 className="text-base">Lent by relatives</h3>
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
          What was read here lies <span className="num">{formatMm(contradiction, 1)}</span> standard
          deviations from what they lent: this printer with this resin behaves in another way. The readings
          outweigh them the more there are.
        </p>
      )}
      <p className="text-soft">
        Of what is known here beyond what is assumed of any printer,{' '}
        <span className="num">{Math.round(100 * weightOfRelatives(learned.signature.parameters))} %</span>{' '}
        comes from them.
      </p>
    </div>
  );
}

/** How much larger sizes are in each state that was read than in the one the law speaks of. */
function Shifts({ view: { learned } }: { view: SignatureView }) {
  const { shifts, base } = learned.signature;
  return (
    <div>
      <h3 className="text-base">Sizes in other states, against {base}</h3>
      <ul className="text-sm">
        {shifts.map(({ state, xy, z }) => (
          <li key={state}>
            {state}: <span className="num">{formatSigned(100 * xy.mean, 2)}</span> ±{' '}
            <span className="num">{formatMm(196 * xy.sd, 2)} %</span> in the plane,{' '}
            <span className="num">{formatSigned(100 * z.mean, 2)}</span> ±{' '}
            <span className="num">{formatMm(196 * z.sd, 2)} %</span> in height
          </li>
        ))}
      </ul>
    </div>
  );
}

function Biases({ view }: { view: SignatureView }) {
  return (
    <div>
      <h3 className="text-base">Possible error of the calipers</h3>
      <ul className="text-sm">
        {view.learned.signature.biases.map(({ instrument, jaw, meanMm, sdMm }) => (
          <li key={`${instrument} ${jaw}`}>
            {instrument}, {jaw} jaws: <span className="num">{formatSigned(meanMm, 3)}</span> ±{' '}
            <span className="num">{formatMm(1.96 * sdMm, 3)} mm</span>
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
        <caption className="sr-only">Sizes that the signature was learned from</caption>
        <thead>
          <tr className="border-b border-ink text-left text-soft">
            <th className="py-1 font-normal">Feature</th>
            <th className="py-1 text-right font-normal">drawn</th>
            <th className="py-1 text-right font-normal">size − drawn</th>
            <th className="py-1 text-right font-normal">the rest says</th>
          </tr>
        </thead>
        <tbody>
          {shown.map((line, i) => (
            <tr key={i} className="border-b border-hair">
              <th scope="row" className="py-1 text-left font-normal">
                {line.feature} <span className="text-soft">{line.job}</span>
                {line.suspicious && <strong className="text-plum"> looks odd</strong>}
              </th>
              <td className="num py-1 text-right">{formatMm(line.drawnMm, 3)}</td>
              <td className="num py-1 text-right">
                {formatSigned(line.offsetMm, 3)} ± {formatMm(1.96 * line.u_mm, 3)}
              </td>
              <td className="num py-1 text-right">{formatSigned(line.expectedOffsetMm, 3)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {shown.length < observed.length && (
        <p className="mt-2 text-sm">
          The newest {shown.length}, those that look odd first.{' '}
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
      <summary className="font-semibold">Every estimate is kept: {keptCount}</summary>
      <ol className="mt-2 text-sm">
        {kept.map(({ at, readings, edgeMm, featureScatterMm }) => (
          <li key={at.toISOString() + readings} className="num">
            {momentOf(at)}: {readings} readings, edges {formatSigned(edgeMm, 3)} mm, habit{' '}
            {formatMm(featureScatterMm, 3)} mm
          </li>
        ))}
      </ol>
    </details>
  );
}
