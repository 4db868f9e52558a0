'use client';

import { ActionForm, Button, TextField } from '@/ui';
import { addInstrument } from './add-instrument';

/** A caliper and what is known of it. */
export function InstrumentForm() {
  return (
    <ActionForm action={addInstrument} label="A caliper" className="grid gap-3 sm:grid-cols-2">
      <TextField name="name" id="instrument-name" label="Name" placeholder="bench caliper" />
      <TextField
        name="mpeMm"
        label="Limit of error"
        unit="mm"
        defaultValue="0.02"
        hint="From its sheet, or better from a check piece."
      />
      <TextField name="resolutionMm" label="Resolution" unit="mm" defaultValue="0.01" />
      <TextField
        name="jawFlatMm"
        label="Flats of the inside jaws"
        unit="mm"
        hint="They bridge a bore and read it small. Blank: unknown, and holes and jaws cannot be told apart."
      />
      <label className="flex items-start gap-2">
        <input type="checkbox" name="standIn" className="mt-1 size-4" />
        <span>A simulated caliper, for parts of a simulated printer</span>
      </label>
      <Button type="submit" className="justify-self-start sm:col-span-2">
        Put it on the bench
      </Button>
    </ActionForm>
  );
}
