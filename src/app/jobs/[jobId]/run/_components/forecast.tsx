'use client';

import { useEffect, useMemo, useState } from 'react';
import {
  finishOf,
  learnSupportShare,
  outlookOf,
  type PlainProgram,
  plainProgram,
  plannedSeconds,
} from '@/core/run';
import { describeMeshIssue } from '@/subjects/records/shared';
import { PlainField, Problem, useNumbers } from '@/ui';
import { CheckWorker, Stopped } from '@/workers';

interface ForecastProps {
  readonly source: string;
  readonly layerMm: number;
  readonly layerS: number;
  /** Somebody said how long a layer takes. */
  readonly isTimed: boolean;
  /** Height of supports below the part, mm; 0 where it stands on the plate or they are in its file. */
  readonly liftMm: number;
  /** Its supports are not in its file. */
  readonly hasSupports: boolean;
  /** What the vat's numbers are remembered by. */
  readonly printerId: number;
  readonly resin: string;
}

/** What wets vat and plate once, and what drips and is wiped: usual. */
const WETTING_ML = 4;
const LOSS_SHARE = 0.05;
/** A share of supports that is none, for sure. */
const NONE = { ln: -Infinity, sd: 0 };

type Areas = Float64Array | { readonly problem: string } | undefined;

/** Areas of the part's layers, read off the page's thread; the supports' own layers before them. */
function useAreas({ source, layerMm, liftMm }: ForecastProps): Areas {
  const [areas, setAreas] = useState<Areas>();
  useEffect(() => {
    const worker = new CheckWorker();
    const read = async (): Promise<Areas> => {
      const response = await fetch(source);
      if (!response.ok) return { problem: 'the part’s file is not there. Bring it in again under Need.' };
      const opened = await worker.open(new Uint8Array(await response.arrayBuffer()), () => {});
      if (!opened.ok) return { problem: describeMeshIssue(opened.issue) };
      const own = await worker.areas(layerMm);
      const below = Math.ceil(liftMm / layerMm - 1e-9);
      const all = new Float64Array(below + own.length);
      all.set(own, below);
      return all;
    };
    read()
      .then(setAreas, (error: Error) => {
        if (!(error instanceof Stopped))
          setAreas({ problem: 'the part could not be read here. Load the page again.' });
      })
      .finally(() => worker.stop());
    return () => worker.stop();
  }, [source, layerMm, liftMm]);
  return areas;
}

function clock(seconds: number): string {
  const minutes = Math.round(seconds / 60);
  return minutes < 60
    ? `${minutes} min`
    : `${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, '0')}`;
}

const VAT = { levelMl: '150', capacityMl: '200', floorMl: '25' };

/** The vat's numbers as they were typed last for this printer. */
function remembered(printerId: number): typeof VAT {
  const text = typeof localStorage === 'undefined' ? null : localStorage.getItem(`mellow-vat-${printerId}`);
  return text === null ? VAT : { ...VAT, ...(JSON.parse(text) as Partial<typeof VAT>) };
}

/** Hours, resin and when to pour, before the print begins. */
export function Forecast(props: ForecastProps) {
  const areas = useAreas(props);
  return (
    <section aria-labelledby="forecast-title" className="mt-6 max-w-prose">
      <h3 id="forecast-title" className="text-lg">
        What this print takes
      </h3>
      {areas === undefined && (
        <p className="text-soft" role="status">
          Reading the part …
        </p>
      )}
      {areas !== undefined && 'problem' in areas && <Problem>{areas.problem}</Problem>}
      {areas instanceof Float64Array && <Figures {...props} areas={areas} />}
    </section>
  );
}

function Figures({
  areas,
  layerMm,
  layerS,
  isTimed,
  hasSupports,
  printerId,
  resin,
}: ForecastProps & { areas: Float64Array }) {
  const { field, valuesOf, texts } = useNumbers(remembered(printerId));
  useEffect(() => localStorage.setItem(`mellow-vat-${printerId}`, JSON.stringify(texts)), [printerId, texts]);
  const program: PlainProgram = useMemo(() => plainProgram(layerMm, layerS), [layerMm, layerS]);
  const vat = valuesOf('levelMl', 'capacityMl', 'floorMl');
  const problem = vat && vatProblem(vat);
  const { earlyS, middleS, lateS } = finishOf(plannedSeconds(areas.length, program), []);
  return (
    <>
      <p className="mt-1">
        <strong className="num">{clock(middleS)}</strong>, between{' '}
        <span className="num">{clock(earlyS)}</span> and <span className="num">{clock(lateS)}</span> in nine
        of ten prints: <span className="num">{areas.length}</span> layers of{' '}
        <span className="num">{layerS} s</span>
        {isTimed ? ', as said of the printer' : ', assumed: nobody said what a layer takes here'}, 3 min for
        the first ones.
      </p>
      <div className="mt-3 grid gap-3 sm:grid-cols-3">
        <PlainField label="In the vat now" unit="ml" {...field('levelMl')} />
        <PlainField label="The vat holds" unit="ml" {...field('capacityMl')} />
        <PlainField label="Least that still prints" unit="ml" {...field('floorMl')} />
      </div>
      {problem !== undefined && <Problem>{problem}</Problem>}
      {vat !== undefined && problem === undefined && (
        <Resin areas={areas} program={program} vat={vat} hasSupports={hasSupports} resin={resin} />
      )}
    </>
  );
}

interface VatNumbers {
  readonly levelMl: number;
  readonly capacityMl: number;
  readonly floorMl: number;
}

function vatProblem({ levelMl, capacityMl, floorMl }: VatNumbers): string | undefined {
  if (levelMl < 0 || floorMl < 0 || !(capacityMl > 0))
    return 'a vat holds no less than nothing. Check the numbers.';
  if (levelMl > capacityMl) return `${levelMl} ml in a vat that holds ${capacityMl}. Read the level again.`;
  return floorMl >= capacityMl ? 'the least that still prints must be below what the vat holds.' : undefined;
}

interface ResinProps {
  readonly areas: Float64Array;
  readonly program: PlainProgram;
  readonly vat: VatNumbers;
  readonly hasSupports: boolean;
  readonly resin: string;
}

function Resin({ areas, program, vat, hasSupports, resin }: ResinProps) {
  const outlook = useMemo(() => {
    const share = hasSupports ? learnSupportShare([]) : NONE;
    try {
      return outlookOf(areas, program, { ...vat, wettingMl: WETTING_ML, lossShare: LOSS_SHARE }, share);
    } catch {
      return undefined;
    }
  }, [areas, program, vat, hasSupports]);
  if (outlook === undefined)
    return <Problem>one layer uses more than a full vat holds above its floor.</Problem>;
  const { plan, dryChance, lastSafeS } = outlook;
  const chance = Math.round(100 * dryChance);
  return (
    <>
      <p className="mt-3">
        <strong className="num">{Math.ceil(plan.resinMl)} ml</strong> of {resin}
        {hasSupports ? ', supports taken as 0.3 of the part until some are weighed' : ''}, 5 % lost on the
        way.
      </p>
      {plan.topUps.length === 0 && <p>The vat lasts: {Math.floor(plan.leftMl)} ml are left.</p>}
      <ul>
        {plan.topUps.map(({ layer, clockS, addMl }) => (
          <li key={layer}>
            Pour <strong className="num">{Math.ceil(addMl)} ml</strong> before layer{' '}
            <span className="num">{layer + 1}</span>, <span className="num">{clock(clockS)}</span> after the
            start.
          </li>
        ))}
      </ul>
      {(chance > 0 || plan.topUps.length > 0) && (
        <p className="mt-1 border-l-4 border-honey py-1 pl-3">
          If nobody pours, the vat runs dry in {chance} of 100 such prints.
          {lastSafeS !== undefined && ` Come by ${clock(lastSafeS)} after the start to be in time in 95.`} Do
          not start it before a night, or when you are away for longer.
        </p>
      )}
    </>
  );
}
