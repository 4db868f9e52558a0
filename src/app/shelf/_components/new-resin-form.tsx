'use client';

import { FAMILIES } from '@/core/resins';
import { describeFamily, resinForm } from '@/subjects/resin/shared';
import { ActionForm, Button, Choice, TextField } from '@/ui';
import { startResin } from '../actions';

/** Puts a resin on the shelf by its name and family. */
export function NewResinForm() {
  return (
    <ActionForm
      form={resinForm}
      action={startResin}
      label="Another resin"
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
      <Button type="submit">Put it on the shelf</Button>
    </ActionForm>
  );
}
