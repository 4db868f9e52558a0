import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { connection } from 'next/server';
import { idFrom } from '@/app/_components/read-params';
import { type CareCount, type CareKind, CHECK_KINDS, isSoon } from '@/core/log';
import { bench, benchHouse } from '@/subjects/house';
import { dayOf, listAnd } from '@/subjects/language/shared';
import { careOf, type LogView, type RateGroup, viewClearing, viewLog } from '@/subjects/log';
import { BECAUSE_WORDS, BY_WORDS, describeCommon, describeGroup, KIND_WORDS } from '@/subjects/log/shared';
import { Link } from '@/ui';
import { CareList } from './_components/care-list';
import { ClearingChain } from './_components/clearing-chain';
import { HeightStrip } from './_components/height-strip';
import { LookOver } from './_components/look-over';
import { LossTables } from './_components/loss-tables';
import { MachineChecks } from './_components/machine-checks';
import { PlaceMap } from './_components/place-map';

type Params = { params: Promise<{ printerId: string }> };

export const metadata: Metadata = { title: 'Log' };

/** The log of a printer: what failed, where, how often prints come out, and the care that is due. */
export default async function LogPage({ params }: Params) {
  await connection();
  const { db } = bench();
  const printerId = idFrom((await params).printerId);
  const house = benchHouse();
  const view = viewLog(db, printerId, house);
  if (view === undefined) notFound();
  const care = careOf(db, printerId, new Date(), house);
  const clearing = viewClearing(db, printerId);
  return (
    <div className="mx-auto max-w-6xl px-4 py-5 sm:px-6">
      <p className="text-sm">
        <Link href={`/printers/machine/${printerId}`} className="underline">
          {view.printer.name}
        </Link>
      </p>
      <h1 className="text-3xl">Log</h1>
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
          <CareList
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

/** Care that a look over takes along: what is due or soon will be, but for what is noted elsewhere. */
function soonOf(counts: readonly CareCount[]): CareKind[] {
  const elsewhere: readonly CareKind[] = [...CHECK_KINDS, 'film', 'panel', 'clearVat', 'lookOver'];
  return counts.flatMap((count) => (isSoon(count) && !elsewhere.includes(count.kind) ? count.kind : []));
}

/** Why each check of the machine is asked for now. */
function askedOf(counts: readonly CareCount[]) {
  return Object.fromEntries(
    counts.flatMap(({ kind, because }) => (because === undefined ? [] : [[kind, BECAUSE_WORDS[because]]])),
  );
}

const inHundred = (share: number) => (100 * share).toFixed(1);
const percent = (share: number) => `${Math.round(100 * share)} %`;

function Rates({ view: { prints, rates, pieces } }: { view: LogView }) {
  return (
    <section aria-labelledby="rates-title">
      <h2 id="rates-title" className="text-lg">
        How often it comes out
      </h2>
      {prints.n === 0 ? (
        <p className="text-soft">No print has ended here yet.</p>
      ) : (
        <>
          <p>
            <strong className="num">
              {prints.k} of {prints.n}
            </strong>{' '}
            prints came out whole; in the long run between{' '}
            <span className="num">
              {percent(prints.low)} and {percent(prints.high)}
            </span>
            .
          </p>
          <p className="text-sm text-soft">
            Of single pieces {percent(pieces.p)} are expected whole, between {percent(pieces.low)} and{' '}
            {percent(pieces.high)}: copies to start and costs under Run go by it.{' '}
            {percent(pieces.commonShare)} of the lost ones go with their whole plate, by all printers here.
          </p>
          {rates.map((group) => (
            <RateTable key={group.by} group={group} />
          ))}
        </>
      )}
    </section>
  );
}

function RateTable({ group: { by, rates, differ } }: { group: RateGroup }) {
  return (
    <>
      <table className="mt-3 w-full border-collapse">
        <thead>
          <tr className="border-b border-ink text-left text-sm text-soft">
            <th className="py-1 pr-3 font-normal">{BY_WORDS[by]}</th>
            <th className="py-1 pr-3 text-right font-normal">whole</th>
            <th className="py-1 text-right font-normal">expected</th>
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
          ? 'With so few prints none of them is told from another.'
          : `“${describeGroup(by, differ[0])}” comes out more often than “${describeGroup(by, differ[1])}”: chance alone would hardly do it.`}
      </p>
    </>
  );
}

function Where({ view }: { view: LogView }) {
  const { where, places, heights, printer, runs } = view;
  const { verdict } = where;
  const newest = runs.find(({ failed }) => failed > 0);
  const words = {
    tooFew: 'Too few failures to tell whether they come together. Tap on the plate where the next one was.',
    told:
      verdict.code === 'told' ? `Failures come together ${listAnd(verdict.common.map(describeCommon))}.` : '',
    notTold: 'Failures do not come together more than chance would have it.',
  };
  return (
    <section aria-labelledby="where-title">
      <h2 id="where-title" className="text-lg">
        Where
      </h2>
      <p className={`border-l-4 py-1 pl-3 ${verdict.code === 'told' ? 'border-honey' : 'border-hair'}`}>
        {words[verdict.code]}
        {verdict.code === 'notTold' &&
          verdict.power !== undefined &&
          ` A true place would have been seen in ${Math.round(100 * verdict.power)} of 100.`}
      </p>
      <PlaceMap plateMm={printer.plateMm} places={places} />
      <HeightStrip heights={heights} />
      {where.tests.length > 0 && (
        <ul className="mt-1 text-sm text-soft">
          {where.tests.map(({ common, p, adjusted }) => (
            <li key={common}>
              {describeCommon(common)}: chance alone in {inHundred(p)} of 100
              {inHundred(adjusted) !== inHundred(p) && ` (${inHundred(adjusted)}, since several were asked)`}
            </li>
          ))}
        </ul>
      )}
      {newest !== undefined && (
        <p className="mt-2">
          <Link href={`/runs/${newest.id}`} className="underline">
            Why the newest of them failed, and what to test
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
      {runs.length === 0 && <p className="text-soft">None yet.</p>}
      <ul className="border-t border-hair">
        {runs.slice(0, 20).map(({ id, endedAt, pieces, failed, outcome, kinds, isLookedAt }) => (
          <li key={id} className="flex flex-wrap justify-between gap-x-4 border-b border-hair py-1">
            <Link href={`/runs/${id}`} className="underline">
              {dayOf(endedAt)}, {pieces === 1 ? 'one piece' : `${pieces} pieces`}
            </Link>
            <span>
              {failed > 0 && `${failed} failed: ${kinds.map((kind) => KIND_WORDS[kind]).join(', ')}`}
              {failed === 0 && outcome === 'stopped' && 'stopped'}
              {failed === 0 &&
                outcome === 'done' &&
                (isLookedAt ? 'all well' : <span className="text-soft">not looked at yet</span>)}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
