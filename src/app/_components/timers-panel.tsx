'use client';

import { Link } from '@/ui';
import { describeClock, describeLeft, useServerClock } from './use-countdown';
import { useCall } from './use-call';

interface ShownTimer {
  readonly id: number;
  readonly jobId: number;
  readonly job: string;
  readonly print: string;
  readonly others: number;
  readonly title: string;
  readonly startedAt: number;
  readonly endsAt?: number;
}

interface TimersPanelProps {
  readonly timers: readonly ShownTimer[];
  readonly serverNow: number;
}

/** What is being washed, dried, cured or cooled, and for how long still; it calls when one is over. */
export function TimersPanel({ timers, serverNow }: TimersPanelProps) {
  const now = useServerClock(serverNow);
  useCall(
    timers.map(({ id, title, job, endsAt }) => ({ id, title: `${title}: ${job}`, endsAt })),
    now,
  );
  return (
    <section className="mt-6" aria-label="Running timers">
      <h2 className="border-b border-ink pb-1 text-lg">Running timers</h2>
      <ul>
        {timers.map(({ id, jobId, job, print, others, title, startedAt, endsAt }) => {
          const isOver = endsAt !== undefined && endsAt <= now;
          return (
            <li
              key={id}
              className="flex flex-wrap items-baseline justify-between gap-x-6 border-b border-hair py-2"
            >
              <span>
                <Link href={`/jobs/${jobId}/run`} className="font-semibold hover:underline">
                  {job}
                </Link>{' '}
                <span className="text-soft">
                  {print}
                  {others > 0 && ` and ${others} more from the same plate`}, {title.toLowerCase()}
                </span>
              </span>
              <span role="timer" className={`num ${isOver ? 'font-semibold text-plum' : ''}`}>
                {endsAt === undefined ? `for ${describeClock(now - startedAt)}` : describeLeft(endsAt - now)}
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
