'use client';

import { checkPieceForm } from '@/subjects/measure/calipers/shared';
import { ActionForm, Button, Choice, TextField, Tick } from '@/ui';
import { checkCaliper } from './check-caliper';

interface CheckPieceFormProps {
  readonly instrumentId: number;
  readonly name: string;
}

/** A piece of known size and what the caliper shows on it; the piece stays for the next reading. */
export function CheckPieceForm({ instrumentId, name }: CheckPieceFormProps) {
  return (
    <ActionForm
      form={checkPieceForm}
      action={checkCaliper.bind(null, instrumentId)}
      label={`Check ${name} on a reference piece`}
      className="grid gap-3 sm:grid-cols-2"
    >
      <TextField name="piece" placeholder="10 mm gauge block" />
      <Choice
        name="jaw"
        choices={[
          { value: 'outside', label: 'Outside jaws' },
          { value: 'inside', label: 'Inside jaws' },
        ]}
      />
      <TextField name="knownMm" placeholder="10" />
      <TextField name="uncertaintyMm" defaultValue="0.001" />
      <TextField name="readingMm" inputMode="decimal" />
      <Tick name="isRight" />
      <Button type="submit" className="justify-self-start sm:col-span-2">
        Save reading
      </Button>
    </ActionForm>
  );
}
