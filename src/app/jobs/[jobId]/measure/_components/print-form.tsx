'use client';

import { useState } from 'react';
import { printForm } from '@/subjects/check/shared';
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

/** Where the part stood on the plate, and the warmth of the room: remembered with the print, blank is nobody knows. */
function PlaceFields({ place, isGauge }: Pick<PrintFormProps, 'place' | 'isGauge'>) {
  return (
    <details>
      <summary>Where on the plate, how warm</summary>
      <div className="mt-2 grid gap-3 sm:grid-cols-3">
        <TextField name="placeXMm" defaultValue={place?.xMm} />
        <TextField name="placeYMm" defaultValue={place?.yMm} />
        <TextField name="roomC" />
      </div>
      <p className="mt-1 text-sm text-soft">
        The light of many machines leans over the plate. Places tell it from the rest
        {isGauge ? ' where the same gauge is printed twice, in opposite corners.' : '.'}
      </p>
    </details>
  );
}

function labelOf({ simulated, again }: PrintFormProps): string {
  if (simulated)
    return again ? 'Print it again on the simulated printer' : 'Print it on the simulated printer';
  return again ? 'It is printed again' : 'It is printed';
}

/** Notes a print: how many copies, and why all the same where something found under Check could lose it. */
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
              ? 'Check found something that could lose this print:'
              : `Check found ${openFindings.length} things that could lose this print:`}
          </p>
          <ul className="list-disc pl-5">
            {openFindings.map((title) => (
              <li key={title}>{title}</li>
            ))}
          </ul>
          <p className="mt-1">
            <Link href={`/jobs/${jobId}/check`} className="font-semibold text-juniper underline">
              Look at them under Check
            </Link>
            , or print it all the same and say why:
          </p>
          <div className="mt-1">
            <TextField name="despite" />
          </div>
        </div>
      )}
      {openFindings.length === 0 && unchecked && (
        <p>
          Nobody has looked at the layers of this file yet.{' '}
          <Link href={`/jobs/${jobId}/check`} className="font-semibold text-juniper underline">
            Check it first
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
        <p className="text-sm text-soft">Each copy is measured by itself and counts as a print of its own.</p>
      )}
      {copies.trim() === '1' && <PlaceFields {...props} />}
      {props.control !== undefined && (
        <p className="text-sm">
          Put the control piece, <strong>{props.control}</strong>, beside it on the plate.
        </p>
      )}
      <Button type="submit" weight={again ? 'main' : 'large'} className="justify-self-start">
        {label}
      </Button>
    </ActionForm>
  );
}
