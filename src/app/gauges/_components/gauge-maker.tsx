'use client';

import { useState } from 'react';
import { type BlockSize, GAUGE_CHOICES, type GaugeChoice, type GaugeParameters } from '@/core/fit/gauges';
import { valueIn } from '@/core/measure';
import { describeGaugeChoice, describeGaugeIssue, gaugeForm } from '@/subjects/fit/gauges/shared';
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

/** Where each ladder usually starts. */
const STARTS: Readonly<Record<GaugeChoice, Readonly<Record<FieldName, string>>>> = {
  block: { fromMm: '', stepMm: '', count: '', pinMm: '' },
  shortBlock: { fromMm: '', stepMm: '', count: '', pinMm: '' },
  chosenBlock: { fromMm: '', stepMm: '', count: '10', pinMm: '' },
  control: { fromMm: '', stepMm: '', count: '', pinMm: '' },
  hinge: { fromMm: '0.1', stepMm: '0.05', count: '9', pinMm: '5' },
  ball: { fromMm: '0.1', stepMm: '0.05', count: '9', pinMm: '8' },
  links: { fromMm: '0.15', stepMm: '0.05', count: '9', pinMm: '3' },
  slider: { fromMm: '0.1', stepMm: '0.05', count: '9', pinMm: '5' },
  roof: { fromMm: '0.1', stepMm: '0.05', count: '9', pinMm: '5' },
  pocket: { fromMm: '2.3', stepMm: '0.05', count: '7', pinMm: '' },
  hole: { fromMm: '4.9', stepMm: '0.05', count: '7', pinMm: '' },
  pin: { fromMm: '4.8', stepMm: '0.05', count: '7', pinMm: '' },
  bar: { fromMm: '', stepMm: '', count: '3', pinMm: '4' },
};

/** Sizes of a block chosen for a job: three minutes with a caliper. */
const FOR_A_JOB = '6';

const isBlock = (choice: GaugeChoice) =>
  choice === 'block' || choice === 'shortBlock' || choice === 'chosenBlock' || choice === 'control';

const isPlain = (choice: GaugeChoice) => choice === 'pocket' || choice === 'hole' || choice === 'pin';

interface Asked {
  readonly choice: GaugeChoice;
  readonly texts: Readonly<Record<FieldName, string>>;
}

/** The typed parameters of a gauge; undefined while one of them is not a number. */
function parametersOf({ choice, texts }: Asked): GaugeParameters | undefined {
  const blank = isBlock(choice) || choice === 'bar';
  const counted = choice === 'chosenBlock' || choice === 'bar' || !blank;
  const fromMm = blank ? 0 : valueIn(texts.fromMm);
  const stepMm = blank ? 0 : valueIn(texts.stepMm);
  const count = counted ? valueIn(texts.count, 'number') : 0;
  const pinMm = isBlock(choice) || isPlain(choice) ? 0 : valueIn(texts.pinMm);
  if (fromMm === undefined || stepMm === undefined || count === undefined || pinMm === undefined) return;
  return { choice, fromMm, stepMm, count: Math.min(100, count), pinMm };
}

/** A gauge by its parameters, built in front of the person's eyes, and made a job when it is right. */
export function GaugeMaker({ profiles, start }: GaugeMakerProps) {
  const [choice, setChoice] = useState(start.choice);
  const [profileId, setProfileId] = useState(start.profileId);
  const [texts, setTexts] = useState({
    ...STARTS[start.choice],
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
              setTexts(STARTS[next]);
            }}
            hint={`Shows ${describeGaugeChoice(choice).answers}.`}
            choices={GAUGE_CHOICES.map((each) => ({ value: each, label: describeGaugeChoice(each).title }))}
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
        {choice === 'chosenBlock' && <TextField label="Number of sizes, up to 24" {...field('count')} />}
        {choice === 'bar' && (
          <>
            <TextField label="Thickness" {...field('pinMm')} />
            <TextField label="Number of bars" {...field('count')} />
          </>
        )}
        {!isBlock(choice) && choice !== 'bar' && (
          <>
            <TextField label={isPlain(choice) ? 'First size' : 'First gap per side'} {...field('fromMm')} />
            <TextField label="Step" {...field('stepMm')} />
            <TextField label="Steps" {...field('count')} />
            {!isPlain(choice) && <TextField label="Pin, ball, bar or rail size" {...field('pinMm')} />}
          </>
        )}
        {isPlain(choice) && (
          <>
            <TextField name="mateName" placeholder="terminal 2.4" />
            <TextField name="mateMm" />
          </>
        )}
        <TextField name="name" placeholder={describeGaugeChoice(choice).title} />
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
  const name = describeGaugeChoice(choice).title;
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
            {!isBlock(choice) &&
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
