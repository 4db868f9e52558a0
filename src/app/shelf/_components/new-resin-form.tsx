'use client';

import { FAMILIES } from '@/core/resin';
import { describeFamily, resinForm } from '@/subjects/resin/shelf/shared';
import { ActionForm, Button, Choice, TextField } from '@/ui';
import { startResin } from '../actions';

/** Adds a resin by name and family. */
export function NewResinForm() {
  return (
    <ActionForm
      form={resinForm}
      action={startResin}
      label="New resin"
      className="grid items-end gap-3 sm:grid-cols-3"
    >
      <TextField name="name" />
      <Choice
        name="family"
        choices={FAMILIES.filter((family) => family !== 'blend').map((family) => ({
          value: family,
          label: describeFamily(family),
        }))}
      />
      <Button type="submit">Add resin</Button>
    </ActionForm>
  );
}
