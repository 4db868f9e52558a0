import { useEffect, useRef, useState } from 'react';
import type { DayIssue } from '@/core/print';
import type { DayView } from '@/subjects/print/day';
import { type AskedDay, DayWorker, type PlannedDay, Stopped } from '@/workers';

/** A day as last scheduled: it stays while the next one is computed. */
export interface DayState {
  readonly planned?: PlannedDay;
  readonly issue?: DayIssue;
  /** How far the planning is, 0 to 1; undefined: it is done. */
  readonly share?: number;
  readonly problem: string;
  /** Ends the planning; what was planned before stays. */
  readonly stop: () => void;
}

/** Schedules a day off the page's thread, again whenever it changes. */
export function useDay({ day, late, things }: DayView): DayState {
  const [state, setState] = useState<Omit<DayState, 'stop'>>({ problem: '', share: 0 });
  const worker = useRef<DayWorker>(undefined);
  const set = things.filter(({ plannedFor }) => plannedFor !== undefined).map(({ id }) => id);
  const key = JSON.stringify({ day, late, set });
  useEffect(() => {
    const own = new DayWorker();
    worker.current = own;
    own
      .plan(JSON.parse(key) as AskedDay, (share) => setState((before) => ({ ...before, share })))
      .then(
        (answer) =>
          setState(answer.ok ? { planned: answer.value, problem: '' } : { issue: answer.issue, problem: '' }),
        (error: Error) =>
          setState((before) => ({
            ...before,
            share: undefined,
            problem: error instanceof Stopped ? '' : 'The schedule could not be computed. Reload the page.',
          })),
      )
      .finally(() => own.stop());
    return () => own.stop();
  }, [key]);
  return { ...state, stop: () => worker.current?.stop() };
}
