import { dayOf, listAnd } from '@/core/kit/wording';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { connection } from 'next/server';
import { idFrom } from '@/app/_components/read-params';
import {
  BECAUSE_WORDS,
  CHECK_KINDS,
  COMMON_WORDS,
  FAILURE_WORDS,
  isSoon,
  type MaintenanceCount,
  type MaintenanceKind,
} from '@/core/log';
import { bench, benchHouse } from '@/subjects/workshop/settings';
import { maintenanceOf, type LogView, type RateGroup, viewClearing, viewLog } from '@/subjects/log';
import { BY_WORDS, describeGroup } from '@/subjects/log/shared';
import { Link } from '@/ui';
import { MaintenanceList } from './_components/maintenance-list';
import { ClearingChain } from './_components/clearing-chain';
import { HeightStrip } from './_components/height-strip';
import { LookOver } from './_components/look-over';
import { LossTables } from './_components/loss-tables';
import { MachineChecks } from './_components/machine-checks';
import { PlaceMap } from './_components/place-map';

type Params = { params: Promise<{ printerId: string }> };

export const metadata: Metadata = { title: 'Print log' };

/** The log of a printer: what failed, where, how often prints come out, and the care that is due. */
export default async function LogPage({ params }: Params) {
  await connection();
  const { db } = bench();
  const printerId = idFrom((await params).printerId);
  const house = benchHouse();
  const view = viewLog(db, printerId, house);
  if (view === undefined) notFound();
  const care = maintenanceOf(db, printerId, new Date(), house);
  const clearing = viewClearing(db, printerId);
  return (
    <div className="mx-auto max-w-6xl px-4 py-5 sm:px-6">
      <p className="text-sm">
        <Link href={`/printers/machine/${printerId}`} className="underline">
          {view.printer.name}
        </Link>
      </p>
      <h1 className="text-3xl">Print log</h1>
      {clearing !== undefined && (
        <div className="mt-4">
          <ClearingChain
            printerId={printerId}
            runId={clearing.runId}
            failedAt={clearing.failedAt}
            answers={Object.fromEntries(clearing.answers)}
            schools={house.schools}
            profileId={view.profileId}
          />
        </div>
      )}
      <div className="mt-6 grid gap-8 *:min-w-0 lg:grid-cols-2">
        <div className="space-y-8">
          <MaintenanceList
            printerId={printerId}
            counts={care.counts}
            film={care.film}
            undoable={[...care.undoable]}
            profileId={view.profileId}
          />
          <LookOver
            printerId={printerId}
            soon={soonOf(care.counts)}
            last={
              care.lastLook && {
                at: care.lastLook.at,
                isWell: care.lastLook.isWell,
                note: care.lastLook.note,
              }
            }
          />
          <MachineChecks
            printerId={printerId}
            made={care.checks}
            asked={askedOf(care.counts)}
            schools={house.schools}
          />
        </div>
        <div className="space-y-8">
          <Rates view={view} />
          <Where view={view} />
          <LossTables losses={view.losses} />
          <Prints view={view} />
        </div>
      </div>
    </div>
  );
}

/** Maintenance that an inspection includes: what is due or soon will be, except what is recorded elsewhere. */
function soonOf(counts: readonly MaintenanceCount[]): MaintenanceKind[] {
  const elsewhere: readonly MaintenanceKind[] = [...CHECK_KINDS, 'film', 'panel', 'clearVat', 'lookOver'];
  return counts.flatMap((count) => (isSoon(count) && !elsewhere.includes(count.kind) ? count.kind : []));
}

/** Why each check of the printer is due now. */
function askedOf(counts: readonly MaintenanceCount[]) {
  return Object.fromEntries(
    counts.flatMap(({ kind, because }) => (because === undefined ? [] : [[kind, BECAUSE_WORDS[because]]])),
  );
}

const inHundred = (share: number) => (100 * share).toFixed(1);
const rangeOf = ({ low, high }: { low: number; high: number }) => `${Math.round(100 * low)}–${percent(high)}`;
const percent = (share: number) => `${Math.round(100 * share)} %`;

function Rates({ view: { prints, rates, pieces } }: { view: LogView }) {
  return (
    <section aria-labelledby="rates-title">
      <h2 id="rates-title" className="text-lg">
        Success rate
      </h2>
      {prints.n === 0 ? (
        <p className="text-soft">No completed prints yet.</p>
      ) : (
        <>
          <SuccessTable prints={prints} pieces={pieces} />
          <p className="mt-1 text-sm text-soft">
            The Print step uses the share of good pieces for the number of copies and for costs.
          </p>
          {rates.map((group) => (
            <RateTable key={group.by} group={group} />
          ))}
        </>
      )}
    </section>
  );
}

/** The success of prints and pieces, each with its 95 % interval. */
function SuccessTable({ prints, pieces }: Pick<LogView, 'prints' | 'pieces'>) {
  const rows = [
    {
      name: 'prints that succeeded',
      count: `${prints.k} of ${prints.n}`,
      share: percent(prints.k / prints.n),
      interval: rangeOf(prints),
    },
    {
      name: 'good pieces, expected',
      count: '',
      share: percent(pieces.p),
      interval: rangeOf(pieces),
    },
    {
      name: 'failed pieces lost with their whole plate, all printers',
      count: '',
      share: percent(pieces.commonShare),
      interval: '',
    },
  ];
  return (
    <table className="w-full border-collapse">
      <caption className="sr-only">Success of prints and pieces</caption>
      <thead>
        <tr className="border-b border-ink text-left text-sm text-soft">
          <td />
          <th className="py-1 pr-3 text-right font-normal">count</th>
          <th className="py-1 pr-3 text-right font-normal">share</th>
          <th className="py-1 text-right font-normal">95 % interval</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ name, count, share, interval }) => (
          <tr key={name} className="border-b border-hair">
            <th scope="row" className="py-1 pr-3 text-left font-normal">
              {name}
            </th>
            <td className="num py-1 pr-3 text-right whitespace-nowrap">{count}</td>
            <td className="num py-1 pr-3 text-right whitespace-nowrap">{share}</td>
            <td className="num py-1 text-right whitespace-nowrap">{interval}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function RateTable({ group: { by, rates, differ } }: { group: RateGroup }) {
  return (
    <>
      <table className="mt-3 w-full border-collapse">
        <thead>
          <tr className="border-b border-ink text-left text-sm text-soft">
            <th className="py-1 pr-3 font-normal">{BY_WORDS[by]}</th>
            <th className="py-1 pr-3 text-right font-normal">successful</th>
            <th className="py-1 text-right font-normal">expected rate</th>
          </tr>
        </thead>
        <tbody>
          {rates.map(({ name, k, n, pooled }) => (
            <tr key={name} className="border-b border-hair">
              <th scope="row" className="py-1 pr-3 text-left font-normal">
                {describeGroup(by, name)}
              </th>
              <td className="num py-1 pr-3 text-right">
                {k} of {n}
              </td>
              <td className="num py-1 text-right">{percent(pooled)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-sm text-soft">
        {differ === undefined
          ? 'Not enough prints to show a difference between these groups.'
          : `“${describeGroup(by, differ[0])}” succeeds more often than “${describeGroup(by, differ[1])}”. This is unlikely to be chance.`}
      </p>
    </>
  );
}

function Where({ view }: { view: LogView }) {
  const { where, places, heights, printer, runs } = view;
  const { verdict } = where;
  const newest = runs.find(({ failed }) => failed > 0);
  const words = {
    tooFew:
      'Not enough failures to see whether they cluster. Mark the place of the next failure on the plate.',
    told:
      verdict.code === 'told'
        ? `Failures cluster ${listAnd(verdict.common.map((common) => COMMON_WORDS[common]))}.`
        : '',
    notTold: 'Failures do not cluster more than expected by chance.',
  };
  return (
    <section aria-labelledby="where-title">
      <h2 id="where-title" className="text-lg">
        Failure locations
      </h2>
      <p className={`border-l-4 py-1 pl-3 ${verdict.code === 'told' ? 'border-honey' : 'border-hair'}`}>
        {words[verdict.code]}
        {verdict.code === 'notTold' &&
          verdict.power !== undefined &&
          ` A real cluster would show in ${Math.round(100 * verdict.power)} of 100 cases.`}
      </p>
      <PlaceMap plateMm={printer.plateMm} places={places} />
      <HeightStrip heights={heights} />
      {where.tests.length > 0 && (
        <ul className="mt-1 text-sm text-soft">
          {where.tests.map(({ common, p, adjusted }) => (
            <li key={common}>
              {COMMON_WORDS[common]}: expected by chance in {inHundred(p)} of 100
              {inHundred(adjusted) !== inHundred(p) &&
                ` (${inHundred(adjusted)} after correction for several comparisons)`}
            </li>
          ))}
        </ul>
      )}
      {newest !== undefined && (
        <p className="mt-2">
          <Link href={`/runs/${newest.id}`} className="underline">
            Causes and tests for the newest failure
          </Link>
        </p>
      )}
    </section>
  );
}

function Prints({ view: { runs } }: { view: LogView }) {
  return (
    <section aria-labelledby="prints-title">
      <h2 id="prints-title" className="text-lg">
        Prints
      </h2>
      {runs.length === 0 && <p className="text-soft">No failures recorded.</p>}
      <ul className="border-t border-hair">
        {runs.slice(0, 20).map(({ id, endedAt, pieces, failed, outcome, kinds, isLookedAt }) => (
          <li key={id} className="flex flex-wrap justify-between gap-x-4 border-b border-hair py-1">
            <Link href={`/runs/${id}`} className="underline">
              {dayOf(endedAt)}, {pieces === 1 ? 'one piece' : `${pieces} pieces`}
            </Link>
            <span>
              {failed > 0 && `${failed} failed: ${kinds.map((kind) => FAILURE_WORDS[kind]).join(', ')}`}
              {failed === 0 && outcome === 'stopped' && 'stopped'}
              {failed === 0 &&
                outcome === 'done' &&
                (isLookedAt ? 'all OK' : <span className="text-soft">not inspected</span>)}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
