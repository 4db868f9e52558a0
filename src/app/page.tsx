import { connection } from 'next/server';
import { bench, benchHouse, today } from '@/subjects/house';
import { describeOutcome } from '@/subjects/language/shared';
import { glanceAtJobs, type JobGlance, type NextStep } from '@/subjects/overview';
import { listCreepChecks, listShort } from '@/subjects/resin';
import { buttonLook, Link } from '@/ui';
import { NewJobForm } from './_components/new-job-form';

const NEXT: Readonly<Record<NextStep, string>> = {
  need: 'Say what it must do',
  resin: 'Choose its resin',
  fit: 'Look at its fits',
  check: 'Look at its layers',
  measure: 'Measure',
  correct: 'Put it right',
  story: 'Read the story',
};

function progressOf({ attempt, read, of, kind, joints }: JobGlance): string {
  if (attempt === 0 && of === 0 && joints > 0)
    return `${joints} ${joints === 1 ? 'joint' : 'joints'} designed, nothing drawn yet`;
  if (attempt === 0) return `${of} ${of === 1 ? 'feature' : 'features'}, nothing drawn yet`;
  return kind === 'gauge'
    ? `${read} of ${of} found out`
    : `attempt ${attempt}, ${read} of ${of} features read`;
}

/** Today: the jobs, where each stands and what to do next. */
export default async function TodayPage() {
  await connection();
  const glances = glanceAtJobs(bench().db);
  const parts = glances.filter(({ kind }) => kind === 'part');
  const gauges = glances.filter(({ kind }) => kind === 'gauge');
  const waiting = parts.filter(({ step }) => step !== 'story');
  return (
    <div className="mx-auto max-w-5xl px-4 py-5 sm:px-6">
      <h1 className="text-3xl">{benchHouse().benchName}, today</h1>
      {parts.length === 0 && (
        <p className="mt-2 max-w-prose text-lg text-soft">
          Nothing is under way yet. Name one thing that must fit; its printer, resin and caliper are made on
          the way.
        </p>
      )}
      {waiting.length > 0 && <FirstThing glance={waiting[0]} />}
      <Watch />
      {parts.length > 0 && <JobList title="Jobs" glances={parts} />}
      <section className="mt-6" aria-label="A new job">
        <NewJobForm isFirst={parts.length === 0} />
      </section>
      {gauges.length > 0 && <JobList title="Gauges" glances={gauges} />}
      <p className="mt-8 text-sm text-soft">
        Put-away jobs are kept under{' '}
        <Link href="/house" className="underline">
          House
        </Link>
        .
      </p>
    </div>
  );
}

/** The one next action of the bench, the biggest thing on the screen. */
function FirstThing({ glance }: { glance: JobGlance }) {
  return (
    <section
      aria-label="Next"
      className="mt-4 flex flex-wrap items-center justify-between gap-4 bg-sheet px-5 py-5"
    >
      <div>
        <p className="text-soft">Next on the bench</p>
        <p className="font-serif text-2xl font-semibold">{glance.name}</p>
        <p>
          {describeOutcome(glance.outcome)}
          {glance.profile !== '' && <span className="text-soft"> · {glance.profile}</span>}
        </p>
      </div>
      <Link href={`/jobs/${glance.id}/${glance.step}`} className={buttonLook('large')}>
        {NEXT[glance.step]}
      </Link>
    </section>
  );
}

function JobList({ title, glances }: { title: string; glances: readonly JobGlance[] }) {
  return (
    <section className="mt-6" aria-label={title}>
      <h2 className="border-b border-ink pb-1 text-lg">{title}</h2>
      <ul>
        {glances.map((glance) => (
          <li
            key={glance.id}
            className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1 border-b border-hair py-2.5"
          >
            <div className="min-w-0">
              <Link
                href={`/jobs/${glance.id}/${glance.step}`}
                className="text-lg font-semibold hover:underline"
              >
                {glance.name}
              </Link>
              <p className="text-sm text-soft">
                {progressOf(glance)}
                {glance.profile !== '' && ` · ${glance.profile}`}
              </p>
            </div>
            {glance.kind === 'part' && glance.attempt > 0 && (
              <span className="text-sm">{describeOutcome(glance.outcome)}</span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What is about to go wrong or wants a second look: creep checks under way, resins that run short. */
function Watch() {
  const { db } = bench();
  const checks = listCreepChecks(db, today());
  const short = listShort(db);
  if (checks.length + short.length === 0) return null;
  return (
    <section className="mt-6" aria-label="To watch">
      <h2 className="border-b border-ink pb-1 text-lg">To watch</h2>
      <ul>
        {checks.map(({ resinId, resin, under, dueOn, isDue }) => (
          <li key={`${resinId}-${dueOn}`} className="border-b border-hair py-2">
            <Link href={`/shelf/${resinId}`} className="font-semibold hover:underline">
              {resin}
            </Link>
            : creep check under {under},{' '}
            {isDue ? <strong>read it again, due since {dueOn}</strong> : <>to be read again on {dueOn}</>}
          </li>
        ))}
        {short.map(({ id, name, leftMl }) => (
          <li key={id} className="border-b border-hair py-2">
            <Link href={`/shelf/${id}`} className="font-semibold hover:underline">
              {name}
            </Link>{' '}
            runs short: <span className="num">{Math.round(leftMl)}</span> ml left
          </li>
        ))}
      </ul>
    </section>
  );
}
