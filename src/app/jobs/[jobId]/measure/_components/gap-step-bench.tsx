'use client';

import { formatMm } from '@/core/kit/wording';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { v4 as uuid } from 'uuid';
import { CutOffNote } from '@/app/_components/cut-off-note';
import { useOutbox } from '@/app/_components/use-outbox';
import { type GapDirection, type JointKind, GAP_STEP_OUTCOMES, type GapStepOutcome } from '@/core/fit/mating';
import { PART_STATES, type PartState } from '@/core/measure';
import type { Result } from '@/core/kit';
import type { GapTestView } from '@/subjects/fit/gauges';
import {
  describeGapDirection,
  describeJoint,
  describeGapTestNote,
  describeGapStepOutcome,
  type GapStepInput,
} from '@/subjects/fit/gauges/shared';
import { GONE_WORDS } from '@/subjects/kit/shared';
import { Button, Caution, PlainChoice, Problem, useShortcuts } from '@/ui';
import { touchAll } from '../actions';
import { GapTestChart } from './gap-test-chart';

interface GapStepBenchProps {
  readonly jobId: number;
  readonly printId: number;
  readonly printName: string;
  readonly joint: JointKind;
  readonly direction: GapDirection;
  readonly stepsMm: readonly number[];
  readonly outcomes: Readonly<Record<number, GapStepOutcome>>;
  readonly ladder: Omit<GapTestView, 'ladder'>;
  /** Steps of other prints and gauges of this joint that count too. */
  readonly otherRungs: number;
  /** The print is a simulated one: a simulated hand can try it. */
  readonly simulated: boolean;
}

const MEANING: Readonly<Record<GapStepOutcome, string>> = {
  fused: 'does not move',
  stiff: 'moves with a tool',
  free: 'moves by hand',
  sloppy: 'shakes',
};

const capital = (text: string) => text[0].toUpperCase() + text.slice(1);

/** A gap test by hand: from the widest step down, the outcome of each. */
export function GapStepBench(props: GapStepBenchProps) {
  const { jobId, printId, stepsMm, joint, direction, simulated } = props;
  const router = useRouter();
  const [chosen, setChosen] = useState<number | undefined>();
  const [state, setState] = useState<PartState>('green');
  const [problem, setProblem] = useState<string | undefined>();
  const [pending, start] = useTransition();
  // A stored outcome stays visible until the page is fresh: the next key must not tap the same step.
  const [answered, setAnswered] = useState<Readonly<Record<number, GapStepOutcome>>>({});
  const outbox = useOutbox<GapStepInput, Result<void, { readonly code: 'gone' }>>({
    name: `mellow-rungs-${printId}`,
    url: '/api/rungs',
    onAnswer: ({ rung, outcome }, result) => {
      setProblem(result?.ok === true ? undefined : GONE_WORDS);
      if (result?.ok === true) setAnswered((before) => ({ ...before, [rung]: outcome }));
      router.refresh();
    },
  });
  const outcomes: Readonly<Record<number, GapStepOutcome>> = {
    ...props.outcomes,
    ...answered,
    ...Object.fromEntries(outbox.waiting.map(({ rung, outcome }) => [rung, outcome])),
  };
  // From the wide end, which frees most easily, down to the first that does not: the usual way to try one.
  const rungs = stepsMm.map((gapMm, i) => ({ rung: i + 1, gapMm })).reverse();
  const open = rungs.find(({ rung }) => outcomes[rung] === undefined);
  const active = chosen ?? open?.rung ?? rungs[0].rung;
  const tap = (rung: number, outcome: GapStepOutcome) => {
    setProblem(undefined);
    setChosen(undefined);
    outbox.add({ clientKey: uuid(), jobId, printId, rung, outcome, state });
  };
  useShortcuts(
    GAP_STEP_OUTCOMES.map((outcome, i) => ({
      key: String(i + 1),
      does: `this step is ${describeGapStepOutcome(outcome)}`,
      run: () => tap(active, outcome),
      onEmptyField: true,
    })),
  );
  return (
    <div className="grid gap-x-8 gap-y-5 lg:grid-cols-2">
      <section aria-labelledby="rungs-title">
        <h2 id="rungs-title" className="text-lg">
          {capital(describeJoint(joint))}, {describeGapDirection(direction)}
        </h2>
        <p className="mb-2 text-sm text-soft">
          Count the notches. Start with the widest gap and tap the result of each step. Do not force a fused
          step.
        </p>
        <ul aria-busy={pending}>
          {rungs.map(({ rung, gapMm }) => (
            <GapStepRow
              key={rung}
              rung={rung}
              gapMm={gapMm}
              found={outcomes[rung]}
              isActive={rung === active}
              onChoose={setChosen}
              onTap={tap}
            />
          ))}
        </ul>
        <p className="mt-1 text-sm text-soft">
          {GAP_STEP_OUTCOMES.map((outcome) => `${describeGapStepOutcome(outcome)}: ${MEANING[outcome]}`).join(
            ' · ',
          )}
        </p>
        {problem !== undefined && <Problem>{problem}</Problem>}
        {outbox.isCutOff && (
          <CutOffNote waiting={outbox.waiting.length} what={outbox.waiting.length === 1 ? 'rung' : 'rungs'} />
        )}
        {simulated && (
          <Button
            className="mt-3"
            disabled={pending}
            onClick={() =>
              start(async () => {
                await touchAll(
                  uuid(),
                  jobId,
                  printId,
                  rungs.map(({ rung }) => rung),
                );
              })
            }
          >
            Test with the simulated hand
          </Button>
        )}
        <div className="mt-3 max-w-60">
          <PlainChoice
            name="rung-state"
            label="Testing …"
            value={state}
            onChange={(event) => setState(event.target.value as PartState)}
            choices={PART_STATES.map((each) => ({ value: each, label: each }))}
          />
        </div>
        <Caution>
          Green parts are wet with resin: wear gloves, and keep the gauge over the tray while you work it.
        </Caution>
      </section>
      <GapTestOutcome {...props} />
    </div>
  );
}

interface GapStepRowProps {
  readonly rung: number;
  readonly gapMm: number;
  readonly found: GapStepOutcome | undefined;
  readonly isActive: boolean;
  readonly onChoose: (rung: number) => void;
  readonly onTap: (rung: number, outcome: GapStepOutcome) => void;
}

/** One step with its possible outcomes, each a button. */
function GapStepRow({ rung, gapMm, found, isActive, onChoose, onTap }: GapStepRowProps) {
  return (
    <li
      className={`flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-hair px-2 py-1.5 ${isActive ? 'bg-wash' : ''}`}
    >
      <button type="button" className="min-h-7 w-24 shrink-0 text-left" onClick={() => onChoose(rung)}>
        <span className="font-semibold">step {rung}</span>{' '}
        <span className="num text-soft">{formatMm(gapMm)}</span>
      </button>
      <span className="flex flex-1 flex-wrap gap-1.5" role="group" aria-label={`Step ${rung}`}>
        {GAP_STEP_OUTCOMES.map((outcome, i) => (
          <button
            key={outcome}
            type="button"
            aria-pressed={found === outcome}
            onClick={() => onTap(rung, outcome)}
            className={`min-h-10 rounded-[5px] border px-2.5 py-1 max-sm:min-h-14 lg:px-2 ${found === outcome ? 'border-juniper bg-band font-semibold' : 'border-edge'}`}
          >
            {describeGapStepOutcome(outcome)} {isActive && <kbd className="max-xl:hidden">{i + 1}</kbd>}
          </button>
        ))}
      </span>
    </li>
  );
}

/** Result of the steps: the gap to draw, with the curve of coming free. */
function GapTestOutcome({ ladder, otherRungs, stepsMm, outcomes }: GapStepBenchProps) {
  const { summary, note, curve } = ladder;
  const found = stepsMm.flatMap((gapMm, i) =>
    outcomes[i + 1] === undefined ? [] : { gapMm, outcome: outcomes[i + 1] },
  );
  return (
    <section aria-labelledby="ladder-title" aria-live="polite">
      <h2 id="ladder-title" className="text-lg">
        Draw a gap of at least{' '}
        <span className="num text-3xl font-semibold text-juniper">{formatMm(summary.recommendedMm, 3)}</span>{' '}
        mm per side{' '}
      </h2>
      <p className="text-soft">
        for a 95 % chance to come free. The chance is 50 % at{' '}
        <span className="num">{formatMm(summary.g50Mm, 3)}</span> (95 %:{' '}
        <span className="num">{formatMm(summary.interval95Mm[0], 3)}</span> to{' '}
        <span className="num">{formatMm(summary.interval95Mm[1], 3)}</span>)
        {otherRungs > 0 && `; ${otherRungs} steps of other prints also count`}.
      </p>
      {note !== undefined && (
        <p className="mt-1 border-l-4 border-honey py-0.5 pl-3">{describeGapTestNote(note)}</p>
      )}
      <GapTestChart curve={curve} recommendedMm={summary.recommendedMm} rungs={found} />
      <p className="text-sm text-soft">
        Saved for this printer, resin and direction. Every joint with them uses the result at once, in Fit.
      </p>
    </section>
  );
}
