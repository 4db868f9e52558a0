import { halfWidth95, Z_95 } from '@/core/kit/numerics';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { connection } from 'next/server';
import { idFrom } from '@/app/_components/read-params';
import { DEPTH_OF_LIGHT } from '@/core/signature';
import { listInstruments } from '@/subjects/measure/calipers';
import { bench, benchHouse } from '@/subjects/workshop/settings';
import { type LightView, STRIP_RATIOS, viewBottom, viewLight } from '@/subjects/exposure';
import { describeStripIssue } from '@/subjects/exposure/shared';
import { hasProfile, listPrinters, waitForSignature } from '@/subjects/signature';
import { Caution, Link, Problem } from '@/ui';
import { BottomSection } from './_components/bottom-section';
import { BracketSection } from './_components/bracket-section';
import { CurveChart } from './_components/curve-chart';
import { LayerPanel } from './_components/layer-panel';
import { MachinePanel } from './_components/machine-panel';
import { StripForm } from './_components/strip-form';
import { StripTable } from './_components/strip-table';
import { ExposureChangeSection } from './_components/exposure-change-section';

type Params = { params: Promise<{ profileId: string }> };

export const metadata: Metadata = { title: 'Exposure' };

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
      <h1 className="text-3xl">Exposure</h1>
      <p className="text-soft">
        {row.profile.name}
        {exposureS === undefined ? ', exposure unknown' : ` · exposed ${exposureS} s`}
      </p>
      <div className="mt-5 grid gap-8 *:min-w-0 lg:grid-cols-2">
        <Strips view={view} />
        <Curve view={view} />
      </div>
      {trim !== undefined && <ExposureChangeSection trim={trim} profileId={profileId} />}
      <BracketSection view={view} />
      <BottomSection profileId={profileId} bottom={viewBottom(db, view)} />
      {exposureS === undefined ? (
        <p className="mt-6 max-w-prose">
          Enter the layer exposure in the{' '}
          <Link href={`/printers/${profileId}#changes-title`} className="underline">
            print settings{' '}
          </Link>{' '}
          to calculate another layer height, another printer, or a new exposure.
        </p>
      ) : (
        <div className="mt-8 grid gap-8 *:min-w-0 lg:grid-cols-2">
          <LayerPanel
            exposureS={exposureS}
            layerMm={row.profile.layerMm}
            houseRule={benchHouse().schools.newLayer}
            curve={curveFor(view)}
          />
          <MachinePanel
            profileId={profileId}
            resin={row.resin.name}
            printers={otherPrinters(view)}
            relatives={view.relatives}
            exposureS={exposureS}
            bottomExposureS={row.profile.settings.bottomExposureS}
          />
        </div>
      )}
    </div>
  );
}

function otherPrinters({ row }: LightView): string[] {
  const names = listPrinters(bench().db).map(({ name }) => name);
  return names.filter((name) => name !== row.printer.name);
}

/** Source for another layer height: strips, or the supplier's value. */
function curveFor({ curve, unit, quoted }: LightView) {
  if (curve?.ok !== true) return quoted && { ...quoted, lnEc: undefined, isQuoted: true };
  const { dpMm, dpSdMm, lnEc } = curve.value;
  return { dpMm, dpSdMm, lnEc: unit === 's' ? lnEc : undefined, isQuoted: false };
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
        Cure one small field at each exposure on the film of a filled vat, without the plate. Lift the strip
        off, rinse and dry it, and measure its thickness, all with the same caliper. Measure the thin ones
        first: they are the softest.
      </p>
      <Caution>
        Wet strips are uncured resin: wear nitrile gloves and eye protection, and keep a tray below. The
        screen shines into the open vat: look away, or wear UV-blocking glasses. Use a soft spatula on the
        film, never a blade.
      </Caution>
      <p className="mt-1 text-sm text-soft">
        Good exposures to start with:{' '}
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
        , one file per exposure, named by it, for printers that cure one exposure per file.
      </p>
      <StripTable profileId={row.profile.id} strips={strips} unit={unit} />
      <StripForm
        key={strips.length}
        profileId={row.profile.id}
        unit={unit}
        hasStrips={strips.length > 0}
        nextS={unit === 's' ? nextUnread(wanted, strips) : undefined}
        instruments={instruments}
        simulatedS={row.printer.simulatedSeed === null ? undefined : (exposureS ?? 2.4)}
      />
    </section>
  );
}

/** The first of the wanted exposures of which no strip was read, thin ones first. */
function nextUnread(wanted: readonly number[], strips: LightView['strips']): number | undefined {
  return wanted.find((seconds) => strips.every(({ exposure }) => Math.abs(exposure / seconds - 1) > 0.05));
}

function Curve({ view: { curve, strips, unit, row, quoted } }: { view: LightView }) {
  return (
    <section aria-labelledby="curve-title">
      <h2 id="curve-title" className="text-lg">
        Working curve
      </h2>
      {curve === undefined && (
        <p className="text-soft">
          Two strips at different exposures give a curve, five give a good one. Until then, the penetration
          depth in {row.resin.name} here is{' '}
          {quoted === undefined
            ? `assumed: ${DEPTH_OF_LIGHT.meanMm} ± ${DEPTH_OF_LIGHT.sdMm} mm.`
            : `from the datasheet: ${quoted.dpMm} mm, ± 20 % with another light source.`}
        </p>
      )}
      {curve?.ok === false && <Problem>{describeStripIssue(curve.issue)}</Problem>}
      {curve?.ok === true && (
        <>
          <p>
            Penetration depth (Dp) <strong className="num">{curve.value.dpMm.toFixed(3)}</strong> ±{' '}
            <span className="num">{halfWidth95(curve.value.dpSdMm).toFixed(3)} mm</span>; curing starts at{' '}
            <strong className="num">{Math.exp(curve.value.lnEc).toFixed(2)}</strong>{' '}
            <span className="num">
              ({Math.exp(curve.value.lnEc - Z_95 * curve.value.lnEcSd).toFixed(2)} to{' '}
              {Math.exp(curve.value.lnEc + halfWidth95(curve.value.lnEcSd)).toFixed(2)}) {unit}
            </span>
            , in 95 of 100.
            {unit === 's' && ' Exposure times apply to this printer only.'}
          </p>
          {quoted !== undefined && (
            <p className="text-sm text-soft">
              The datasheet says {quoted.dpMm} mm; the measured value is used.
            </p>
          )}
          <CurveChart strips={strips} unit={unit} curve={curve.value} />
        </>
      )}
    </section>
  );
}
