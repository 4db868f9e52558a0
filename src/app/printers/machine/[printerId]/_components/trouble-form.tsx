'use client';

import { CAUSE_WORDS } from '@/subjects/log/shared';
import { TROUBLE_CHOICES, troubleForm } from '@/subjects/simulated/shared';
import { ActionForm, Button, Choice } from '@/ui';
import { saveTrouble } from '../../../actions';

interface TroubleFormProps {
  readonly printerId: number;
  /** What ails it; a hidden one is not told. */
  readonly trouble: (typeof TROUBLE_CHOICES)[number];
}

/** Lets something ail the simulated printer, so that reading failures can be tried without resin. */
export function TroubleForm({ printerId, trouble }: TroubleFormProps) {
  return (
    <ActionForm form={troubleForm} action={saveTrouble} label="What ails it" className="mt-1 grid gap-3">
      <input type="hidden" name="printerId" value={printerId} />
      <Choice
        name="trouble"
        defaultValue={trouble}
        choices={TROUBLE_CHOICES.map((value) => ({ value, label: labelOf(value) }))}
      />
      <Button type="submit" className="justify-self-start">
        Let it be so
      </Button>
    </ActionForm>
  );
}

function labelOf(choice: (typeof TROUBLE_CHOICES)[number]): string {
  if (choice === 'none') return 'nothing';
  return choice === 'hidden' ? 'one of them, and you find it' : CAUSE_WORDS[choice];
}
