'use client';

import { useState } from 'react';
import type { PrintSetup } from '@/core/part/findings';
import { ActionForm, Button, TextField } from '@/ui';
import { savePrintSetup } from '../actions';
import { printSetupForm } from '@/subjects/part/shared';

const STANCES = [
  { value: 'plate', label: 'Flat on the plate', says: 'its lowest face sticks to the plate' },
  { value: 'supports', label: 'On supports', says: 'you add them in the slicer; enter their height' },
  { value: 'inFile', label: 'Supports in the file', says: 'the supports stand on the plate' },
] as const;

/** Asks how the part will stand, before anything is judged. */
export function PrintSetupForm({ jobId, stance }: { jobId: number; stance?: PrintSetup }) {
  const [chosen, setChosen] = useState<PrintSetup['kind'] | undefined>(stance?.kind);
  return (
    <ActionForm
      form={printSetupForm}
      action={savePrintSetup.bind(null, jobId)}
      label="Support"
      className="grid gap-2"
    >
      {STANCES.map(({ value, label, says }) => (
        <label key={value} className="flex min-h-8 items-center gap-2">
          <input
            type="radio"
            name="stance"
            value={value}
            checked={chosen === value}
            onChange={() => setChosen(value)}
            className="size-4"
          />
          <span>
            <span className="font-semibold">{label}</span> <span className="text-sm text-soft">{says}</span>
          </span>
        </label>
      ))}
      {chosen === 'supports' && (
        <div className="w-56">
          <TextField name="liftMm" defaultValue={stance?.kind === 'supports' ? String(stance.liftMm) : '5'} />
        </div>
      )}
      <Button type="submit" weight={stance === undefined ? 'main' : 'plain'} className="justify-self-start">
        {stance === undefined ? 'Check the layers' : 'Apply'}
      </Button>
    </ActionForm>
  );
}
