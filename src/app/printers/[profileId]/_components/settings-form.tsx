'use client';

import type { ProfileSettings } from '@/core/signature';
import { settingsForm } from '@/subjects/signature/shared';
import { ActionForm, Button, TextField } from '@/ui';
import { saveSettings } from '../../actions';

const FIELDS = [
  'exposureS',
  'bottomExposureS',
  'bottomLayers',
  'transitionLayers',
  'restBeforeS',
  'restAfterS',
  'liftMm',
  'liftSpeed_mm_s',
  'retractSpeed_mm_s',
  'lift2Mm',
  'lift2Speed_mm_s',
  'retract2Speed_mm_s',
  'startupS',
  'light',
  'film',
  'wash',
  'cure',
] as const satisfies readonly (keyof ProfileSettings)[];

interface SettingsFormProps {
  readonly profileId: number;
  readonly settings: ProfileSettings;
}

/**
 * Print settings of a profile that were never entered. With exposures, bottom layers, lift and its speed the print time
 * is calculated layer by layer; otherwise from the printer's time per layer.
 */
export function SettingsForm({ profileId, settings }: SettingsFormProps) {
  return (
    <ActionForm
      form={settingsForm}
      action={saveSettings.bind(null, profileId)}
      label="Print settings"
      className="grid max-w-3xl gap-x-6 gap-y-3 sm:grid-cols-3"
    >
      {FIELDS.map((name) => (
        <TextField key={name} name={name} defaultValue={settings[name]} />
      ))}
      <Button type="submit" className="self-start justify-self-start">
        Save settings
      </Button>
    </ActionForm>
  );
}
