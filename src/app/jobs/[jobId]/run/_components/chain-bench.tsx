'use client';

import { useState } from 'react';
import { v4 as uuid } from 'uuid';
import { CardReason } from '@/app/_components/card-steps';
import { CallNote } from '@/app/_components/call-note';
import { PrintChoice } from '@/app/_components/print-choice';
import { askToNotify, type CallingTimer, useCall } from '@/app/_components/use-call';
import { useTap } from '@/app/_components/use-tap';
import { describeClock, describeLeft, useServerClock } from '@/app/_components/use-countdown';
import type { PartState } from '@/core/measure';
import type { CardStep } from '@/core/resin';
import { stationOfStep } from '@/subjects/print/postprocess/shared';
import { Button, buttonLook, Caution, Link } from '@/ui';
import { describeGiven, openLid, STATE_WORDS, STATION_SPEED, useStation } from './use-station';
import { begin, end, takeBack } from '../actions';

/** A step of the chain as it is shown. */
export interface ShownLink {
  readonly step: CardStep['step'];
  readonly title: string;
  readonly text: string;
  readonly reason?: string;
  readonly caution?: string;
  readonly plannedS?: number;
  /** It is turned when half of its time is over. */
  readonly turns?: boolean;
  /** More than so much of it harms the part, s. */
  readonly ceilingS?: number;
  readonly done?: {
    readonly id: number;
    readonly startedAt: number;
    readonly endedAt?: number;
    readonly plannedS?: number;
    readonly given: string;
  };
}

interface ChainBenchProps {
  readonly jobId: number;
  readonly jobName: string;
  readonly prints: readonly { readonly id: number; readonly name: string }[];
  readonly printId: number;
  readonly printName: string;
  /** Prints of the same plate that are as far as this one. */
  readonly beside: readonly { readonly id: number; readonly name: string }[];
  readonly links: readonly ShownLink[];
  readonly state: PartState;
  readonly warmUntil?: number;
  /** The workshop has a simulated wash and lamp. */
  readonly hasStations: boolean;
  readonly serverNow: number;
}

/** Actions of the taps; a tap that did not reach the server says so and can be repeated. */
function useTaps(
  { jobId, printId }: Pick<ChainBenchProps, 'jobId' | 'printId'>,
  alsoPrintIds: readonly number[],
) {
  const { problem, isBusy, tap } = useTap();
  const wantedOf = ({ step, plannedS }: ShownLink, stationSpeed?: number) => ({
    clientKey: uuid(),
    printId,
    alsoPrintIds,
    step,
    plannedS,
    stationSpeed,
  });
  return {
    problem,
    isBusy,
    begin: (link: ShownLink, stationSpeed?: number) => {
      askToNotify();
      tap((key) => begin(key, jobId, wantedOf(link, stationSpeed)));
    },
    end: (stepId: number, given: string, next?: ShownLink) =>
      tap(async (key) => {
        const problem = await end(key, jobId, stepId, given);
        if (problem !== '' || next === undefined) return problem;
        return begin(`${key} next`, jobId, wantedOf(next));
      }),
    takeBack: (stepId: number) => tap((key) => takeBack(key, jobId, stepId)),
  };
}

/** When a step under way calls: half way where it is turned, at its end, and when more of it harms. */
function callsOf({ title, turns, ceilingS, done }: ShownLink, jobName: string): CallingTimer[] {
  const { id, startedAt, plannedS } = done!;
  const at = (seconds: number) => startedAt + 1000 * seconds;
  return [
    { id, title: `${title}: ${jobName}`, endsAt: plannedS === undefined ? undefined : at(plannedS) },
    ...(turns === true && plannedS !== undefined
      ? [{ id: `${id} turn`, title: `Turn it: ${jobName}`, endsAt: at(plannedS / 2) }]
      : []),
    ...(ceilingS === undefined
      ? []
      : [
          {
            id: `${id} ceiling`,
            title: `Take it out, longer curing yellows it: ${jobName}`,
            endsAt: at(ceilingS),
          },
        ]),
  ];
}

/** The chain of a print: one tap begins a step, one ends it; the first that is open stands large. */
export function ChainBench(props: ChainBenchProps) {
  const { jobId, jobName, prints, printId, printName, beside, links, state, warmUntil, serverNow } = props;
  const now = useServerClock(serverNow);
  const [isTogether, setTogether] = useState(true);
  const taps = useTaps(props, isTogether ? beside.map(({ id }) => id) : []);
  const running = links.filter(({ done }) => done !== undefined && done.endedAt === undefined);
  useCall(
    running.flatMap((link) => callsOf(link, jobName)),
    now,
  );
  const next = links.find(({ done }) => done === undefined);
  const isOpen = (link: ShownLink) =>
    running.length === 0 ? link === next : link.done !== undefined && link.done.endedAt === undefined;
  const isWarm = warmUntil !== undefined && warmUntil > now;
  return (
    <div className="max-w-3xl" data-fills-screen>
      <h2 className="text-xl">Post-processing</h2>
      <p className="mt-1 text-soft">
        print {printName} · {state}
        {isWarm && `, still warm: ${describeLeft(warmUntil - now)}`}
      </p>
      <div className="mt-2">
        <PrintChoice jobId={jobId} step="run" prints={prints} shownId={printId} />
      </div>
      {beside.length > 0 && (
        <label className="mt-2 flex min-h-10 items-center gap-2">
          <input
            type="checkbox"
            className="size-5"
            checked={isTogether}
            onChange={(event) => setTogether(event.target.checked)}
          />
          <span>
            Together with{' '}
            {beside.length === 1 ? beside[0].name : `the ${beside.length} other parts of its plate`}
          </span>
        </label>
      )}
      <CallNote isRunning={running.length > 0} />
      {taps.problem !== '' && (
        <p role="alert" className="mt-2 font-medium text-plum">
          {taps.problem}
        </p>
      )}
      <ol className="mt-3 border-t border-hair">
        {links.map((link) => (
          <li
            key={link.step}
            className={`border-b border-hair py-3 pr-4 ${isOpen(link) ? 'border-l-4 border-l-juniper bg-sheet pl-4' : 'pl-5'}`}
          >
            <Step
              link={link}
              isNext={link === next && running.length === 0}
              next={next}
              now={now}
              taps={taps}
              hasStations={props.hasStations}
            />
          </li>
        ))}
      </ol>
      {next === undefined && running.length === 0 && (
        <p className="mt-4">
          <Link href={`/jobs/${jobId}/measure?print=${printId}`} className={buttonLook('large')}>
            Go to Measure
          </Link>
        </p>
      )}
    </div>
  );
}

interface StepProps {
  readonly link: ShownLink;
  /** It is to be begun now. */
  readonly isNext: boolean;
  /** The first that nobody began yet. */
  readonly next: ShownLink | undefined;
  readonly now: number;
  readonly taps: ReturnType<typeof useTaps>;
  readonly hasStations: boolean;
}

function minutes(ms: number): string {
  return `${Math.max(1, Math.round(ms / 60_000))} min`;
}

function Step({ link, isNext, next, now, taps, hasStations }: StepProps) {
  const { title, text, reason, caution, plannedS, done } = link;
  const open = isNext || (done !== undefined && done.endedAt === undefined);
  return (
    <>
      <p>
        <strong>{title}</strong> <span>{text}</span>
      </p>
      {open && caution !== undefined && <Caution>{caution}</Caution>}
      {open && reason !== undefined && <CardReason title={title} reason={reason} />}
      {done === undefined && isNext && (
        <div className="mt-2 flex flex-wrap gap-3">
          <Button weight="large" disabled={taps.isBusy} onClick={() => taps.begin(link)}>
            {plannedS === undefined ? 'Start' : `Start, ${Math.round(plannedS / 60)} min`}
            <span className="sr-only"> {title}</span>
          </Button>
          {hasStations && plannedS !== undefined && stationOfStep(link.step) !== undefined && (
            <Button
              className="min-h-16"
              disabled={taps.isBusy}
              onClick={() => taps.begin(link, STATION_SPEED)}
            >
              In the simulated {stationOfStep(link.step)}, {STATION_SPEED} times as fast
            </Button>
          )}
        </div>
      )}
      {done !== undefined && done.endedAt === undefined && (
        <Running link={link} next={next} now={now} taps={taps} hasStations={hasStations} />
      )}
      {done?.endedAt !== undefined && (
        <p className="text-sm text-soft">
          finished in {minutes(done.endedAt - done.startedAt)}
          {done.given !== '' && `: ${done.given}`}{' '}
          <button type="button" className="underline" onClick={() => taps.takeBack(done.id)}>
            Undo<span className="sr-only">: {title}</span>
          </button>
        </p>
      )}
    </>
  );
}

/** A step under way: its time left, what was done otherwise, and its end. */
function Running({ link, next, now, taps, hasStations }: Omit<StepProps, 'isNext'>) {
  const { title, turns, ceilingS, done } = link;
  const { id, startedAt, plannedS } = done!;
  const report = useStation(hasStations ? stationOfStep(link.step) : undefined, id);
  const [typed, setGiven] = useState<string>();
  const given = typed ?? (report === undefined ? '' : describeGiven(report));
  const leftMs = plannedS === undefined ? undefined : startedAt + 1000 * plannedS - now;
  const isHalf = turns === true && leftMs !== undefined && leftMs > 0 && leftMs <= 500 * plannedS!;
  const isTooLong = ceilingS !== undefined && now > startedAt + 1000 * ceilingS;
  return (
    <div className="mt-2 flex flex-wrap items-center gap-4">
      <p
        role="timer"
        className={`num min-w-40 text-4xl font-semibold ${leftMs !== undefined && leftMs < 0 ? 'text-plum' : ''}`}
      >
        {leftMs === undefined ? describeClock(now - startedAt) : describeLeft(leftMs)}
      </p>
      {(isHalf || isTooLong) && (
        <p role="status" className={`w-full font-semibold ${isTooLong ? 'text-plum' : ''}`}>
          {isTooLong
            ? 'Take it out. Longer curing yellows the part and makes it brittle.'
            : 'Half of the time is over. Turn the part.'}
        </p>
      )}
      {report !== undefined && (
        <p role="status" className="w-full text-soft">
          The simulated {stationOfStep(link.step)} says: {STATE_WORDS[report.state]}, {describeGiven(report)}.{' '}
          {report.state === 'running' && (
            <button type="button" className="underline" onClick={() => openLid(stationOfStep(link.step)!)}>
              Open its lid
            </button>
          )}
        </p>
      )}
      {next !== undefined && (
        <Button weight="large" disabled={taps.isBusy} onClick={() => taps.end(id, given, next)}>
          Done, next: {next.title.toLowerCase()}
        </Button>
      )}
      <Button
        weight={next === undefined ? 'large' : 'plain'}
        className="min-h-16"
        disabled={taps.isBusy}
        onClick={() => taps.end(id, given)}
      >
        Done<span className="sr-only">: {title}</span>
      </Button>
      <label className="block min-w-48 flex-1 text-sm text-soft">
        Deviate from the process card
        <input
          value={given}
          maxLength={200}
          onChange={(event) => setGiven(event.target.value)}
          className="mt-1 block min-h-10.5 w-full rounded-[4px] border border-edge bg-sheet px-2.5 py-2 text-base text-ink"
        />
      </label>
    </div>
  );
}
