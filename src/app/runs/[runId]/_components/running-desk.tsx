'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { CallNote } from '@/app/_components/call-note';
import { type CallingTimer, useCall } from '@/app/_components/use-call';
import { describeLeft, useServerClock } from '@/app/_components/use-countdown';
import { type RunEvent, type RunningPrint, type Standing, whereItIs } from '@/core/print';
import type { BottleChoice, Heard } from '@/subjects/print/plate';
import { Button, Caution } from '@/ui';
import { clockOf, momentOn } from './clock-of';
import { EndForm, PourForm, StopForm } from './running-forms';

interface RunningDeskProps {
  readonly runId: number;
  readonly title: string;
  readonly print: RunningPrint;
  readonly startedAt: number;
  readonly serverNow: number;
  /** Clock of a simulated printer against the one on the wall. */
  readonly speed: number;
  readonly isHeard: boolean;
  readonly printerId: number;
  readonly bottles: readonly BottleChoice[];
  readonly bottleId?: number;
}

/** How often a printer on the network is asked, ms. */
const ASK_MS = 3000;

async function askRun(runId: number): Promise<Heard | 'lost'> {
  const response = await fetch(`/api/runs/${runId}`, { method: 'POST' });
  return response.ok ? ((await response.json()) as Heard) : 'lost';
}

/** What the printer of a plate reports, asked every few seconds; when it is done, the page is refreshed. */
function useReports(runId: number, isHeard: boolean): Heard | 'lost' | undefined {
  const router = useRouter();
  const [heard, setHeard] = useState<Heard | 'lost'>();
  useEffect(() => {
    if (!isHeard) return;
    const ask = async () => {
      const said = await askRun(runId).catch(() => 'lost' as const);
      setHeard(said);
      if (said !== 'lost' && said.code === 'report' && said.report.state === 'done') router.refresh();
    };
    void ask();
    const timer = setInterval(ask, ASK_MS);
    return () => clearInterval(timer);
  }, [runId, isHeard, router]);
  return heard;
}

const EVENT_WORDS: Readonly<Record<RunEvent['code'], (event: RunEvent) => string>> = {
  earlyLook: () => 'Check that it sticks to the plate',
  pour: (event) => `Top up ${event.code === 'pour' ? Math.ceil(event.ml) : ''} ml`,
  end: () => 'End of print',
};

/** A print that runs: where it is, what comes next, and what is done about it. */
export function RunningDesk(props: RunningDeskProps) {
  const { runId, title, print, startedAt, serverNow, speed, isHeard, bottles, bottleId } = props;
  const now = useServerClock(serverNow);
  const heard = useReports(runId, isHeard);
  const report =
    heard !== undefined && heard !== 'lost' && heard.code === 'report' ? heard.report : undefined;
  // A clock that was set back since then says no more than that it runs.
  const elapsedS = report?.elapsed_s ?? Math.max(0, ((now - startedAt) / 1000) * speed);
  const standing = whereItIs(
    print,
    elapsedS,
    report === undefined ? undefined : { layer: report.layer, atS: report.elapsed_s },
  );
  const wallAt = (seconds: number) => now + ((seconds - elapsedS) * 1000) / speed;
  const calls = standing.events.map(({ event, middleS, earlyS }): CallingTimer => ({
    id: `run ${runId} ${event.code} ${event.layer}`,
    title: `${EVENT_WORDS[event.code](event)}: ${title}`,
    endsAt: wallAt(event.code === 'pour' ? earlyS : middleS),
  }));
  useCall(calls, now);
  const end = standing.events.at(-1)!;
  const next = standing.events[0];
  return (
    <section aria-labelledby="running-title" data-fills-screen>
      <h2 id="running-title" className="text-lg">
        Printing
      </h2>
      <p role="timer" className="num text-4xl font-semibold">
        {describeLeft(wallAt(end.middleS) - now)}
      </p>
      <Where standing={standing} layers={print.layers} />
      <p className="text-soft">
        Ends at about <strong className="num text-ink">{momentOn(wallAt(end.middleS), now)}</strong>
        {wallAt(end.lateS) - wallAt(end.earlyS) < 120_000 ? (
          ', accurate to the minute'
        ) : (
          <>
            , between <span className="num">{momentOn(wallAt(end.earlyS), now)}</span> and{' '}
            <span className="num">{momentOn(wallAt(end.lateS), now)}</span>
          </>
        )}
        {speed > 1 && `; the printer clock runs ${speed} times as fast`}.
      </p>
      <CallNote isRunning />
      <Voice heard={heard} now={now} />
      {standing.isOverdue && (
        <p className="mt-2 border-l-4 border-plum py-1 pl-3">
          Even the slowest estimate has passed. Check the printer, then record the end or the stop here.
        </p>
      )}
      <ol className="mt-3 border-t border-hair">
        {standing.events.map(({ event, middleS }) => (
          <li
            key={`${event.code} ${event.layer}`}
            className={`flex flex-wrap justify-between gap-3 border-b border-hair py-2 ${event === next.event ? 'font-semibold' : ''}`}
          >
            <span>{EVENT_WORDS[event.code](event)}</span>
            <span className="num">
              {event.code !== 'end' && `layer ${event.layer + 1}, `}
              {momentOn(wallAt(middleS), now)}, {clockOf(Math.max(0, (middleS - elapsedS) / speed))}
            </span>
          </li>
        ))}
      </ol>
      {next.event.code === 'pour' && (
        <Caution>
          Pause the printer before you lift its lid: the plate moves, and daylight cures resin. Wear gloves
          and eye protection. Pour slowly along the wall of the vat, with paper ready for spills.
        </Caution>
      )}
      <div className="mt-3 grid gap-3">
        <PourForm
          runId={runId}
          layer={standing.layer}
          ml={standing.events.flatMap(({ event }) => (event.code === 'pour' ? Math.ceil(event.ml) : []))[0]}
          bottles={bottles}
          bottleId={bottleId}
        />
        <EndForm runId={runId} isExpected={elapsedS >= end.earlyS} />
        <StopForm
          key={report?.state}
          runId={runId}
          layer={report?.layer ?? standing.layer}
          isStopped={report?.state === 'stopped'}
        />
        {isHeard && <Told {...props} />}
      </div>
    </section>
  );
}

function Where({ standing: { layer, heightMm }, layers }: { standing: Standing; layers: number }) {
  const share = Math.min(1, layer / layers);
  return (
    <>
      <progress
        className="my-1 block h-3 w-full accent-juniper"
        value={share}
        aria-label="Share of layers printed"
      />
      <p>
        layer <span className="num">{Math.min(layers, layer + 1)}</span> of{' '}
        <span className="num">{layers}</span>, <span className="num">{heightMm.toFixed(2)} mm</span>
      </p>
    </>
  );
}

/** What the printer says, or that it says nothing. */
function Voice({ heard, now }: { heard: Heard | 'lost' | undefined; now: number }) {
  if (heard === undefined || (heard !== 'lost' && heard.code === 'noVoice')) return null;
  if (heard === 'lost')
    return (
      <p role="status" className="mt-2 border-l-4 border-honey py-1 pl-3">
        The server does not respond. The clock keeps running, but taps are not saved now.
      </p>
    );
  if (heard.code === 'silent')
    return (
      <p role="status" className="mt-2 border-l-4 border-honey py-1 pl-3">
        The printer does not respond
        {heard.lastAt === undefined
          ? ''
          : `, last response ${momentOn(new Date(heard.lastAt).getTime(), now)}`}
        . Times follow the plan until it responds. Go and check the printer.
      </p>
    );
  if (heard.report.state !== 'stopped') return null;
  return (
    <p role="status" className="mt-2 border-l-4 border-plum py-1 pl-3">
      The printer reports a stop at layer {heard.report.layer + 1}. Enter the cause below, as far as you can
      see it.
    </p>
  );
}

/** What a simulated printer can be made to do, so that a stop and a silence can be tried. */
function Told({ printerId }: Pick<RunningDeskProps, 'printerId'>) {
  const tell = (word: string) =>
    void fetch(`/api/simulated/printers/${printerId}`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ do: word }),
    });
  return (
    <details>
      <summary className="text-sm underline">Simulated printer</summary>
      <div className="mt-2 flex flex-wrap gap-3">
        <Button onClick={() => tell('stop')}>Simulate a stop</Button>
        <Button onClick={() => tell('silence')}>Simulate no response</Button>
        <Button onClick={() => tell('speak')}>Restore response</Button>
      </div>
    </details>
  );
}
