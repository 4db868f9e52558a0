'use client';

import { DndContext, type DragEndEvent, useDraggable } from '@dnd-kit/core';
import { Fragment, type RefObject, useRef } from 'react';
import type { DayStep } from '@/core/print';
import type { DayThing, DayView } from '@/subjects/print/day';
import { nameDayStep } from '@/subjects/print/day/shared';
import { useDragSensors } from '@/ui';
import type { PlannedDay } from '@/workers';
import { type Axis, axisOf, hoursOf } from './axis';
import { momentIn } from './time-words';

interface RailProps {
  readonly view: DayView;
  readonly planned: PlannedDay;
  readonly now: number;
  readonly onStart: (runId: number, at: number) => void;
}

/** A stretch that is drawn in a row. */
interface Bar {
  readonly key: string;
  readonly thing: DayThing;
  readonly step: string;
  readonly fromMin: number;
  readonly toMin: number;
  /** Until when it may last in nine of ten. */
  readonly lateMin?: number;
  readonly tone: number;
}

const PERSON = 'Person';
const RESTING = 'Drying, cooling';
/** Width of an hour on a narrow screen, px; dragging is by whole steps of this many minutes. */
const HOUR_PX = 56;
const STEP_MIN = 5;
const MOST_DRAWN_MIN = 24 * 60;

/** Rows that a day takes up, known before it is planned: stations in their order, what rests, the person. */
function rowNamesOf({ day, stations }: DayView): string[] {
  const steps = day.jobs.flatMap((job) => job.steps);
  return [
    ...stations.filter((name) => steps.some(({ station }) => station === name)),
    ...(steps.some(({ station, attended }) => station === undefined && attended !== true) ? [RESTING] : []),
    PERSON,
  ];
}

/** Bars of each row. */
function rowsOf({ view, planned }: Pick<RailProps, 'view' | 'planned'>): [string, Bar[]][] {
  const rows = new Map<string, Bar[]>(rowNamesOf(view).map((name) => [name, []]));
  const stepOf = (job: string, step: string): DayStep =>
    view.day.jobs.find(({ id }) => id === job)!.steps.find(({ id }) => id === step)!;
  for (const { job, step, startMin, endMin } of planned.plan.steps) {
    const tone = view.things.findIndex(({ id }) => id === job);
    const thing = view.things[tone];
    const { station, attended, attendStartMin = 0, attendEndMin = 0 } = stepOf(job, step);
    const bar = { key: `${job} ${step}`, thing, step, fromMin: startMin, toMin: endMin, tone };
    const late = step === 'print' && thing.ends !== undefined ? startMin + thing.ends.lateMin : undefined;
    if (station !== undefined) rows.get(station)?.push({ ...bar, lateMin: late });
    else if (attended !== true) rows.get(RESTING)!.push(bar);
    if (attended === true) rows.get(PERSON)!.push(bar);
    else {
      if (attendStartMin > 0)
        rows.get(PERSON)!.push({ ...bar, key: `${bar.key} in`, toMin: startMin + attendStartMin });
      if (attendEndMin > 0)
        rows.get(PERSON)!.push({ ...bar, key: `${bar.key} out`, fromMin: endMin - attendEndMin });
    }
  }
  return [...rows];
}

const TONES = ['bg-juniper', 'bg-teal', 'bg-plum', 'bg-soft'];

/** Hours across, a row a station and one for the person; presence behind, now as a line, what is an interval hatched. */
export function Rail({ view, planned, now, onStart }: RailProps) {
  const frame = useRef<HTMLUListElement>(null);
  const axis = axisOf(view, planned);
  const share = (minute: number) => `${100 * axis.shareOf(minute)}%`;
  const shareOfPx = () => 1 / (frame.current?.clientWidth ?? 1000);
  const sensors = useDragSensors((code) => {
    const by = { ArrowLeft: -1, ArrowRight: 1 }[code];
    return by === undefined ? undefined : [(by * STEP_MIN) / axis.drawn / shareOfPx(), 0];
  });
  const drop = ({ active, delta }: DragEndEvent) => {
    const bar = (active.data.current as { bar: Bar } | undefined)?.bar;
    if (bar?.thing.runId === undefined || delta.x === 0) return;
    const wanted = axis.minuteAt(axis.shareOf(bar.fromMin) + delta.x * shareOfPx());
    const minute = Math.max(0, Math.round(wanted / STEP_MIN) * STEP_MIN);
    onStart(bar.thing.runId, view.zero + 60_000 * minute);
  };
  return (
    <DndContext id="rail" sensors={sensors} onDragEnd={drop}>
      <div className="mt-2 overflow-x-auto" tabIndex={0} role="region" aria-label="Schedule by hour">
        <div
          className="grid grid-cols-[7rem_1fr]"
          style={{ minWidth: 112 + (HOUR_PX * Math.min(axis.drawn, MOST_DRAWN_MIN)) / 60 }}
        >
          <span />
          <div className="relative h-6 text-xs text-soft" aria-hidden>
            {hoursOf(view, axis).map((minute) => (
              <span key={minute} className="num absolute -translate-x-1/2" style={{ left: share(minute) }}>
                {momentIn(view.zero, minute)}
              </span>
            ))}
          </div>
          {rowsOf({ view, planned }).map(([name, bars], i) => (
            <Row
              key={name}
              name={name}
              cuts={axis.cuts}
              bars={bars}
              view={view}
              share={share}
              frame={i === 0 ? frame : undefined}
              now={now}
            />
          ))}
        </div>
      </div>
    </DndContext>
  );
}

/** The rows of a day that is still being planned, so that nothing below moves when its bars come. */
export function EmptyRail({ view }: { view: DayView }) {
  return (
    <div className="mt-2 grid grid-cols-[7rem_1fr]" aria-hidden>
      <span />
      <div className="h-6" />
      {rowNamesOf(view).map((name) => (
        <Fragment key={name}>
          <RowName name={name} />
          <span className="h-9 border-t border-hair bg-wash" />
        </Fragment>
      ))}
    </div>
  );
}

function RowName({ name }: { name: string }) {
  return <span className="border-t border-hair py-1 pr-2 text-sm first-letter:uppercase">{name}</span>;
}

interface RowProps {
  readonly name: string;
  readonly bars: readonly Bar[];
  readonly cuts: Axis['cuts'];
  readonly view: DayView;
  readonly share: (minute: number) => string;
  readonly frame?: RefObject<HTMLUListElement | null>;
  readonly now: number;
}

function Row({ name, bars, cuts, view, share, frame, now }: RowProps) {
  const nowMin = (now - view.zero) / 60_000;
  return (
    <>
      <RowName name={name} />
      <ul ref={frame} className="relative h-9 border-t border-hair bg-wash" aria-label={name}>
        {view.day.presence.map(([from, to]) => (
          <li
            key={from}
            aria-hidden
            className="absolute inset-y-0 bg-sheet"
            style={{ left: share(from), width: `calc(${share(to)} - ${share(from)})` }}
          />
        ))}
        {cuts.map(([from, to]) => (
          <li
            key={`cut ${from}`}
            aria-hidden
            className="absolute inset-y-0 border-x border-dashed border-edge"
            style={{ left: share(from), width: `calc(${share(to)} - ${share(from)})` }}
          />
        ))}
        {bars.map((bar) => (
          <DrawnBar
            key={bar.key}
            bar={bar}
            share={share}
            zero={view.zero}
            isMovable={bar.step === 'print' && bar.thing.runId !== undefined}
          />
        ))}
        <li aria-hidden className="absolute inset-y-0 w-0.5 bg-ink" style={{ left: share(nowMin) }} />
      </ul>
    </>
  );
}

function DrawnBar({
  bar,
  share,
  zero,
  isMovable,
}: {
  bar: Bar;
  share: RowProps['share'];
  zero: number;
  isMovable: boolean;
}) {
  const { key, thing, step, fromMin, toMin, lateMin, tone } = bar;
  const { attributes, listeners, setNodeRef, transform } = useDraggable({
    id: key,
    disabled: !isMovable,
    data: { bar },
  });
  const says = `${nameDayStep(step)}, ${thing.title}, ${momentIn(zero, fromMin)} to ${momentIn(zero, toMin)}${lateMin === undefined ? '' : `, latest start ${momentIn(zero, lateMin)}`}${thing.plannedFor !== undefined && step === 'print' ? ', start time set by you' : ''}`;
  const width = (from: number, to: number) => `calc(${share(to)} - ${share(from)})`;
  return (
    <li className="contents">
      {lateMin !== undefined && lateMin > toMin && (
        <span
          aria-hidden
          className="absolute inset-y-1.5 opacity-60 [background:repeating-linear-gradient(115deg,var(--juniper)_0_2px,transparent_2px_6px)]"
          style={{ left: share(toMin), width: width(toMin, lateMin) }}
        />
      )}
      <span
        ref={setNodeRef}
        {...(isMovable ? { ...attributes, ...listeners } : {})}
        role={isMovable ? 'button' : 'img'}
        aria-label={says}
        title={says}
        className={`@container absolute inset-y-1 min-w-1 overflow-hidden whitespace-nowrap border-r border-sheet px-0.5 text-xs leading-7 text-sheet ${TONES[Math.max(0, tone) % TONES.length]} ${
          isMovable ? 'z-10 cursor-grab touch-none border-l-4 border-ink' : ''
        }`}
        style={{
          left: share(fromMin),
          width: width(fromMin, toMin),
          transform: transform === null ? undefined : `translateX(${transform.x}px)`,
        }}
      >
        {/* A name that is cut after two letters says nothing. */}
        <span aria-hidden className="hidden truncate @min-[2.4rem]:block">
          {step === 'print' ? thing.title : nameDayStep(step)}
        </span>
      </span>
    </li>
  );
}
