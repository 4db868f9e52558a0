'use client';

import { ActionForm, Button, TextField, type FormAction } from '@/ui';

/** A printer with a resin and its settings: known names are taken again, new ones made. */
export function ProfileForm({ action }: { action: FormAction }) {
  return (
    <ActionForm
      action={action}
      label="A new printer, resin and profile"
      className="grid gap-3 sm:grid-cols-2"
    >
      <TextField name="printerName" label="Printer" placeholder="what you call it" />
      <TextField
        name="pixelMm"
        label="Pixel, without anti-aliasing"
        unit="mm"
        placeholder="0.022"
        hint="Leave blank when unknown."
      />
      <TextField name="resinName" label="Resin" />
      <TextField
        name="shrinkPercent"
        label="Linear shrink from its datasheet"
        unit="%"
        hint="Linear only; a volumetric figure does not belong here."
      />
      <TextField name="profileName" label="Profile" placeholder="0.05 mm, 2.4 s" />
      <TextField name="layerMm" label="Layer height" unit="mm" placeholder="0.05" />
      <TextField name="lot" label="Lot of the resin" />
      <label className="flex items-start gap-2 self-end pb-2">
        <input type="checkbox" name="standIn" className="mt-1 size-4" />
        <span>
          A simulated printer for practice{' '}
          <span className="text-soft">(prints on the screen, with hidden faults of its own)</span>
        </span>
      </label>
      <Button type="submit" className="justify-self-start">
        Make it
      </Button>
    </ActionForm>
  );
}
