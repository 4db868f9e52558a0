'use client';

import { keysOf, recordOf } from '@/core/kit';
import { useState } from 'react';
import {
  type BlockSize,
  GAUGE_CHOICES,
  type GaugeChoice,
  gaugeOf,
  type GaugeParameters,
} from '@/core/fit/gauges';
import { valueIn } from '@/core/measure';
import { describeGaugeIssue, gaugeForm } from '@/subjects/fit/gauges/shared';
import { ActionForm, Button, buttonLook, Choice, PartFrame, Problem, TextField } from '@/ui';
import { makeGauge } from '../actions';
import { type GaugeState, useGauge } from './use-gauge';

interface GaugeMakerProps {
  readonly profiles: readonly { readonly id: number; readonly label: string; readonly layerMm: number }[];
  readonly start: {
    readonly profileId: number;
    readonly choice: GaugeChoice;
    readonly pinMm?: string;
    /** The job that a chosen block should tell about. */
    readonly job?: { readonly id: number; readonly name: string; readonly chosen?: readonly BlockSize[] };
  };
}

type FieldName = 'fromMm' | 'stepMm' | 'count' | 'pinMm';
const FIELDS: readonly FieldName[] = ['fromMm', 'stepMm', 'count', 'pinMm'];

/** The usual values of a gauge. */
const startOf = (choice: GaugeChoice): Readonly<Record<FieldName, string>> =>
  recordOf(FIELDS, (name) => gaugeOf(choice).asks[name]?.usual ?? '');

/** Sizes of a block chosen for a job: three minutes with a caliper. */
const FOR_A_JOB = '6';

interface Asked {
  readonly choice: GaugeChoice;
  readonly texts: Readonly<Record<FieldName, string>>;
}

/** The typed parameters of a gauge; undefined while one of them is not a number. */
function parametersOf({ choice, texts }: Asked): GaugeParameters | undefined {
  const { asks } = gaugeOf(choice);
  const numbers = FIELDS.map((name): readonly [FieldName, number | undefined] => [
    name,
    asks[name] === undefined ? 0 : valueIn(texts[name], name === 'count' ? 'number' : undefined),
  ]);
  if (numbers.some(([, value]) => value === undefined)) return undefined;
  const { count, ...lengths } = Object.fromEntries(numbers) as Record<FieldName, number>;
  return { choice, ...lengths, count: Math.min(100, count) };
}

/** A gauge by its parameters, built in front of the person's eyes, and made a job when it is right. */
export function GaugeMaker({ profiles, start }: GaugeMakerProps) {
  const [choice, setChoice] = useState(start.choice);
  const [profileId, setProfileId] = useState(start.profileId);
  const [texts, setTexts] = useState({
    ...startOf(start.choice),
    ...(start.pinMm === undefined ? {} : { pinMm: start.pinMm }),
    ...(start.job === undefined ? {} : { count: FOR_A_JOB }),
  });
  const parameters = parametersOf({ choice, texts });
  const state = useGauge(
    parameters !== undefined
      ? {
          parameters,
          chosen: start.job?.chosen,
          layerMm: profiles.find(({ id }) => id === profileId)?.layerMm ?? 0.05,
        }
      : undefined,
  );
  const field = (name: FieldName) => ({
    name,
    value: texts[name],
    inputMode: 'decimal' as const,
    onChange: (event: { target: { value: string } }) => setTexts({ ...texts, [name]: event.target.value }),
  });
  return (
    <div className="grid gap-x-8 gap-y-4 lg:grid-cols-2">
      <ActionForm
        form={gaugeForm}
        action={makeGauge}
        label="A gauge"
        className="grid content-start gap-3 sm:grid-cols-2"
      >
        <div className="sm:col-span-2">
          <Choice
            name="choice"
            value={choice}
            onChange={(event) => {
              const next = event.target.value as GaugeChoice;
              setChoice(next);
              setTexts(startOf(next));
            }}
            hint={`Shows ${gaugeOf(choice).answers}.`}
            choices={GAUGE_CHOICES.map((each) => ({ value: each, label: gaugeOf(each).title }))}
          />
        </div>
        <div className="sm:col-span-2">
          <Choice
            name="profileId"
            value={profileId}
            onChange={(event) => setProfileId(Number(event.target.value))}
            choices={profiles.map(({ id, label }) => ({ value: String(id), label }))}
          />
        </div>
        {start.job !== undefined && choice === 'chosenBlock' && (
          <>
            <input type="hidden" name="jobId" value={start.job.id} />
            <p className="text-sm text-soft sm:col-span-2">Sizes chosen for job {start.job.name}.</p>
          </>
        )}
        {keysOf(gaugeOf(choice).asks as Record<FieldName, unknown>).map((name) => (
          <TextField key={name} label={gaugeOf(choice).asks[name]?.label} {...field(name)} />
        ))}
        {gaugeOf(choice).takesMate && (
          <>
            <TextField name="mateName" placeholder="terminal 2.4" />
            <TextField name="mateMm" />
          </>
        )}
        <TextField name="name" placeholder={gaugeOf(choice).title} />
        <Button type="submit" weight="main" className="self-end justify-self-start">
          Create gauge
        </Button>
      </ActionForm>
      <GaugePreview state={state} choice={choice} typed={parameters !== undefined} />
    </div>
  );
}

interface GaugePreviewProps {
  readonly state: GaugeState;
  readonly choice: GaugeChoice;
  /** Everything that is needed was typed. */
  readonly typed: boolean;
}

const NO_CALLOUTS: readonly never[] = [];

function GaugePreview({ state, choice, typed }: GaugePreviewProps) {
  const name = gaugeOf(choice).title;
  if (!typed) return <p className="text-soft">Enter the first size, the step and the number of steps.</p>;
  if (state.kind === 'refused') return <Problem>{describeGaugeIssue(state.issue)}</Problem>;
  if (state.kind === 'failed') return <Problem>the gauge could not be built. Reload the page.</Problem>;
  return (
    <div>
      <PartFrame
        source={state.kind === 'ready' ? state.stlUrl : undefined}
        version={0}
        callouts={NO_CALLOUTS}
      />
      {state.kind === 'building' && (
        <p className="flex items-center gap-3 text-soft" role="status">
          Building the gauge … <Button onClick={state.stop}>Stop</Button>
        </p>
      )}
      {state.kind === 'stopped' && <p className="text-soft">Stopped. Change a value to build it again.</p>}
      {state.kind === 'ready' && (
        <>
          <p className="mt-1 text-sm">
            About <span className="num">{Math.round(state.effort.minutes)}</span> min to print in{' '}
            <span className="num">{state.effort.layers}</span> layers (assumes 8 s per layer and 3 min for the
            first layers), <span className="num">{state.effort.volumeMl.toFixed(1)}</span> mL of resin,{' '}
            <span className="num">{state.effort.heightMm.toFixed(1)}</span> mm high,{' '}
            {state.watertight ? 'closed' : 'not closed'}.
            {gaugeOf(choice).hasSteps &&
              ' Notches on the front edge mark the steps: one notch per step, a long notch for five.'}
            {' Flat on the plate, without supports.'}
          </p>
          <div className="mt-2 flex gap-2">
            <a className={buttonLook('plain')} href={state.stlUrl} download={`${name}.stl`}>
              STL
            </a>
            <a className={buttonLook('plain')} href={state.threeMfUrl} download={`${name}.3mf`}>
              3MF
            </a>
          </div>
        </>
      )}
    </div>
  );
}
