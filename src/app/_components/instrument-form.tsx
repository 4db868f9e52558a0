'use client';

import { ActionForm, Button, Choice, TextField, Tick } from '@/ui';
import { addInstrument } from './add-instrument';
import { instrumentForm } from '@/subjects/measure/calipers/shared';

/** A caliper and what is known of it. */
export function InstrumentForm() {
  return (
    <ActionForm
      form={instrumentForm}
      action={addInstrument}
      label="A caliper"
      className="grid gap-3 sm:grid-cols-2"
    >
      <TextField name="name" placeholder="Bench caliper" />
      <TextField name="mpeMm" defaultValue="0.02" />
      <TextField name="resolutionMm" defaultValue="0.01" />
      <TextField name="jawFlatMm" />
      <Choice
        name="body"
        choices={[
          { value: 'steel', label: 'steel' },
          { value: 'other', label: 'Carbon fibre or plastic' },
        ]}
      />
      <Tick name="simulated" />
      <Button type="submit" className="justify-self-start sm:col-span-2">
        Add caliper
      </Button>
    </ActionForm>
  );
}
