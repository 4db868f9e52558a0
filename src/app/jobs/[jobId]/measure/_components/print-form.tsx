'use client';

import { useState } from 'react';
import { printForm } from '@/subjects/part/shared';
import { ActionForm, Button, Link, TextField } from '@/ui';
import { makePrint } from '../actions';

export interface PrintFormProps {
  readonly jobId: number;
  readonly attemptId: number;
  readonly simulated: boolean;
  /** It was printed before. */
  readonly again: boolean;
  /** Findings that could lose it and that nobody passed or waived, by their titles. */
  readonly openFindings: readonly string[];
  /** There is a part, and nobody looked at its layers as it stands. */
  readonly unchecked: boolean;
  /** Where it stood on the plate last time, from the plate's middle, mm. */
  readonly place?: { readonly xMm: number; readonly yMm: number };
  /** Its sizes are there to be learned from. */
  readonly isGauge: boolean;
  /** What stands beside every part of this profile. */
  readonly control?: string;
}

/** Position of the part on the plate, and room temperature: stored with the print, blank is unknown. */
function PlaceFields({ place, isGauge }: Pick<PrintFormProps, 'place' | 'isGauge'>) {
  return (
    <details>
      <summary>Place on the plate and temperature</summary>
      <div className="mt-2 grid gap-3 sm:grid-cols-3">
        <TextField name="placeXMm" defaultValue={place?.xMm} />
        <TextField name="placeYMm" defaultValue={place?.yMm} />
        <TextField name="roomC" />
      </div>
      <p className="mt-1 text-sm text-soft">
        On many printers, the light is stronger on one side of the plate. The places separate this from other
        effects{isGauge ? ' when the same gauge is printed twice, in opposite corners.' : '.'}
      </p>
    </details>
  );
}

function labelOf({ simulated, again }: PrintFormProps): string {
  if (simulated) return again ? 'Print again on the simulated printer' : 'Print on the simulated printer';
  return again ? 'Mark as printed again' : 'Mark as printed';
}

/** Records a print: how many copies, and the reason to start anyway if a finding of Check could lose it. */
export function PrintForm(props: PrintFormProps) {
  const { jobId, attemptId, openFindings, unchecked, again } = props;
  const [copies, setCopies] = useState('1');
  const label = labelOf(props);
  return (
    <ActionForm
      form={printForm}
      action={makePrint.bind(null, jobId, attemptId)}
      label={label}
      className="grid max-w-prose gap-3"
    >
      {openFindings.length > 0 && (
        <div className="border-l-4 border-honey py-1 pl-3">
          <p className="font-semibold">
            {openFindings.length === 1
              ? 'Check found one thing that could make this print fail:'
              : `Check found ${openFindings.length} things that could make this print fail:`}
          </p>
          <ul className="list-disc pl-5">
            {openFindings.map((title) => (
              <li key={title}>{title}</li>
            ))}
          </ul>
          <p className="mt-1">
            <Link href={`/jobs/${jobId}/check`} className="font-semibold text-juniper underline">
              Review in Check
            </Link>
            , or give a reason and print anyway:
          </p>
          <div className="mt-1">
            <TextField name="despite" />
          </div>
        </div>
      )}
      {openFindings.length === 0 && unchecked && (
        <p>
          The layers of this file are not checked yet.{' '}
          <Link href={`/jobs/${jobId}/check`} className="font-semibold text-juniper underline">
            Check first
          </Link>
          : it takes seconds.
        </p>
      )}
      <div className="w-44">
        <TextField
          name="copies"
          value={copies}
          onChange={(event) => setCopies(event.target.value)}
          inputMode="numeric"
        />
      </div>
      {copies.trim() !== '1' && (
        <p className="text-sm text-soft">Measure each copy separately. Each counts as one print.</p>
      )}
      {copies.trim() === '1' && <PlaceFields {...props} />}
      {props.control !== undefined && (
        <p className="text-sm">
          Put the control piece, <strong>{props.control}</strong>, on the plate beside the part.
        </p>
      )}
      <Button type="submit" weight={again ? 'main' : 'large'} className="justify-self-start">
        {label}
      </Button>
    </ActionForm>
  );
}
