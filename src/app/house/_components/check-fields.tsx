'use client';

import type { CheckRules } from '@/core/part/findings';
import { ActionForm, Button, TextField } from '@/ui';
import { saveCheckRules } from '../actions';
import { checkRulesForm } from '@/subjects/workshop/settings/shared';

const FIELDS = [
  'wallPixels',
  'leastGapMm',
  'floorLayers',
  'selfSupportingDeg',
  'hangMm2',
  'peelPercent',
  'contactPercent',
  'cupMm2',
] as const;

/** Limits that parts are checked against before printing. */
export function CheckFields({ rules }: { rules: CheckRules }) {
  const { peelShare, contactShare, ...same } = rules;
  const values = { ...same, peelPercent: 100 * peelShare, contactPercent: 100 * contactShare };
  return (
    <ActionForm
      form={checkRulesForm}
      action={saveCheckRules}
      label="Check limits"
      className="grid gap-3 sm:grid-cols-2"
    >
      {FIELDS.map((name) => (
        <TextField key={name} name={name} defaultValue={String(Math.round(values[name] * 1000) / 1000)} />
      ))}
      <Button type="submit" className="justify-self-start self-end">
        Save limits
      </Button>
    </ActionForm>
  );
}
