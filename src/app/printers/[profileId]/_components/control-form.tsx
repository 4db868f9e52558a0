'use client';

import { controlForm } from '@/subjects/signature/shared';
import { ActionForm, Button, Choice } from '@/ui';
import { chooseControlFeature } from '../../actions';

interface ControlFormProps {
  readonly profileId: number;
  readonly choices: readonly { readonly id: number; readonly label: string }[];
  readonly chosenId?: number;
}

/** Chooses the control feature of a profile from the sizes of its gauges. */
export function ControlForm({ profileId, choices, chosenId }: ControlFormProps) {
  return (
    <ActionForm
      form={controlForm}
      action={chooseControlFeature.bind(null, profileId)}
      label="Control piece"
      className="flex flex-wrap items-end gap-3"
    >
      <Choice
        name="featureId"
        defaultValue={chosenId}
        choices={[
          { value: '', label: 'none' },
          ...choices.map(({ id, label }) => ({ value: String(id), label })),
        ]}
      />
      <Button type="submit">Select</Button>
    </ActionForm>
  );
}
