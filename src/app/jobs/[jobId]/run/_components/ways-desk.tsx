'use client';

import { useMemo, useRef, useState } from 'react';
import type { OrientationWorth } from '@/core/part/findings';
import type { HollowWorth } from '@/core/part/layers';
import { cheaperFrom, compareWays, type Way, type WayOrientation } from '@/core/print';
import { describeOrientation } from '@/subjects/part/shared';
import { describeMeshIssue } from '@/subjects/workshop/records/shared';
import type { WaysView } from '@/subjects/print/plate';
import { Button, PlainField, Problem, useNumbers } from '@/ui';
import { type CheckAsk, CheckWorker, Stopped } from '@/workers';
import { WaysChart } from './ways-chart';
import { WaysTable } from './ways-table';

interface WaysDeskProps {
  readonly source: string;
  readonly check: CheckAsk;
  readonly view: WaysView;
  readonly resin: string;
  /** Shop practice hollows thick parts. */
  readonly isHollowHouse: boolean;
}

/** Data of the part: its orientations, and time and resin as a shell. */
interface Studied {
  readonly poses: readonly OrientationWorth[];
  readonly volumeMm3: number;
}

const WALL = { wallMm: '2' };

/** Reads the part off the page's thread: its orientations once, its shell as often as asked. */
function useStudy({ source, check }: Pick<WaysDeskProps, 'source' | 'check'>) {
  const worker = useRef<CheckWorker>(undefined);
  const [share, setShare] = useState<number>();
  const [problem, setProblem] = useState('');
  const [studied, setStudied] = useState<Studied>();
  const [hollow, setHollow] = useState<HollowWorth & { readonly wallMm: number }>();
  const open = async (): Promise<CheckWorker> => {
    if (worker.current !== undefined) return worker.current;
    const own = new CheckWorker();
    worker.current = own;
    const response = await fetch(source);
    if (!response.ok) throw new Error('the part file is missing. Import it again in Need.');
    const opened = await own.open(new Uint8Array(await response.arrayBuffer()), () => {});
    if (!opened.ok) throw new Error(describeMeshIssue(opened.issue));
    return own;
  };
  const run = (work: (own: CheckWorker) => Promise<void>) => {
    setShare(0);
    setProblem('');
    open()
      .then(work)
      .catch((error: Error) => {
        worker.current = undefined;
        if (!(error instanceof Stopped)) setProblem(error.message);
      })
      .finally(() => setShare(undefined));
  };
  return {
    share,
    problem,
    studied,
    hollow,
    stop: () => worker.current?.stop(),
    study: () =>
      run(async (own) => {
        const { volumeMm3 } = await own.layers(check.limits.layerMm);
        setStudied({ poses: await own.study(check, setShare), volumeMm3 });
      }),
    hollowOut: (wallMm: number) =>
      run(async (own) => {
        const { volumeMm3 } = await own.layers(check.limits.layerMm);
        setStudied((before) => before ?? { poses: [], volumeMm3 });
        setHollow({ ...(await own.hollow(wallMm, setShare)), wallMm });
      }),
  };
}

function orientationsOf(poses: readonly OrientationWorth[]): WayOrientation[] {
  return poses.map(({ pose, heightMm, footprintMm, supportedMm2, seenMm2, alongZ }, i) => ({
    name: describeOrientation(pose.name),
    isCurrent: i === 0,
    heightMm,
    footprintMm,
    supportedMm2,
    seenMm2,
    alongZ,
  }));
}

/**
 * Print options: orientations × copies × printers × layer heights, as a table and a chart; solid against hollow; buying
 * beside it.
 */
export function WaysDesk(props: WaysDeskProps) {
  const { view, resin, isHollowHouse } = props;
  const study = useStudy(props);
  const { studied, share } = study;
  const ways = useMemo(
    () =>
      studied === undefined || studied.poses.length === 0
        ? []
        : compareWays({ ...view.ask, poses: orientationsOf(studied.poses), volumeMm3: studied.volumeMm3 }),
    [studied, view.ask],
  );
  const { good } = view.ask;
  const { p, plates, commonShare } = view.print;
  return (
    <section aria-labelledby="ways-title" className="mt-8">
      <h3 id="ways-title" className="text-lg">
        Compare print options
      </h3>
      <p className="max-w-prose text-sm text-soft">
        Compares orientations, copies, printers and layer heights by print hours, labour, resin, cost, and the
        chance of {good === 1 ? 'a good part' : `${good} good parts`}. One copy prints well in{' '}
        {Math.round(100 * p)} of 100,{' '}
        {plates === 0
          ? 'which is typical in this workshop; the print log of this printer replaces the value after its first plate'
          : `from ${plates === 1 ? 'the one plate' : `the ${plates} plates`} in the print log of this printer`}
        . Of the failed copies, {Math.round(100 * commonShare)} of 100 are lost with the whole plate.
        {view.sizes !== undefined &&
          ` Its sizes are within limits in ${Math.round(100 * view.sizes)} of 100, for all copies together, so more copies do not help${view.sizes < 0.5 ? '. Better drawn sizes do (Correct)' : ''}.`}
      </p>
      <div className="mt-2 flex flex-wrap items-center gap-3">
        <Button onClick={study.study} disabled={share !== undefined}>
          Compare options
        </Button>
        {share !== undefined && (
          <>
            <progress value={share} aria-label="Reading the part" />
            <Button onClick={study.stop}>Stop</Button>
          </>
        )}
      </div>
      {study.problem !== '' && <Problem>{study.problem}</Problem>}
      {studied !== undefined && studied.poses.length > 0 && ways.length === 0 && (
        <Problem>it fits no plate in any of these orientations. Print it in two pieces, or smaller.</Problem>
      )}
      {ways.length > 0 && (
        <>
          <Verdict ways={ways} good={good} sizes={view.ask.sizes} />
          <WaysChart ways={ways} />
          <WaysTable ways={ways} hasSeen={props.check.seen.length > 0} likedMm={view.likedMm} />
          <ElsewhereFields ways={ways} />
        </>
      )}
      <Hollow study={study} rate={view.ask.rates.resinLitre} resin={resin} isHollowHouse={isHollowHouse} />
    </section>
  );
}

/** What stands out, in sentences. */
function Verdict({ ways, good, sizes }: { ways: readonly Way[]; good: number; sizes: number }) {
  const known = ways.filter(({ layerMm, machine }) => layerMm === machine.layerMm);
  const cheapest = known.find(({ chance }) => chance >= 0.95 * sizes) ?? known[0];
  const now = ways.find(
    ({ pose, count, layerMm, machine }) => pose.isCurrent && count === 'asked' && layerMm === machine.layerMm,
  );
  return (
    <ul className="mt-2">
      {Math.round(100 * cheapest.chance) === 0 && (
        <li className="border-l-4 border-honey py-1 pl-3">
          {good === 1 ? 'A good part is' : `${good} good parts are`} not reachable like this: the chance is
          below 1 %. Correct the drawn sizes first, or change the limits in Need.
        </li>
      )}
      <li>
        Lowest cost{cheapest.chance >= 0.95 * sizes ? ' with a good chance' : ''}:{' '}
        <strong>{cheapest.pose.name}</strong>, {cheapest.copies} {cheapest.copies === 1 ? 'copy' : 'copies'}{' '}
        on {cheapest.machine.printer} at <span className="num">{cheapest.layerMm} mm</span>,{' '}
        <span className="num">{cheapest.hours.toFixed(1)} h</span>, {Math.round(100 * cheapest.chance)} of 100
        for {good === 1 ? 'a good part' : `${good} good parts`}.
      </li>
      {now !== undefined && now.sparesFree > 0 && (
        <li>
          Current setup: {now.sparesFree === 1 ? 'one more copy fits' : `${now.sparesFree} more copies fit`}{' '}
          on the plate in the same time. Spare copies cost only their resin and labour.
        </li>
      )}
      {now !== undefined && now.chance < 0.95 * sizes && (
        <li className="border-l-4 border-honey py-1 pl-3">
          Without spare copies, there are enough good parts in only {Math.round((100 * now.chance) / sizes)}{' '}
          of 100 prints.
        </li>
      )}
    </ul>
  );
}

const ELSEWHERE = { buyEach: '', buyDays: '', fixed: '', toolEach: '', toolDays: '' };

/** Buying it, sending it out or making a tool, beside printing it. */
function ElsewhereFields({ ways }: { ways: readonly Way[] }) {
  const { field, valuesOf } = useNumbers(ELSEWHERE);
  const printed = ways.reduce((least, { costPerGood }) => Math.min(least, costPerGood), Infinity);
  const buy = valuesOf('buyEach');
  const tool = valuesOf('fixed', 'toolEach');
  const days = (name: 'buyDays' | 'toolDays') => valuesOf(name)?.[name] ?? 0;
  const says = (from: number | undefined) =>
    from === undefined
      ? 'never cheaper than printing'
      : from === 1
        ? 'cheaper from one part'
        : `cheaper from ${from} parts`;
  return (
    <details className="mt-3">
      <summary className="text-sm underline">Buying, outsourcing, or tooling</summary>
      <p className="mt-1 text-sm text-soft">
        A good printed part costs about <span className="num">{printed.toFixed(2)}</span>. Not included: your
        waiting time, and the cost of a wrong part.
      </p>
      <div className="mt-2 grid max-w-2xl gap-3 sm:grid-cols-2">
        <PlainField label="Bought or outsourced, cost per part" {...field('buyEach')} />
        <PlainField label="Delivery time, days" {...field('buyDays')} />
        <PlainField label="Tool or mould, one-time cost" {...field('fixed')} />
        <PlainField label="Cost per part from the tool" {...field('toolEach')} />
        <PlainField label="Time to the first part, days" {...field('toolDays')} />
      </div>
      <ul className="mt-1">
        {buy !== undefined && (
          <li>
            Buying: {says(cheaperFrom({ fixed: 0, each: buy.buyEach, days: days('buyDays') }, printed))}
            {days('buyDays') > 0 && `, delivered after ${days('buyDays')} days`}.
          </li>
        )}
        {tool !== undefined && (
          <li>
            Tooling:{' '}
            {says(cheaperFrom({ fixed: tool.fixed, each: tool.toolEach, days: days('toolDays') }, printed))}
            {days('toolDays') > 0 && `, first part after ${days('toolDays')} days`}.
          </li>
        )}
      </ul>
    </details>
  );
}

interface HollowProps {
  readonly study: ReturnType<typeof useStudy>;
  /** Money a litre of resin. */
  readonly rate: number;
  readonly resin: string;
  readonly isHollowHouse: boolean;
}

/** Solid against hollow: what a wall saves, and what it brings along. */
function Hollow({ study, rate, resin, isHollowHouse }: HollowProps) {
  const { field, valuesOf } = useNumbers(WALL);
  const wall = valuesOf('wallMm')?.wallMm;
  const { hollow, share } = study;
  return (
    <details className="mt-3" open={isHollowHouse || hollow !== undefined}>
      <summary className="text-sm underline">Solid or hollow</summary>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <div className="w-32">
          <PlainField label="Wall" unit="mm" {...field('wallMm')} />
        </div>
        <Button
          disabled={share !== undefined || wall === undefined || !(wall >= 0.3 && wall <= 50)}
          onClick={() => study.hollowOut(wall!)}
        >
          Savings of a hollow part
        </Button>
      </div>
      {hollow !== undefined && <HollowWords hollow={hollow} rate={rate} resin={resin} />}
    </details>
  );
}

function HollowWords({
  hollow,
  rate,
  resin,
}: {
  hollow: HollowWorth & { readonly wallMm: number };
  rate: number;
  resin: string;
}) {
  const { airMm3, errorMm3, solidMm3, thickestMm, wallMm } = hollow;
  const saved = airMm3 / 1000;
  if (saved < 0.05)
    return (
      <p className="mt-1">
        None: its thickest place is about <span className="num">{thickestMm.toFixed(1)} mm</span>, so it is
        all wall.
      </p>
    );
  // A tube of this wall against a full rod as thick as the part: second moments of area.
  const inner = Math.max(0, thickestMm - 2 * wallMm);
  const stiffness = 1 - (inner / thickestMm) ** 4;
  return (
    <p className="mt-1">
      Saves <strong className="num">{saved.toFixed(1)} ml</strong> of {resin} (±{' '}
      {(errorMm3 / 1000).toFixed(1)} ml), {Math.round((100 * airMm3) / solidMm3)} % of the part, about{' '}
      <span className="num">{((saved / 1000) * rate).toFixed(2)}</span> in cost. The print time stays the
      same. In bending, it keeps about {Math.round(100 * stiffness)} % of its stiffness. It needs two vents on
      hidden faces and a longer wash inside, and it must drain: uncured resin left inside leaks or cracks it
      later. Solid is right for small parts, and where you drill or file.
    </p>
  );
}
