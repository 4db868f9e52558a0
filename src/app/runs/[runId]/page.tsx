import { checklistQuestion } from '@/core/print/checklist';
import { dayOf } from '@/core/kit/wording';
import { notFound } from 'next/navigation';
import { connection } from 'next/server';
import { cache, Suspense } from 'react';
import { idFrom } from '@/app/_components/read-params';
import { bench, benchHouse } from '@/subjects/workshop/settings';
import {
  type PlateItem,
  type PlatePiece,
  runningPrint,
  type RunView,
  viewRun,
  weighOnSimulatedScale,
} from '@/subjects/print/plate';
import { readSimulatedRoom } from '@/subjects/simulated';
import { buttonLook, Caution, Link } from '@/ui';
import { ForecastPanel } from './_components/forecast-panel';
import { ChecklistPanel } from './_components/checklist-panel';
import { LogOf } from './_components/log-of';
import { PlateDesk } from './_components/plate-desk';
import { PlateDrawing, type ShownPiece } from './_components/plate-drawing';
import { CouponFirst } from './_components/coupon-first';
import { ReadLayers } from './_components/read-layers';
import { RunningDesk } from './_components/running-desk';
import { WeighForm } from './_components/running-forms';
import { momentOn } from './_components/clock-of';

type Params = { params: Promise<{ runId: string }> };
type Search = { searchParams: Promise<{ failed?: string | string[] }> };

const load = cache((runId: number) => viewRun(bench().db, runId, benchHouse()));

export async function generateMetadata({ params }: Params) {
  const view = load(idFrom((await params).runId));
  return { title: view === undefined ? 'Plate' : titleOf(view) };
}

function titleOf({ items, row }: RunView): string {
  const names = items.map(({ job }) => job.name);
  const what =
    names.length === 0
      ? 'Empty plate'
      : names.length === 1
        ? names[0]
        : `${names[0]} and ${names.length - 1} more`;
  return `${what}, on ${row.printer.name}`;
}

/** How a piece is called on its plate: its job's name, numbered where there are several. */
function labelOf({ job, pieces }: PlateItem, piece: PlatePiece): string {
  const short = job.name.length > 18 ? `${job.name.slice(0, 17)}…` : job.name;
  return pieces.length === 1 ? short : `${short} ${pieces.indexOf(piece) + 1}`;
}

/** Side of a piece whose part was not read yet, mm. */
const UNREAD_MM = 20;

function shownPieces({ items, placeIssues }: RunView): ShownPiece[] {
  return items.flatMap((item, thing) =>
    item.pieces.map((piece) => ({
      ...piece,
      label: labelOf(item, piece),
      thing,
      widthMm: item.sizeMm?.[0] ?? UNREAD_MM,
      depthMm: item.sizeMm?.[1] ?? UNREAD_MM,
      issue: placeIssues.get(piece.id),
    })),
  );
}

/** One run of a printer: its plate and its gate, then its clock, then what came off it. */
export default async function RunPage({ params, searchParams }: Params & Search) {
  await connection();
  const failedPiece = Number((await searchParams).failed);
  const view = load(idFrom((await params).runId));
  if (view === undefined) notFound();
  const { run, row } = view;
  return (
    <div className="mx-auto max-w-6xl px-4 py-5 sm:px-6">
      <h1 className="text-3xl">{titleOf(view)}</h1>
      <p className="mb-4 text-soft">
        {row.resin.name} ·{' '}
        <Link href={`/printers/${row.profile.id}`} className="underline">
          {row.profile.name}
        </Link>{' '}
        · <span className="num">{row.profile.layerMm} mm</span> layers
      </p>
      {run.startedAt === null && <Waiting view={view} />}
      {run.startedAt !== null && run.endedAt === null && <Printing view={view} />}
      {run.endedAt !== null && <Ended view={view} failedPiece={failedPiece} />}
    </div>
  );
}

/** Where to fix what is known not to be OK. */
function repairOf(key: string, { items, row }: RunView) {
  if (key === 'checked') return { href: `/jobs/${items[0].job.id}/check`, says: 'Check' };
  if (key === 'nothingInVat')
    return { href: `/printers/machine/${row.printer.id}/log#clearing-title`, says: 'Clear vat' };
  return key === 'resin' ? { href: `/printers/machine/${row.printer.id}`, says: 'Change' } : undefined;
}

function Waiting({ view }: { view: RunView }) {
  const { run, row, bed, items, forecast, gate, waiting, bottles, changes, fillMl } = view;
  const unread = items.flatMap(({ part, layers, job, wallMm }) =>
    layers !== undefined || part === undefined
      ? []
      : { key: part.key, source: part.source, name: job.name, wallMm },
  );
  const fileless = items.filter(({ part }) => part === undefined);
  return (
    <div className="grid gap-8 lg:grid-cols-2">
      <PlateDesk
        runId={run.id}
        bed={bed}
        items={items.map(({ attemptId, attemptNumber, job, pieces, sizeMm, wallMm }) => ({
          attemptId,
          jobId: job.id,
          name: job.name,
          attempt: attemptNumber,
          copies: pieces.length,
          wanted: job.quantity,
          sizeMm,
          wallMm,
        }))}
        pieces={shownPieces(view)}
        waiting={waiting}
      />
      <div className="space-y-6">
        {unread.length > 0 && <ReadLayers runId={run.id} parts={unread} layerMm={row.profile.layerMm} />}
        {fileless.map(({ job }) => (
          <p key={job.id}>
            {job.name} has no file: import one in{' '}
            <Link href={`/jobs/${job.id}/need`} className="underline">
              Need
            </Link>
            . Then its print time and resin use can be computed.
          </p>
        ))}
        {items.length === 0 && (
          <p className="text-soft">The plate is empty. Add a job, or delete the plate.</p>
        )}
        {forecast !== undefined && (
          <ForecastPanel
            run={run}
            forecast={forecast}
            printerId={row.printer.id}
            resin={row.resin.name}
            bottles={bottles}
            changes={changes}
            fillMl={fillMl}
            thermometerC={
              row.printer.simulatedSeed === null
                ? undefined
                : readSimulatedRoom(benchHouse().roomC ?? 21, new Date())
            }
          />
        )}
        {forecast !== undefined && (
          <Suspense>
            <CouponFirst items={items} profileId={row.profile.id} forecast={forecast} />
          </Suspense>
        )}
        {gate !== undefined && (
          <ChecklistPanel
            runId={run.id}
            isSimulated={row.printer.simulatedSeed !== null}
            questions={gate.map(({ key, text, state, isKnownBad, answer }) => ({
              key,
              title: checklistQuestion(key).name,
              text,
              caution: checklistQuestion(key).caution,
              mend: isKnownBad ? repairOf(key, view) : undefined,
              state,
              isKnownBad,
              isAnswered: answer !== undefined,
              reason: answer?.reason ?? '',
            }))}
          />
        )}
      </div>
    </div>
  );
}

function Printing({ view }: { view: RunView }) {
  const { run, row, bed, bottles } = view;
  const print = runningPrint(bench().db, view);
  return (
    <div className="grid gap-8 lg:grid-cols-2">
      {print !== undefined && (
        <RunningDesk
          runId={run.id}
          title={titleOf(view)}
          print={print}
          startedAt={run.startedAt!.getTime()}
          // The page is rendered at each request: its clock is that of the answer.
          // eslint-disable-next-line react-hooks/purity
          serverNow={Date.now()}
          speed={run.plan?.speed ?? 1}
          isHeard={row.printer.simulatedSeed !== null}
          printerId={row.printer.id}
          bottles={bottles}
          bottleId={run.bottleId ?? undefined}
        />
      )}
      <section aria-label="Plate">
        <PlateDrawing bed={bed} pieces={shownPieces(view)} />
      </section>
    </div>
  );
}

interface EndedProps {
  readonly view: RunView;
  /** The piece that somebody came to note as failed; NaN: none. */
  readonly failedPiece: number;
}

function Ended({ view, failedPiece }: EndedProps) {
  const { run, items, weighing } = view;
  const { outcome, startedAt, endedAt, plan, stoppedLayer, endReason, isTimed, isClockChanged } = run;
  const hours = ((endedAt!.getTime() - startedAt!.getTime()) / 3_600_000) * (plan?.speed ?? 1);
  return (
    <div className="grid gap-8 lg:grid-cols-2">
      <section aria-labelledby="ended-title">
        <h2 id="ended-title" className="text-lg">
          {outcome === 'done'
            ? 'Removed from the printer'
            : `Stopped${stoppedLayer === null ? '' : ` at layer ${stoppedLayer}`}`}
        </h2>
        <p>
          {endReason !== '' && `${endReason}. `}
          {isTimed &&
            `Print time ${hours.toFixed(1)} h, planned ${((plan?.plannedS ?? 0) / 3600).toFixed(1)}.`}
          {isClockChanged &&
            'The clock was set back during the print, so the end and the print time are unknown.'}
          {!isTimed &&
            !isClockChanged &&
            'The time of the end is unknown, so this print time does not count for the pace of the printer.'}{' '}
          {!isClockChanged && (
            <span className="text-soft">
              Print ended {dayOf(endedAt!)}, {momentOn(endedAt!.getTime(), endedAt!.getTime())}.
            </span>
          )}
        </p>
        <ul className="mt-2 border-t border-hair">
          {items.flatMap(({ job, pieces }) =>
            pieces.map(({ id, print }) => (
              <li
                key={id}
                className="flex flex-wrap items-center justify-between gap-3 border-b border-hair py-2"
              >
                <span>
                  <strong>{job.name}</strong>{' '}
                  <span className="text-soft">{print === undefined ? 'nothing to use' : print.name}</span>
                </span>
                {print !== undefined && (
                  <Link href={`/jobs/${job.id}/run?print=${print.id}`} className={buttonLook('plain')}>
                    Continue to post-processing
                    <span className="sr-only">
                      : {job.name} {print.name}
                    </span>
                  </Link>
                )}
              </li>
            )),
          )}
        </ul>
        {outcome === 'stopped' && <AfterStop jobId={items[0]?.job.id} />}
        <h3 className="mt-5 font-semibold">Weigh supports and parts</h3>
        <p className="text-sm text-soft">
          {weighing === undefined
            ? 'Your support weights then replace the estimate for the next print.'
            : `Supports ${weighing.supports}, parts ${weighing.parts} ${weighing.unit}. If you weigh again, the new weights replace these.`}
        </p>
        <WeighForm runId={run.id} scale={weighOnSimulatedScale(bench().db, view)} />
      </section>
      <LogOf view={view} pieces={shownPieces(view)} failedPiece={failedPiece} />
    </div>
  );
}

/** What shop practice does with a part that failed in one place: print it again, or patch it first. */
function AfterStop({ jobId }: { jobId: number | undefined }) {
  if (jobId === undefined) return null;
  const again = (
    <Link href={`/jobs/${jobId}/run`} className={buttonLook('plain')}>
      Plan again
    </Link>
  );
  if (benchHouse().schools.failedPart === 'reprint') return <p className="mt-3">{again}</p>;
  return (
    <div className="mt-3">
      <p>
        Shop setting: patch first. Wash the pieces, join them with a drop of the same resin and a lamp, and
        cure the whole part. A patched place does not have the right size or strength: measure it before use.
      </p>
      <Caution>
        Keep uncured resin off your skin and the light of a hand lamp out of your eyes: wear gloves and
        UV-blocking glasses.
      </Caution>
      <p className="mt-1">{again}</p>
    </div>
  );
}
