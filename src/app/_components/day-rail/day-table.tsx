'use client';

import { useState } from 'react';
import type { DayView } from '@/subjects/print/day';
import { nameDayStep } from '@/subjects/print/day/shared';
import { Button } from '@/ui';
import type { PlannedDay } from '@/workers';
import { momentIn } from './time-words';

interface DayTableProps {
  readonly view: DayView;
  readonly planned: PlannedDay;
  readonly onStart: (runId: number, at: number | null) => void;
  readonly isBusy: boolean;
}

/** A moment as the field for times takes it, by the clock on the wall. */
function localOf(ms: number): string {
  const at = new Date(ms - new Date(ms).getTimezoneOffset() * 60_000);
  return at.toISOString().slice(0, 16);
}

/** The steps of a day in their order, and the starts of plates as times to be typed. */
export function DayTable({ view, planned, onStart, isBusy }: DayTableProps) {
  const at = (minute: number) => momentIn(view.zero, minute);
  const titleOf = (job: string) => view.things.find(({ id }) => id === job)!.title;
  const stationOf = (job: string, step: string) =>
    view.day.jobs.find(({ id }) => id === job)!.steps.find(({ id }) => id === step)!.station ?? '';
  const startOf = (job: string) =>
    planned.plan.steps.find((each) => each.job === job && each.step === 'print')?.startMin ?? 0;
  return (
    <>
      {view.things.map(({ id, title, runId, plannedFor }) =>
        runId === undefined ? null : (
          <StartField
            key={`${id} ${startOf(id)}`}
            title={title}
            startAt={view.zero + 60_000 * startOf(id)}
            isSet={plannedFor !== undefined}
            isBusy={isBusy}
            onStart={(at) => onStart(runId, at)}
          />
        ),
      )}
      <div className="overflow-x-auto">
        <table className="mt-2 w-full text-sm">
          <thead>
            <tr className="text-left text-soft">
              <th className="pr-3 font-normal">Start</th>
              <th className="pr-3 font-normal">End</th>
              <th className="pr-3 font-normal">Step</th>
              <th className="pr-3 font-normal">Job</th>
              <th className="font-normal">Station</th>
            </tr>
          </thead>
          <tbody>
            {planned.plan.steps.map(({ job, step, startMin, endMin }) => (
              <tr key={`${job} ${step}`} className="border-t border-hair">
                <td className="num pr-3">{at(startMin)}</td>
                <td className="num pr-3">{at(endMin)}</td>
                <td className="pr-3">{nameDayStep(step)}</td>
                <td className="pr-3">{titleOf(job)}</td>
                <td>{stationOf(job, step)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </>
  );
}

interface StartFieldProps {
  readonly title: string;
  readonly startAt: number;
  readonly isSet: boolean;
  readonly isBusy: boolean;
  readonly onStart: (at: number | null) => void;
}

function StartField({ title, startAt, isSet, isBusy, onStart }: StartFieldProps) {
  const [text, setText] = useState(localOf(startAt));
  return (
    <form
      className="mt-2 flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        const at = new Date(text).getTime();
        if (Number.isFinite(at)) onStart(at);
      }}
    >
      <label className="text-sm text-soft">
        Start time of {title}
        <input
          type="datetime-local"
          value={text}
          onChange={(event) => setText(event.target.value)}
          className="num mt-1 block min-h-10.5 rounded-[4px] border border-edge bg-sheet px-2 text-ink"
        />
      </label>
      <Button type="submit" disabled={isBusy}>
        Set start time
      </Button>
      {isSet && (
        <Button disabled={isBusy} onClick={() => onStart(null)}>
          Plan automatically
        </Button>
      )}
    </form>
  );
}
