'use client';

import { useState } from 'react';
import { askToNotify } from '@/app/_components/use-call';
import { useTap } from '@/app/_components/use-tap';
import { Button, Caution, Link, Problem } from '@/ui';
import { askAgain, start, tapChecklist } from '../../actions';

/** A question of the gate as it is shown. */
export interface ShownQuestion {
  readonly key: string;
  readonly title: string;
  readonly text: string;
  readonly caution?: string;
  /** Where to fix it. */
  readonly mend?: { readonly href: string; readonly says: string };
  readonly state: 'well' | 'open' | 'exception';
  readonly isKnownBad: boolean;
  /** It was answered by hand. */
  readonly isAnswered: boolean;
  readonly reason: string;
}

interface ChecklistPanelProps {
  readonly runId: number;
  readonly questions: readonly ShownQuestion[];
  readonly isSimulated: boolean;
}

const SPEEDS = [
  { speed: 1, label: 'real time' },
  { speed: 60, label: '60 times as fast' },
  { speed: 600, label: '600 times as fast' },
];

function useChecklist(runId: number) {
  const { problem, isBusy, tap } = useTap();
  return {
    problem,
    isBusy,
    well: (keys: readonly string[]) =>
      tap((key) => tapChecklist(key, runId, { keys, well: true, reason: '' })),
    allTheSame: (key: string, reason: string) =>
      tap((tapKey) => tapChecklist(tapKey, runId, { keys: [key], well: false, reason })),
    again: (key: string) => tap((tapKey) => askAgain(tapKey, runId, key)),
    start: (speed: number) => {
      askToNotify();
      tap((key) => start(key, runId, speed));
    },
  };
}

/** The list before the start: what is known stands answered, the rest is one gesture where all is well. */
export function ChecklistPanel({ runId, questions, isSimulated }: ChecklistPanelProps) {
  const gate = useChecklist(runId);
  const [speed, setSpeed] = useState(isSimulated ? 60 : 1);
  const open = questions.filter(({ state }) => state === 'open');
  const toLook = open.filter(({ isKnownBad }) => !isKnownBad);
  const settled = questions.filter(({ state }) => state !== 'open');
  return (
    <section aria-labelledby="gate-title">
      <h2 id="gate-title" className="text-lg">
        Pre-print checklist
      </h2>
      {gate.problem !== '' && <Problem>{gate.problem}</Problem>}
      <ul className="border-t border-hair">
        {open.map((question) => (
          <Question key={question.key} question={question} gate={gate} />
        ))}
      </ul>
      {toLook.length > 0 && (
        <Button
          weight="large"
          className="mt-3"
          disabled={gate.isBusy}
          onClick={() => gate.well(toLook.map(({ key }) => key))}
        >
          {toLook.length === 1 ? 'OK' : `All ${toLook.length} OK`}
        </Button>
      )}
      {settled.length > 0 && (
        <details className="mt-3" open={open.length === 0}>
          <summary className="text-sm underline">
            {settled.length} answered, most of them automatically
          </summary>
          <ul className="mt-1">
            {settled.map(({ key, title, text, state, isAnswered, reason }) => (
              <li key={key} className="border-b border-hair py-1 text-sm">
                <strong>{title}.</strong> {state === 'exception' ? `Not OK, started anyway: ${reason}` : text}{' '}
                {isAnswered && (
                  <button type="button" className="underline" onClick={() => gate.again(key)}>
                    Ask again<span className="sr-only">: {title}</span>
                  </button>
                )}
              </li>
            ))}
          </ul>
        </details>
      )}
      {open.length === 0 && (
        <div className="mt-4 flex flex-wrap items-center gap-4">
          <Button weight="large" disabled={gate.isBusy} onClick={() => gate.start(speed)}>
            {isSimulated ? 'Start on the simulated printer' : 'Start print'}
          </Button>
          {isSimulated && (
            <label className="text-sm text-soft">
              Clock speed{' '}
              <select
                value={speed}
                onChange={(event) => setSpeed(Number(event.target.value))}
                className="min-h-10.5 rounded-[4px] border border-edge bg-sheet px-2 text-ink"
              >
                {SPEEDS.map((each) => (
                  <option key={each.speed} value={each.speed}>
                    {each.label}
                  </option>
                ))}
              </select>
            </label>
          )}
        </div>
      )}
    </section>
  );
}

function Question({ question, gate }: { question: ShownQuestion; gate: ReturnType<typeof useChecklist> }) {
  const { key, title, text, caution, mend, isKnownBad } = question;
  const [reason, setReason] = useState('');
  const [isRaised, setRaised] = useState(false);
  // What becomes known while the list is open counts too: a level that was kept, a fall of night.
  const isAsked = isKnownBad || isRaised;
  return (
    <li className={`border-b border-hair py-2 pl-3 ${isKnownBad ? 'border-l-4 border-l-plum' : ''}`}>
      <p>
        <strong>{title}.</strong> {text}
        {mend !== undefined && (
          <>
            {' '}
            <Link href={mend.href} className="font-semibold text-juniper underline">
              {mend.says}
            </Link>
          </>
        )}
        {!isAsked && (
          <>
            {' '}
            <button type="button" className="text-sm underline" onClick={() => setRaised(true)}>
              Not OK<span className="sr-only">: {title}</span>
            </button>
          </>
        )}
      </p>
      {caution !== undefined && <Caution>{caution}</Caution>}
      {isAsked && (
        <div className="mt-1 flex flex-wrap items-end gap-3">
          <label className="min-w-56 flex-1 text-sm text-soft">
            Reason to start anyway
            <input
              value={reason}
              maxLength={300}
              onChange={(event) => setReason(event.target.value)}
              className="mt-1 block min-h-10.5 w-full rounded-[4px] border border-edge bg-sheet px-2.5 py-2 text-base text-ink"
            />
          </label>
          <Button disabled={gate.isBusy || reason.trim() === ''} onClick={() => gate.allTheSame(key, reason)}>
            Start anyway<span className="sr-only">: {title}</span>
          </Button>
        </div>
      )}
    </li>
  );
}
