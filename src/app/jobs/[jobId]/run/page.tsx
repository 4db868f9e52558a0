import { describeCardReason, describeCardStep, processStepOf } from '@/core/resin';
import { connection } from 'next/server';
import { newestPrints } from '@/app/_components/print-choice';
import { loadJob } from '@/app/_components/load-job';
import { idFrom } from '@/app/_components/read-params';
import { bench, benchHouse } from '@/subjects/workshop/settings';
import { viewCheck } from '@/subjects/part';
import { type JobView, partOfJob } from '@/subjects/job/jobs';
import { adviseCopies, findRunOf, listOpenRuns, viewWays } from '@/subjects/print/plate';
import { type Chain, listBeside, viewChain } from '@/subjects/print/postprocess';
import { buttonLook, Link } from '@/ui';
import { ChainBench, type ShownLink } from './_components/chain-bench';
import { LayForm } from './_components/lay-form';
import { WaysDesk } from './_components/ways-desk';

interface RunPageProps {
  readonly params: Promise<{ jobId: string }>;
  readonly searchParams: Promise<{ print?: string | string[] }>;
}

/** Run: from the plate to the caliper, step by step with its timers. */
export default async function RunPage({ params, searchParams }: RunPageProps) {
  await connection();
  const jobId = idFrom((await params).jobId);
  const view = await loadJob(jobId);
  const attempt = view.attempts.at(-1);
  const wanted = Number((await searchParams).print);
  const print = attempt?.prints.find(({ id }) => id === wanted) ?? attempt?.prints.at(-1);
  if (attempt === undefined || print === undefined) return <NotPrinted view={view} />;
  if (print.id !== wanted && wasRead(view, print.id)) return <AfterReading view={view} attempt={attempt} />;
  const chain = viewChain(bench().db, view, print.id, benchHouse());
  if (chain === undefined) return <NotPrinted view={view} />;
  return (
    <>
      <ChainBench
        key={print.id}
        jobId={jobId}
        jobName={view.job.name}
        prints={newestPrints(attempt.prints, print.id)}
        printId={print.id}
        printName={print.name}
        beside={listBeside(bench().db, print.id)}
        links={chain.links.map(shownLink)}
        state={chain.state}
        warmUntil={chain.warmUntil?.getTime()}
        hasStations={typeof view.profile?.printer.simulatedSeed === 'number'}
        // The page is rendered at each request: its clock is that of the answer.
        // eslint-disable-next-line react-hooks/purity
        serverNow={Date.now()}
      />
      <PlanAgain view={view} attemptId={attempt.id} />
    </>
  );
}

/** The newest print was measured already, its steps tapped or not: what comes next stands first. */
function wasRead({ current }: JobView, printId: number): boolean {
  return current?.printId === printId && current.features.some(({ readings }) => readings.length > 0);
}

/** What was printed is measured: the next print, and the way back to the steps of the earlier ones. */
function AfterReading({ view, attempt }: { view: JobView; attempt: JobView['attempts'][number] }) {
  return (
    <div className="max-w-5xl">
      <h2 className="text-xl">Attempt {attempt.number} is printed and measured</h2>
      <p className="mt-1 text-sm text-soft">
        Post-processing:{' '}
        {newestPrints(attempt.prints).map(({ id, name }, i) => (
          <span key={id}>
            {i > 0 && ', '}
            <Link href={`/jobs/${view.job.id}/run?print=${id}`} className="underline">
              print {name}
            </Link>
          </span>
        ))}
      </p>
      <PlateOf view={view} attemptId={attempt.id} />
      <WaysOf view={view} />
    </div>
  );
}

/** Another print of the same attempt: its plate, and which way. */
function PlanAgain({ view, attemptId }: { view: JobView; attemptId: number }) {
  return (
    <details className="mt-8 max-w-5xl">
      <summary className="font-semibold">Print again</summary>
      <PlateOf view={view} attemptId={attemptId} />
      <WaysOf view={view} />
    </details>
  );
}

function shownLink({ card, plannedS, done }: Chain['links'][number]): ShownLink {
  return {
    step: card.step,
    ...describeCardStep(card),
    reason: describeCardReason(card),
    caution: processStepOf(card.step).caution,
    plannedS,
    ...(card.step === 'cure' ? { turns: true, ceilingS: card.ceilingMin && 60 * card.ceilingMin } : {}),
    done: done && {
      id: done.id,
      startedAt: done.startedAt.getTime(),
      endedAt: done.endedAt?.getTime(),
      plannedS: done.plannedS ?? undefined,
      given: done.given,
    },
  };
}

function NotPrinted({ view }: { view: JobView }) {
  const last = view.attempts.at(-1);
  const noResin = view.profile === undefined;
  if (noResin || last === undefined)
    return (
      <div className="max-w-prose">
        <h2 className="text-xl">{noResin ? 'No printer and resin yet' : 'Nothing to print yet'}</h2>
        <p className="mt-2 text-soft">
          After you start an attempt, you plan its print here: plate, print time, resin and pre-print
          checklist. Then you post-process it, with a timer for each step.
        </p>
        <Link
          href={`/jobs/${view.job.id}/${noResin ? 'need' : 'correct'}`}
          className={`${buttonLook('large')} mt-4`}
        >
          {noResin ? 'Choose printer and resin' : 'Start first attempt'}
        </Link>
      </div>
    );
  return (
    <div className="max-w-5xl">
      <h2 className="text-xl">Attempt {last.number} is ready to print</h2>
      <PlateOf view={view} attemptId={last.id} />
      <WaysOf view={view} />
      <p className="mt-6 text-sm text-soft">
        Already printed without planning a plate here?{' '}
        <Link href={`/jobs/${view.job.id}/measure`} className="underline">
          Record print
        </Link>
        .
      </p>
    </div>
  );
}

const RUN_WORDS = {
  waiting: { says: 'It is on a plate that has not started.', go: 'Open plate' },
  printing: { says: 'It is printing.', go: 'Open print' },
  ended: { says: 'Its last print has ended.', go: 'Open last print' },
} as const;

/** Ways of printing it, where there is a file to read. */
function WaysOf({ view }: { view: JobView }) {
  const house = benchHouse();
  const { db } = bench();
  const part = partOfJob(view);
  const ways = viewWays(db, view, house);
  if (part === undefined || ways === undefined) return null;
  const { limits, stance = { kind: 'plate' as const }, critical } = viewCheck(db, view, house.check);
  return (
    <WaysDesk
      source={part.source}
      check={{ limits, stance, critical, seen: view.job.seenDirections }}
      view={ways}
      resin={view.profile!.resin.name}
      isHollowHouse={house.schools.solid === 'hollow'}
    />
  );
}

/** The plate that the attempt lies on, or laying it on one. */
function PlateOf({ view, attemptId }: { view: JobView; attemptId: number }) {
  const { db } = bench();
  const run = findRunOf(db, attemptId);
  const { job, profile, attempts } = view;
  const plates = listOpenRuns(db).filter(
    ({ state, profileId }) => state === 'waiting' && profileId === attempts.at(-1)?.profileId,
  );
  return (
    <>
      {run !== undefined && (
        <p className="mt-2">
          {RUN_WORDS[run.state].says}{' '}
          <Link href={`/runs/${run.id}`} className={`${buttonLook('large')} mt-2`}>
            {RUN_WORDS[run.state].go}
          </Link>
        </p>
      )}
      {(run === undefined || run.state === 'ended') && (
        <>
          <p className="mt-2">
            {profile!.resin.name} on {profile!.printer.name}. The plate page shows print time, resin and
            top-ups, and has the pre-print checklist.
          </p>
          <LayForm
            jobId={job.id}
            advice={adviseCopies(db, view, benchHouse())}
            isHollowHouse={benchHouse().schools.solid === 'hollow'}
            plates={plates.map(({ id, things }) => ({ id, things }))}
          />
        </>
      )}
    </>
  );
}
