'use client';

import { maintenanceRulesForm, type HouseMaintenance } from '@/subjects/workshop/settings/shared';
import { ActionForm, Button, TextField } from '@/ui';
import { saveMaintenanceRules } from '../actions';

const FIELDS = [
  'filmLayers',
  'filmCost',
  'panelHours',
  'filterRuns',
  'drainDays',
  'washParts',
  'lookRuns',
] as const satisfies readonly (keyof HouseMaintenance)[];

/** After how much film, resin, panel and wash want care. */
export function MaintenanceFields({ care }: { care: HouseMaintenance }) {
  return (
    <ActionForm
      form={maintenanceRulesForm}
      action={saveMaintenanceRules}
      label="Maintenance"
      className="grid gap-3"
    >
      <p className="text-sm text-soft">
        A film is also due earlier when the expected loss in the next print is higher than the cost of a new
        film. Draining the vat by days applies only if you set it in Shop practice.
      </p>
      <div className="grid gap-3 sm:grid-cols-2">
        {FIELDS.map((field) => (
          <TextField key={field} name={field} defaultValue={care[field]} inputMode="decimal" />
        ))}
      </div>
      <Button type="submit" className="justify-self-start">
        Save maintenance
      </Button>
    </ActionForm>
  );
}
