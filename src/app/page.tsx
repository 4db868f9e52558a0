import { processStepOf } from '@/core/resin';
import { listAnd } from '@/core/kit/wording';
import { connection } from 'next/server';
import { viewDay } from '@/subjects/print/day';
import { bench, benchHouse, today } from '@/subjects/workshop/settings';
import { describeOutcome } from '@/subjects/kit/shared';
import { listDueMaintenance, listStockLeft } from '@/subjects/log';
import { maintenanceOf } from '@/core/log';
import { describeStock } from '@/subjects/log/shared';
import { glanceSteps, type JobGlance } from '@/subjects/job/overview';
import { listControlAlarms } from '@/subjects/signature';
import { describeAlarm } from '@/subjects/signature/shared';
import { listCreepChecks, listShort } from '@/subjects/resin/shelf';
import { listTimers } from '@/subjects/print/postprocess';
import { buttonLook, Link } from '@/ui';
import { inTurns } from './api/in-turns';
import { DayRail } from './_components/day-rail/day-rail';
import { JobFilter, type JobFilterWords } from './_components/job-filter';
import { describeSince, JobList, NEXT, processOf } from './_components/job-list';
import { NewJobForm } from './_components/new-job-form';
import { TimersPanel } from './_components/timers-panel';

type Search = Readonly<Record<string, string | string[] | undefined>>;

/** So many jobs stand on a page, and from so many on they can be filtered. */
const PAGE = 25;
const FILTER_FROM = 8;

const wordOf = (value: string | string[] | undefined) => (typeof value === 'string' ? value.trim() : '');

function chosenIn(search: Search): JobFilterWords {
  const [name, step, printer, resin] = ['called', 'step', 'printer', 'resin'].map((key) =>
    wordOf(search[key]),
  );
  return { name, step, printer, resin };
}

function passes(glance: JobGlance, { name, step, printer, resin }: JobFilterWords): boolean {
  return (
    glance.name.toLowerCase().includes(name.toLowerCase()) &&
    (step === '' || glance.step === step) &&
    (printer === '' || glance.printer === printer) &&
    (resin === '' || glance.resin === resin)
  );
}

const namesOf = (values: readonly string[]) => [...new Set(values)].filter((value) => value !== '').sort();

/** Today: the jobs, where each stands, what waits longest and what to do next. */
export default async function TodayPage({ searchParams }: { searchParams: Promise<Search> }) {
  await connection();
  const search = await searchParams;
  const now = new Date();
  const glances = (await inTurns(glanceSteps(bench().db), { isStopped: () => false })) ?? [];
  const parts = glances.filter(({ kind }) => kind === 'part');
  const gauges = glances.filter(({ kind, done }) => kind === 'gauge' && !done);
  const chosen = chosenIn(search);
  const shown = parts.filter((glance) => passes(glance, chosen));
  const pages = Math.max(1, Math.ceil(shown.length / PAGE));
  const page = Math.min(pages, Math.max(1, Math.floor(Number(wordOf(search.page)) || 1)));
  const first = parts.find(({ done }) => !done);
  return (
    <div className="mx-auto max-w-5xl px-4 py-5 sm:px-6">
      <h1 className="text-3xl">{benchHouse().benchName}, today</h1>
      {parts.length === 0 && (
        <p className="mt-2 max-w-prose text-lg text-soft">
          No jobs yet. Create a job for one thing that must fit. You add its printer, resin and caliper as you
          go.
        </p>
      )}
      {first !== undefined && <FirstThing glance={first} now={now} />}
      <DayRail view={viewDay(bench().db, benchHouse(), now)} serverNow={now.getTime()} />
      <UnderWay now={now} />
      <Watch />
      {parts.length >= FILTER_FROM && (
        <JobFilter
          chosen={chosen}
          printers={namesOf(parts.map(({ printer }) => printer))}
          resins={namesOf(parts.map(({ resin }) => resin))}
        />
      )}
      {parts.length > 0 && (
        <JobList title="Jobs" glances={shown.slice((page - 1) * PAGE, page * PAGE)} now={now} />
      )}
      {parts.length > 0 && shown.length === 0 && (
        <p className="mt-2 text-soft">No job matches. Remove a filter above.</p>
      )}
      {pages > 1 && <Pages page={page} pages={pages} chosen={chosen} count={shown.length} />}
      <section className="mt-6" aria-label="New job">
        <NewJobForm isFirst={parts.length === 0} />
      </section>
      {gauges.length > 0 && <JobList title="Gauges in progress" glances={gauges} now={now} />}
      <p className="mt-8 text-sm text-soft">
        Find finished gauges in{' '}
        <Link href="/gauges" className="underline">
          Gauges
        </Link>{' '}
        and archived jobs in{' '}
        <Link href="/house" className="underline">
          Settings
        </Link>
        .
      </p>
    </div>
  );
}

/** Timers of all prints, if any run. */
function UnderWay({ now }: { now: Date }) {
  const timers = listTimers(bench().db);
  if (timers.length === 0) return null;
  const shown = timers.map(({ step, startedAt, endsAt, ...timer }) => ({
    ...timer,
    title: processStepOf(step).name,
    startedAt: startedAt.getTime(),
    endsAt: endsAt?.getTime(),
  }));
  return <TimersPanel timers={shown} serverNow={now.getTime()} />;
}

interface PagesProps {
  readonly page: number;
  readonly pages: number;
  readonly chosen: JobFilterWords;
  readonly count: number;
}

function Pages({ page, pages, chosen, count }: PagesProps) {
  const hrefOf = (wanted: number) => `/?${new URLSearchParams({ ...chosen, page: String(wanted) })}`;
  return (
    <nav aria-label="Job pages" className="mt-3 flex items-center gap-4">
      {page > 1 && (
        <Link href={hrefOf(page - 1)} className={buttonLook('plain')}>
          Before
        </Link>
      )}
      <span className="text-soft">
        page <span className="num">{page}</span> of <span className="num">{pages}</span>,{' '}
        <span className="num">{count}</span> jobs
      </span>
      {page < pages && (
        <Link href={hrefOf(page + 1)} className={buttonLook('plain')}>
          More
        </Link>
      )}
    </nav>
  );
}

/** The one next action, the largest thing on the screen. */
function FirstThing({ glance, now }: { glance: JobGlance; now: Date }) {
  const process = processOf(glance);
  return (
    <section
      aria-label="Next job"
      className="mt-4 flex flex-wrap items-center justify-between gap-4 bg-sheet px-5 py-5"
    >
      <div>
        <p className="text-soft">Waiting longest, {describeSince(glance.since, now)}</p>
        <p className="font-serif text-2xl font-semibold">{glance.name}</p>
        <p>
          {glance.attempt === 0 ? 'nothing drawn yet' : describeOutcome(glance.outcome)}
          {process !== '' && <span className="text-soft"> · {process}</span>}
        </p>
      </div>
      <Link href={`/jobs/${glance.id}/${glance.step}`} className={buttonLook('large')}>
        {NEXT[glance.step]}
      </Link>
    </section>
  );
}

/** What is about to go wrong or needs attention: invalid signatures, creep tests, resins that run low. */
function Watch() {
  const { db } = bench();
  const checks = listCreepChecks(db, today());
  const short = listShort(db);
  const alarms = listControlAlarms(db);
  const care = listDueMaintenance(db, new Date(), benchHouse());
  const stock = listStockLeft(db, new Date()).filter(({ isDue }) => isDue);
  if (checks.length + short.length + alarms.length + care.length + stock.length === 0) return null;
  return (
    <section className="mt-6" aria-label="Needs attention">
      <h2 className="border-b border-ink pb-1 text-lg">Needs attention</h2>
      <ul>
        {alarms.map((alarm) => (
          <li key={alarm.profileId} className="border-b border-hair py-2">
            <Link href={`/printers/${alarm.profileId}`} className="font-semibold hover:underline">
              {alarm.resin} on {alarm.printer}
            </Link>
            : {describeAlarm(alarm)}
          </li>
        ))}
        {care.map(({ printerId, printer, due }) => (
          <li key={printerId} className="border-b border-hair py-2">
            <Link
              href={`/printers/machine/${printerId}/log#care-title`}
              className="font-semibold hover:underline"
            >
              {printer}
            </Link>
            : {listAnd(due.map(({ kind }) => maintenanceOf(kind).title.toLowerCase()))}
          </li>
        ))}
        {stock.map((item) => (
          <li key={item.name} className="border-b border-hair py-2">
            <Link href="/shelf#stock-title" className="font-semibold hover:underline">
              {item.name}
            </Link>
            : {describeStock(item, item)}
          </li>
        ))}
        {checks.map(({ resinId, resin, under, dueOn, isDue }) => (
          <li key={`${resinId}-${dueOn}`} className="border-b border-hair py-2">
            <Link href={`/shelf/${resinId}`} className="font-semibold hover:underline">
              {resin}
            </Link>
            : measure the creep test again, {isDue ? <strong>due since {dueOn}</strong> : <>on {dueOn}</>} (
            {under})
          </li>
        ))}
        {short.map(({ id, name, leftMl }) => (
          <li key={id} className="border-b border-hair py-2">
            <Link href={`/shelf/${id}`} className="font-semibold hover:underline">
              {name}
            </Link>{' '}
            is running low: <span className="num">{Math.round(leftMl)}</span> ml left
          </li>
        ))}
      </ul>
    </section>
  );
}
