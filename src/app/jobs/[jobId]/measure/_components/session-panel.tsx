'use client';

import { formatMm } from '@/core/kit/wording';
import { useState } from 'react';
import { InstrumentForm } from '@/app/_components/instrument-form';
import { PART_STATES } from '@/core/measure';
import { ActionForm, Button, Caution, Choice, Link, TextField, Tick } from '@/ui';
import { beginSession } from '../actions';
import { sessionForm } from '@/subjects/measure/calipers/shared';

interface SessionPanelProps {
  readonly jobId: number;
  readonly printId: number;
  readonly instruments: readonly {
    readonly id: number;
    readonly name: string;
    readonly mpeMm: number;
    readonly resolutionMm: number;
  }[];
  /** Calipers whose check on a reference piece is due by the interval in the settings. */
  readonly checkDue: readonly { readonly id: number; readonly name: string; readonly days: number }[];
  /** The state of the print by the steps tapped in Print. */
  readonly bySteps?: { readonly state: (typeof PART_STATES)[number]; readonly warm: boolean };
  readonly remembered?: {
    readonly instrumentId: number;
    readonly zeroMm: number;
    readonly partC: number | null;
    readonly instrumentC: number | null;
    readonly state: (typeof PART_STATES)[number];
  };
}

/** A session starts with its caliper, its zero and optionally temperatures; remembered from last time. */
export function SessionPanel({
  jobId,
  printId,
  instruments,
  checkDue,
  remembered,
  bySteps,
}: SessionPanelProps) {
  const [state, setState] = useState(bySteps?.state ?? remembered?.state ?? 'cured');
  const isWet = state === 'green' || state === 'washed';
  return (
    <div className="max-w-2xl space-y-6" data-fills-screen>
      <h2 className="text-xl">Before the first reading</h2>
      {checkDue.map(({ id, name, days }) => (
        <p key={id} className="border-l-4 border-honey py-1 pl-3">
          {name} was last checked on a reference piece {days} days ago.{' '}
          <Link href="/house#calipers" className="underline">
            {' '}
            Check the caliper{' '}
          </Link>{' '}
          before you rely on hundredths of a millimetre.
        </p>
      ))}
      {instruments.length > 0 && (
        <ActionForm
          form={sessionForm}
          action={beginSession.bind(null, jobId, printId)}
          label="Start measuring"
          className="grid gap-3 sm:grid-cols-2"
        >
          <Choice
            name="instrumentId"
            defaultValue={remembered?.instrumentId}
            choices={instruments.map(({ id, name, mpeMm, resolutionMm }) => ({
              value: String(id),
              label: `${name} (limit of error ± ${formatMm(mpeMm, 3)} mm, resolution ${resolutionMm} mm)`,
            }))}
          />
          <TextField name="zeroMm" defaultValue="0" />
          <TextField name="partC" defaultValue={remembered?.partC ?? ''} />
          <TextField name="instrumentC" defaultValue={remembered?.instrumentC ?? ''} />
          <Choice
            name="state"
            value={state}
            onChange={(event) => setState(event.target.value as typeof state)}
            choices={PART_STATES.map((state) => ({ value: state, label: state }))}
          />
          <Tick
            name="warm"
            defaultChecked={bySteps?.warm}
            hint={
              bySteps?.warm === true
                ? '(warmer than the room according to its steps; saved, but not used for the signature)'
                : '(saved, but not used for the signature)'
            }
            className="self-end pb-2"
          />
          {isWet && (
            <div className="sm:col-span-2">
              <Caution>
                Uncured resin is still on this part. Wear nitrile gloves and eye protection, and wipe the jaws
                before you put the caliper back. Take the gloves off before you touch the keyboard or the
                phone. Do not eat or drink here. The safety data sheet and your local rules have priority.
              </Caution>
            </div>
          )}
          <Button type="submit" weight="large" className="sm:col-span-2 sm:justify-self-start" autoFocus>
            Start measuring
          </Button>
        </ActionForm>
      )}
      <details open={instruments.length === 0}>
        <summary className="font-semibold">
          {instruments.length === 0 ? 'Add a caliper first' : 'Add caliper'}
        </summary>
        <div className="mt-3">
          <InstrumentForm />
        </div>
      </details>
    </div>
  );
}
