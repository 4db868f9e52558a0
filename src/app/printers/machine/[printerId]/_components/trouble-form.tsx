'use client';

import { causeOf } from '@/core/log';
import { TROUBLE_CHOICES, troubleForm } from '@/subjects/simulated/shared';
import { ActionForm, Button, Choice } from '@/ui';
import { saveTrouble } from '../../../actions';

interface TroubleFormProps {
  readonly printerId: number;
  /** Its fault; a hidden one is not shown. */
  readonly trouble: (typeof TROUBLE_CHOICES)[number];
}

/** Sets a fault on the simulated printer, so that reading failures can be practised without resin. */
export function TroubleForm({ printerId, trouble }: TroubleFormProps) {
  return (
    <ActionForm form={troubleForm} action={saveTrouble} label="Simulated fault" className="mt-1 grid gap-3">
      <input type="hidden" name="printerId" value={printerId} />
      <Choice
        name="trouble"
        defaultValue={trouble}
        choices={TROUBLE_CHOICES.map((value) => ({ value, label: labelOf(value) }))}
      />
      <Button type="submit" className="justify-self-start">
        Apply fault
      </Button>
    </ActionForm>
  );
}

function labelOf(choice: (typeof TROUBLE_CHOICES)[number]): string {
  if (choice === 'none') return 'no fault';
  return choice === 'hidden' ? 'random fault, for you to find' : causeOf(choice).words;
}
