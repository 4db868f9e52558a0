'use client';

import type { CheckRules } from '@/core/findings';
import { ActionForm, Button, TextField } from '@/ui';
import { saveCheckRules } from '../actions';
import { checkRulesForm } from '@/subjects/house/shared';

/** What this house holds a part to before it is printed. */
export function CheckFields({ rules }: { rules: CheckRules }) {
  const fields = [
    { name: 'wallPixels', label: 'Least wall, pixels', value: rules.wallPixels },
    { name: 'leastGapMm', label: 'Least gap without a ladder, mm', value: rules.leastGapMm },
    { name: 'selfSupportingDeg', label: 'Holds itself from, degrees', value: rules.selfSupportingDeg },
    { name: 'hangMm2', label: 'Hangs free, at most, mm²', value: rules.hangMm2 },
    { name: 'peelPercent', label: 'Peels at once, % of the plate', value: 100 * rules.peelShare },
    { name: 'contactPercent', label: 'First layer, % of the largest', value: 100 * rules.contactShare },
    { name: 'cupMm2', label: 'A cup counts from, mm²', value: rules.cupMm2 },
  ];
  return (
    <ActionForm
      form={checkRulesForm}
      action={saveCheckRules}
      label="Before printing"
      className="grid gap-3 sm:grid-cols-2"
    >
      {fields.map(({ name, label, value }) => (
        <TextField
          key={name}
          name={name}
          label={label}
          defaultValue={String(Math.round(value * 1000) / 1000)}
        />
      ))}
      <Button type="submit" className="justify-self-start self-end">
        Keep these
      </Button>
    </ActionForm>
  );
}
