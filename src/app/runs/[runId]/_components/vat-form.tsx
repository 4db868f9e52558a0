'use client';

import { useState } from 'react';
import { USUAL_DENSITY, type VatReading } from '@/core/print';
import { vatForm } from '@/subjects/print/plate/shared';
import { ActionForm, Button, Choice, TextField } from '@/ui';
import { saveVat } from '../../actions';

interface VatFormProps {
  readonly printerId: number;
  readonly vat?: {
    readonly capacityMl: number;
    readonly floorMl: number;
    readonly levelMl: number;
    readonly read: VatReading;
  };
}

const FIELDS = {
  volume: ['ml'],
  marks: ['lowMl', 'highMl', 'sharePercent'],
  weight: ['fullG', 'emptyG', 'density'],
} as const;

/** How full the vat is: in millilitres, between two of its marks, or on a scale. */
export function VatForm({ printerId, vat }: VatFormProps) {
  const [by, setBy] = useState<VatReading['by']>(vat?.read.by ?? 'volume');
  const known: Partial<Record<string, number>> = {
    density: USUAL_DENSITY,
    ...(vat?.read.by === 'weight' ? { emptyG: vat.read.emptyG, density: vat.read.density } : {}),
    ...(vat?.read.by === 'marks' ? { lowMl: vat.read.lowMl, highMl: vat.read.highMl } : {}),
  };
  return (
    <ActionForm
      form={vatForm}
      action={saveVat.bind(null, printerId)}
      label="Vat level"
      className="mt-2 grid gap-3 sm:grid-cols-3"
    >
      <TextField name="capacityMl" defaultValue={vat?.capacityMl} />
      <TextField name="floorMl" defaultValue={vat?.floorMl} hint="Resin must always cover the film." />
      <Choice
        name="by"
        value={by}
        onChange={(event) => setBy(event.target.value as VatReading['by'])}
        choices={[
          { value: 'volume', label: 'in millilitres' },
          { value: 'marks', label: 'between two marks' },
          { value: 'weight', label: 'on a scale' },
        ]}
      />
      {FIELDS[by].map((name) => (
        <TextField key={name} name={name} defaultValue={known[name]} />
      ))}
      <Button type="submit" className="justify-self-start self-end">
        Save level
      </Button>
    </ActionForm>
  );
}
