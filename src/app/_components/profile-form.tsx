'use client';

import { ActionForm, Button, type FormAction, TextField, Tick } from '@/ui';
import { profileForm } from '@/subjects/signature/shared';

/** A printer with a resin and its settings: known names are taken again, new ones made. */
export function ProfileForm({ action }: { action: FormAction }) {
  return (
    <ActionForm
      form={profileForm}
      action={action}
      label="New printer, resin and profile"
      className="grid gap-3 sm:grid-cols-2"
    >
      <TextField name="printerName" placeholder="what you call it" />
      <TextField name="pixelMm" placeholder="0.022" />
      <TextField name="resinName" />
      <TextField name="shrinkPercent" />
      <TextField name="profileName" placeholder="0.05 mm, 2.4 s" />
      <TextField name="layerMm" placeholder="0.05" />
      <TextField name="lot" />
      <Tick name="simulated" hint="(prints on screen, with hidden faults)" className="self-end pb-2" />
      <Button type="submit" className="justify-self-start">
        Create profile
      </Button>
    </ActionForm>
  );
}
