import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { connection } from 'next/server';
import { idFrom } from '@/app/_components/read-params';
import { listInstruments } from '@/subjects/caliper';
import { bench, benchHouse } from '@/subjects/house';
import { listAnd } from '@/subjects/language/shared';
import { type LightView, STRIP_RATIOS, type TrimView, viewBracket, viewLight } from '@/subjects/light';
import { describeBracketIssue, describeStripIssue } from '@/subjects/light/shared';
import { hasProfile, waitForSignature } from '@/subjects/printing';
import { Caution, Link, Problem } from '@/ui';
import { BracketDesk } from './_components/bracket-desk';
import { CurveChart } from './_components/curve-chart';
import { LayerPanel } from './_components/layer-panel';
import { MachinePanel } from './_components/machine-panel';
import { StripForm } from './_components/strip-form';
import { WallPanel } from './_components/wall-panel';
import { StripTable } from './_components/strip-table';

type Params = { params: Promise<{ profileId: string }> };

export const metadata: Metadata = { title: 'Light' };

/** The light of a printer in a resin: strips and their curve, other layer heights and machines, and the exposure itself. */
export default async function LightPage({ params }: Params) {
  await connection();
  const { db } = bench();
  const profileId = idFrom((await params).profileId);
  if (hasProfile(db, profileId)) await waitForSignature(db, profileId);
  const view = viewLight(db, profileId);
  if (view === undefined) notFound();
  const { row, trim, exposureS } = view;
  return (
    <div className="mx-auto max-w-6xl px-4 py-5 sm:px-6">
      <p className="text-sm">
        <Link href={`/printers/${profileId}`} className="underline">
          {row.resin.name} on {row.printer.name}
        </Link>
      </p>
      <h1 className="text-3xl">Light</h1>
      <p className="text-soft">
        {row.profile.name}
        {exposureS === undefined ? ', exposure not said' : ` · ${exposureS} s`}
      </p>
      <div className="mt-5 grid gap-8 *:min-w-0 lg:grid-cols-2">
        <Strips view={view} />
        <Curve view={view} />
      </div>
      {trim !== undefined && <Trim trim={trim} profileId={profileId} />}
      <Bracket view={view} />
      {exposureS === undefined ? (
        <p className="mt-6 max-w-prose">
          Say what a layer is exposed under{' '}
          <Link href={`/printers/${profileId}#changes-title`} className="underline">
            what it is printed under
          </Link>
          : then another layer height, another machine and a trim can be told.
        </p>
      ) : (
        <div className="mt-8 grid gap-8 *:min-w-0 lg:grid-cols-2">
          <LayerPanel
            exposureS={exposureS}
            layerMm={row.profile.layerMm}
            houseRule={benchHouse().schools.newLayer}
            curve={curveFor(view)}
          />
          <MachinePanel exposureS={exposureS} bottomExposureS={row.profile.settings.bottomExposureS} />
        </div>
      )}
    </div>
  );
}

/** What another layer height is reckoned from. */
function curveFor({ curve, unit }: LightView) {
  if (curve?.ok !== true) return undefined;
  const { dpMm, dpSdMm, lnEc } = curve.value;
  return { dpMm, dpSdMm, lnEc: unit === 's' ? lnEc : undefined };
}

function Strips({ view }: { view: LightView }) {
  const { row, strips, unit, exposureS } = view;
  const instruments = listInstruments(bench().db).map(({ id, name }) => ({ id, name }));
  const wanted = STRIP_RATIOS.map((ratio) => (exposureS ?? 2.4) * ratio);
  return (
    <section aria-labelledby="strips-title">
      <h2 id="strips-title" className="text-lg">
        Strips
      </h2>
      <p>
        Cure one small field at each exposure on the film of a filled vat, without the plate; lift the strip
        off, rinse and dry it, and read its thickness with one caliper. Read the thin ones first: they are the
        softest.
      </p>
      <Caution>
        Wet strips are uncured resin: nitrile gloves, eye protection, tray below. The screen lights into the
        open vat: look away, or wear glasses that stop ultraviolet. A soft spatula, never a blade, on the
        film.
      </Caution>
      <p className="mt-1 text-sm text-soft">
        Good exposures to begin with:{' '}
        {wanted.map((seconds, i) => (
          <span key={seconds}>
            {i > 0 && ', '}
            <a
              href={`/api/strips?exposure=${seconds.toFixed(1)}&layer=${row.profile.layerMm}`}
              className="underline"
            >
              {seconds.toFixed(1)} s
            </a>
          </span>
        ))}
        , each a file named so, for printers that cure one exposure a file.
      </p>
      <StripTable profileId={row.profile.id} strips={strips} unit={unit} />
      <StripForm
        key={strips.length}
        profileId={row.profile.id}
        unit={unit}
        hasStrips={strips.length > 0}
        instruments={instruments}
        simulatedS={row.printer.simulatedSeed === null ? undefined : (exposureS ?? 2.4)}
      />
    </section>
  );
}

function Curve({ view: { curve, strips, unit, row } }: { view: LightView }) {
  return (
    <section aria-labelledby="curve-title">
      <h2 id="curve-title" className="text-lg">
        How deep it cures
      </h2>
      {curve === undefined && (
        <p className="text-soft">
          Two strips at different exposures make a curve, five a good one. Until then the depth of light in{' '}
          {row.resin.name} here is assumed to be 0.10 ± 0.04 mm.
        </p>
      )}
      {curve?.ok === false && <Problem>{describeStripIssue(curve.issue)}</Problem>}
      {curve?.ok === true && (
        <>
          <p>
            Depth of light <strong className="num">{curve.value.dpMm.toFixed(3)}</strong> ±{' '}
            <span className="num">{(1.96 * curve.value.dpSdMm).toFixed(3)} mm</span>; it begins to cure at{' '}
            <strong className="num">{Math.exp(curve.value.lnEc).toFixed(2)}</strong>{' '}
            <span className="num">
              ({Math.exp(curve.value.lnEc - 1.96 * curve.value.lnEcSd).toFixed(2)} to{' '}
              {Math.exp(curve.value.lnEc + 1.96 * curve.value.lnEcSd).toFixed(2)}) {unit}
            </span>
            , in 95 of 100.
            {unit === 's' && ' In seconds of this printer: for another one they are other seconds.'}
          </p>
          <CurveChart strips={strips} unit={unit} curve={curve.value} />
        </>
      )}
    </section>
  );
}

const LIMIT_WORDS = {
  step: ' One step goes no further, then a block is measured again.',
  depth: ' Below it a layer does not hold to the one before it.',
} as const;

const BEYOND_WORDS = {
  longer:
    'All were lost: it lies further up. Check too that the plate is level, and that the first layers hold.',
  shorter: 'All that held closed their slots: it lies further down.',
} as const;

/** Where nothing is known of an exposure, s. */
const ABOUT_S = 2.5;

/** An exposure that holds and draws true, from a few small gauges. */
function Bracket({ view: { row, exposureS } }: { view: LightView }) {
  const { gauges, first, verdict } = viewBracket(bench().db, row.profile.id, exposureS ?? ABOUT_S);
  const found = verdict?.ok === true ? verdict.value : undefined;
  const next = found === undefined ? first : (found.next ?? []).map((seconds) => Number(seconds.toFixed(2)));
  const of100 = (share: number) => Math.round(100 * share);
  return (
    <section aria-labelledby="bracket-title" className="mt-8 max-w-3xl">
      <h2 id="bracket-title" className="text-lg">
        Bracket
      </h2>
      <p className="text-sm text-soft">
        For a resin, a printer or a film that nothing is known of: three small gauges at exposures in equal
        ratio, wash and cure them as parts, then say what became of each. Minutes, not hours.
      </p>
      {verdict?.ok === false && <Problem>{describeBracketIssue(verdict.issue)}</Problem>}
      {found !== undefined && (
        <p
          className={`mt-2 border-l-4 py-1 pl-3 ${found.next === undefined ? 'border-juniper' : 'border-honey'}`}
        >
          Best so far <strong className="num">{found.best.exposureS.toFixed(2)} s</strong>: it holds, and
          edges are within 0.03 mm of what is drawn, in {of100(found.best.good)} of 100. It holds in{' '}
          {of100(found.best.holds)}; edges grow by{' '}
          <span className="num">
            {found.best.edgeMm.toFixed(3)} ± {(1.96 * found.best.edgeSdMm).toFixed(3)} mm
          </span>
          . {found.beyond !== undefined && BEYOND_WORDS[found.beyond]}
          {found.next === undefined &&
            ' Sure enough: note it as the exposure of this profile, then print a signature block.'}
        </p>
      )}
      <BracketDesk
        profileId={row.profile.id}
        gauges={gauges}
        next={next}
        simulatedS={row.printer.simulatedSeed === null ? undefined : (exposureS ?? ABOUT_S)}
      />
    </section>
  );
}

function Trim({ trim, profileId }: { trim: TrimView; profileId: number }) {
  const { exposureS, edge, slope, ratio, step, leastS, others, voids } = trim;
  const isTrue = Math.abs(edge.mean) < edge.sd;
  return (
    <section aria-labelledby="trim-title" className="mt-8 max-w-3xl">
      <h2 id="trim-title" className="text-lg">
        Edges and exposure
      </h2>
      <p>
        At <span className="num">{exposureS} s</span> every edge grows by{' '}
        <strong className="num">{edge.mean.toFixed(3)}</strong> ±{' '}
        <span className="num">{(1.96 * edge.sd).toFixed(3)} mm</span>; a tenth more exposure adds{' '}
        <span className="num">{(slope.mean * Math.log(1.1)).toFixed(3)} mm</span>
        {others > 0 &&
          `, by ${others} other ${others === 1 ? 'profile' : 'profiles'} of this printer and resin too`}
        .
      </p>
      <p className="mt-1">
        Edges would be true at about{' '}
        <strong className="num">{(exposureS * ratio.median).toFixed(2)} s</strong>, between{' '}
        <span className="num">{(exposureS * ratio.low).toFixed(2)}</span> and{' '}
        <span className="num">{(exposureS * ratio.high).toFixed(2)} s</span> in 95 of 100.
        {leastS !== undefined && (
          <>
            {' '}
            Below <span className="num">{leastS.toFixed(2)} s</span> a layer cures less than one and a half of
            its height.
          </>
        )}
      </p>
      <p className={`mt-1 border-l-4 py-1 pl-3 ${isTrue ? 'border-juniper' : 'border-honey'}`}>
        {isTrue ? (
          'Nothing to trim: growth is not told from none. Leave the exposure, and draw the sizes.'
        ) : (
          <>
            A trim would go towards it, to <strong className="num">{step.exposureS.toFixed(2)} s</strong>.
            {step.limitedBy !== undefined && LIMIT_WORDS[step.limitedBy]} Drawing the sizes leaves the
            exposure as it is, and voids nothing: trim only where walls and gaps fuse, or for a profile that
            nothing was drawn for.
          </>
        )}
      </p>
      {!isTrue && (
        <p className="mt-1 text-sm text-soft">
          {voids.length === 0
            ? 'No job is drawn for this exposure.'
            : `A trim voids the drawn sizes of ${listAnd(voids.map(({ name }) => name))}.`}{' '}
          When it is done,{' '}
          <Link href={`/printers/${profileId}#changes-title`} className="underline">
            note the change
          </Link>
          : edges and cure-through are moved by what is known, the rest is opened.
        </p>
      )}
      <WallPanel ask={trim.ask} doubts={trim.doubts} />
    </section>
  );
}
