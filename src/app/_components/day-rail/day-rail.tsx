'use client';

import { planStart } from '@/app/runs/actions';
import { useTap } from '@/app/_components/use-tap';
import { useServerClock } from '@/app/_components/use-countdown';
import type { DayView } from '@/subjects/print/day';
import { describeNoDay } from '@/subjects/print/day/shared';
import { Button, Link, Problem } from '@/ui';
import { DayTable } from './day-table';
import { EmptyRail, Rail } from './rail';
import { momentIn, spanOf } from './time-words';
import { useDay } from './use-day';

interface DayRailProps {
  readonly view: DayView;
  readonly serverNow: number;
}

/** Setting a start time and undoing it; the cost is shown when the day is scheduled again. */
function useStarts() {
  const { problem, isBusy, tap } = useTap();
  const set = (runId: number, at: number | null) => tap((key) => planStart(key, runId, at));
  return { problem, isBusy, set };
}

/** The day as a rail of hours: stations, the person, what is sure and what is an interval; the same as a table. */
export function DayRail({ view, serverNow }: DayRailProps) {
  const now = useServerClock(serverNow);
  const { planned, issue, share, problem, stop } = useDay(view);
  const starts = useStarts();
  const titleOf = (id: string) => view.things.find((thing) => thing.id === id)?.title ?? id;
  if (view.things.length === 0 && view.unread.length === 0) return null;
  return (
    <section className="mt-6" aria-labelledby="day-title">
      <div className="flex min-h-12 items-end justify-between gap-3 border-b border-ink pb-1">
        <h2 id="day-title" className="text-lg">
          Schedule
        </h2>
        {share !== undefined && (
          <p role="status" className="flex min-w-0 items-center gap-3 text-sm text-soft">
            <span className="whitespace-nowrap">Planning …</span>
            <progress
              value={share}
              className="w-full max-w-40 min-w-0"
              aria-label="Share of the plans tried"
            />
            <Button onClick={stop}>Stop</Button>
          </p>
        )}
      </div>
      {starts.problem !== '' && <Problem>{starts.problem}</Problem>}
      {problem !== '' && <Problem>{problem}</Problem>}
      {issue !== undefined && <Problem>{describeNoDay(issue, titleOf)}</Problem>}
      {planned === undefined && share !== undefined && (
        <>
          <EmptyRail view={view} />
          <div className="mt-2 h-12" aria-hidden />
        </>
      )}
      {planned !== undefined && (
        <>
          <Rail view={view} planned={planned} now={now} onStart={starts.set} />
          <Words view={view} planned={planned} />
          <details className="mt-2">
            <summary className="text-sm underline">Show as table; set start times</summary>
            <DayTable view={view} planned={planned} onStart={starts.set} isBusy={starts.isBusy} />
          </details>
        </>
      )}
      {view.unread.map(({ runId, title }) => (
        <p key={runId} className="mt-1 text-sm">
          <Link href={`/runs/${runId}`} className="font-semibold underline">
            {title}
          </Link>
          : the print time is not known yet. Open its plate once to read the layers.
        </p>
      ))}
    </section>
  );
}

/** What the plan says: promises that are kept or not, starts that somebody set, ends at night. */
function Words({
  view,
  planned,
}: {
  view: DayView;
  planned: NonNullable<ReturnType<typeof useDay>['planned']>;
}) {
  const { plan, free, latest } = planned;
  const at = (minute: number) => momentIn(view.zero, minute);
  const isThere = (minute: number) => view.day.presence.some(([from, to]) => minute >= from && minute <= to);
  const lines = view.day.jobs.flatMap(({ id, dueMin }) => {
    const thing = view.things.find((each) => each.id === id)!;
    const own = plan.steps.filter(({ job }) => job === id);
    const end = own.at(-1)!.endMin;
    const print = own.find(({ step }) => step === 'print');
    const says: string[] = [];
    if (thing.dueAt !== undefined) {
      const start = latest[id];
      if (end > dueMin)
        says.push(
          `late by ${spanOf(end - dueMin)}: promised for ${at(dueMin)}, planned to finish ${at(end)}. ${dueMin < 0 ? 'The promised time has passed.' : 'To finish earlier, use another printer, fewer copies, a thicker layer, or longer working hours in Settings.'}`,
        );
      else if (start !== undefined && thing.runId !== undefined)
        says.push(`promised for ${at(dueMin)}: start by ${at(start)} to keep it in 9 of 10.`);
    }
    if (print !== undefined && thing.runId !== undefined && !isThere(print.endMin))
      says.push(
        `ends ${at(print.endMin)}, when nobody is present; removed from the printer ${at(own.find(({ step }) => step === 'off')!.startMin)}. If it should not run unattended, set its start to the morning.`,
      );
    return says.map((text) => ({ id, thing, text }));
  });
  const cost = free === undefined ? undefined : plan.worth.finishMin - free.worth.finishMin;
  const lateCost = free === undefined ? 0 : plan.worth.tardinessMin - free.worth.tardinessMin;
  return (
    <ul className="mt-2 text-sm">
      {cost !== undefined && (
        <li>
          {cost <= 0 && lateCost <= 0
            ? 'The start times you set cause no delay.'
            : `The start times you set delay the end by ${spanOf(Math.max(0, cost))}${lateCost > 0 ? ` and add ${spanOf(lateCost)} of lateness` : ''}.`}
        </li>
      )}
      {lines.map(({ id, thing, text }) => (
        <li key={`${id} ${text}`}>
          <Link href={thing.href} className="font-semibold hover:underline">
            {thing.title}
          </Link>
          : {text}
        </li>
      ))}
      <li className="text-soft">
        All finished at {at(plan.worth.finishMin)}
        {plan.exact
          ? '. No schedule is better.'
          : `. No schedule can end before ${at(plan.bound.finishMin)}${plan.worth.tardinessMin > 0 ? ` or with less than ${spanOf(plan.bound.tardinessMin)} of lateness` : ''}.`}
      </li>
    </ul>
  );
}
