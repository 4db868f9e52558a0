import { useEffect, useRef, useState } from 'react';
import type { DayIssue } from '@/core/run';
import { type AskedDay, DayWorker, type PlannedDay, Stopped } from '@/workers';

/** A day as it was planned last: while it is planned anew the last one stays. */
export interface DayState {
  readonly planned?: PlannedDay;
  readonly issue?: DayIssue;
  /** How far the planning is, 0 to 1; undefined: it is done. */
  readonly share?: number;
  readonly problem: string;
  /** Ends the planning; what was planned before stays. */
  readonly stop: () => void;
}

/** Plans a day off the page's thread, anew whenever it is another one. */
export function useDay({ day, late }: AskedDay): DayState {
  const [state, setState] = useState<Omit<DayState, 'stop'>>({ problem: '', share: 0 });
  const worker = useRef<DayWorker>(undefined);
  const key = JSON.stringify([day, late]);
  useEffect(() => {
    const [asked, askedLate] = JSON.parse(key) as [AskedDay['day'], AskedDay['late']];
    const own = new DayWorker();
    worker.current = own;
    own
      .plan({ day: asked, late: askedLate }, (share) => setState((before) => ({ ...before, share })))
      .then(
        (answer) =>
          setState(answer.ok ? { planned: answer.value, problem: '' } : { issue: answer.issue, problem: '' }),
        (error: Error) =>
          setState((before) => ({
            ...before,
            share: undefined,
            problem:
              error instanceof Stopped ? '' : 'The day could not be planned here. Load the page again.',
          })),
      )
      .finally(() => own.stop());
    return () => own.stop();
  }, [key]);
  return { ...state, stop: () => worker.current?.stop() };
}
