'use client';

import { type RunRules, runRulesForm, WEEKDAYS, writeWindows } from '@/subjects/workshop/settings/shared';
import { ActionForm, Button, TextField } from '@/ui';
import { saveRunRules } from '../actions';

/** The week begins on Monday here; the clock counts from Sunday. */
const MONDAY_FIRST = [1, 2, 3, 4, 5, 6, 0];

const RATES = [
  'machineHour',
  'workHour',
  'resinLitre',
  'perPrint',
  'glovePair',
  'coalHour',
  'perLayer',
] as const;

/** When somebody is there, how pieces lie, and what a print costs. */
export function RunFields({ run }: { run: RunRules }) {
  return (
    <ActionForm
      form={runRulesForm}
      action={saveRunRules}
      label="Working hours and costs"
      className="grid gap-3"
    >
      <p className="text-sm text-soft">
        Working hours by day: 8:00-12:00, 13:00-18:00. Blank means nobody is present.
      </p>
      <div className="grid gap-3 sm:grid-cols-2">
        {MONDAY_FIRST.map((day) => (
          <TextField
            key={WEEKDAYS[day]}
            name={`day${day}`}
            defaultValue={writeWindows(run.presence[day] ?? [])}
            placeholder="nobody"
          />
        ))}
      </div>
      <div className="grid gap-3 sm:grid-cols-2">
        <TextField name="plateGapMm" defaultValue={run.plateGapMm} />
        <TextField name="commonPercent" defaultValue={Math.round(100 * run.commonShare)} />
        <TextField name="washLoads" defaultValue={run.washLoads} inputMode="numeric" />
        {RATES.map((rate) => (
          <TextField key={rate} name={rate} defaultValue={run[rate]} />
        ))}
      </div>
      <p className="text-sm text-soft">In your currency. Only the ratios matter.</p>
      <Button type="submit" className="justify-self-start">
        Save working hours and costs
      </Button>
    </ActionForm>
  );
}
