import { connection } from 'next/server';
import { CAUTIONS } from '@/app/_components/card-steps';
import { loadJob } from '@/app/_components/load-job';
import { idFrom } from '@/app/_components/read-params';
import { ASSUMED_LAYER_S } from '@/core/run';
import { bench, benchHouse } from '@/subjects/house';
import { type JobView, partOfJob } from '@/subjects/job';
import { describeCardReason, describeCardStep } from '@/subjects/resin/shared';
import { type Chain, viewChain } from '@/subjects/run';
import { buttonLook, Link } from '@/ui';
import { ChainBench, type ShownLink } from './_components/chain-bench';
import { Forecast } from './_components/forecast';

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
  const chain = viewChain(bench().db, view, print.id, benchHouse());
  if (chain === undefined) return <NotPrinted view={view} />;
  return (
    <ChainBench
      key={print.id}
      jobId={jobId}
      jobName={view.job.name}
      prints={attempt.prints.map(({ id, name }) => ({ id, name }))}
      printId={print.id}
      printName={print.name}
      links={chain.links.map(shownLink)}
      state={chain.state}
      warmUntil={chain.warmUntil?.getTime()}
      // The page is made anew at each request: its clock is that of the answer.
      // eslint-disable-next-line react-hooks/purity
      serverNow={Date.now()}
    />
  );
}

function shownLink({ card, plannedS, done }: Chain['links'][number]): ShownLink {
  return {
    step: card.step,
    ...describeCardStep(card),
    reason: describeCardReason(card),
    caution: CAUTIONS[card.step],
    plannedS,
    done: done && {
      id: done.id,
      startedAt: done.startedAt.getTime(),
      endedAt: done.endedAt?.getTime(),
      plannedS: done.plannedS ?? undefined,
      given: done.given,
    },
  };
}

/** Hours and resin of the part that waits for its print, where there is a file to read. */
function ForecastOf({ view }: { view: JobView }) {
  const part = partOfJob(view);
  if (part === undefined || view.profile === undefined) return null;
  const { printer, profile, resin } = view.profile;
  const { stance } = view.job;
  return (
    <Forecast
      source={part.source}
      layerMm={profile.layerMm}
      layerS={printer.layerSeconds ?? ASSUMED_LAYER_S}
      isTimed={printer.layerSeconds !== null}
      liftMm={stance?.kind === 'supports' ? stance.liftMm : 0}
      hasSupports={stance?.kind === 'supports'}
      printerId={printer.id}
      resin={resin.name}
    />
  );
}

function NotPrinted({ view }: { view: JobView }) {
  const last = view.attempts.at(-1);
  const waits = last !== undefined && last.prints.length === 0;
  const noResin = view.profile === undefined;
  return (
    <div className="max-w-prose">
      <h2 className="text-xl">
        {noResin
          ? 'No printer and resin yet'
          : waits
            ? `Attempt ${last.number} waits for its print`
            : 'Nothing to print yet'}
      </h2>
      <p className="mt-2 text-soft">
        When it is off the plate, its way to the caliper stands here: wash, dry, supports, cure and cooling,
        each with its timer, by the card of this resin and the ways of this house.
      </p>
      <Link
        href={`/jobs/${view.job.id}/${noResin ? 'need' : waits ? 'measure' : 'correct'}`}
        className={`${buttonLook('large')} mt-4`}
      >
        {noResin ? 'Choose them' : waits ? 'On to its print' : 'Draw the first attempt'}
      </Link>
      {waits && <ForecastOf view={view} />}
    </div>
  );
}
