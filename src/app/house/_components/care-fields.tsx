'use client';

import { careRulesForm, type HouseCare } from '@/subjects/house/shared';
import { ActionForm, Button, TextField } from '@/ui';
import { saveCareRules } from '../actions';

const FIELDS = [
  'filmLayers',
  'filmCost',
  'panelHours',
  'filterRuns',
  'drainDays',
  'washParts',
  'lookRuns',
] as const satisfies readonly (keyof HouseCare)[];

/** After how much film, resin, panel and wash want care. */
export function CareFields({ care }: { care: HouseCare }) {
  return (
    <ActionForm form={careRulesForm} action={saveCareRules} label="Care" className="grid gap-3">
      <p className="text-sm text-soft">
        A film is also due sooner, where what it is likely to spoil of the next print costs more than a new
        one. The vat is drained by days only where the house does so (Where practice differs).
      </p>
      <div className="grid gap-3 sm:grid-cols-2">
        {FIELDS.map((field) => (
          <TextField key={field} name={field} defaultValue={care[field]} inputMode="decimal" />
        ))}
      </div>
      <Button type="submit" className="justify-self-start">
        Keep care
      </Button>
    </ActionForm>
  );
}
