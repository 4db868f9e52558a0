'use client';

import type { ProfileSettings } from '@/core/signature';
import { settingsForm } from '@/subjects/printing/shared';
import { ActionForm, Button, TextField } from '@/ui';
import { saveSettings } from '../../actions';

interface SettingsFormProps {
  readonly profileId: number;
  readonly settings: ProfileSettings;
}

/** What a profile is printed under, where it was never written down. */
export function SettingsForm({ profileId, settings }: SettingsFormProps) {
  return (
    <ActionForm
      form={settingsForm}
      action={saveSettings.bind(null, profileId)}
      label="What it is printed under"
      className="grid max-w-3xl gap-x-6 gap-y-3 sm:grid-cols-3"
    >
      <TextField name="exposureS" defaultValue={settings.exposureS} />
      <TextField name="bottomLayers" defaultValue={settings.bottomLayers} />
      <TextField name="transitionLayers" defaultValue={settings.transitionLayers} />
      <TextField name="film" defaultValue={settings.film} />
      <TextField name="wash" defaultValue={settings.wash} />
      <TextField name="cure" defaultValue={settings.cure} />
      <Button type="submit" className="justify-self-start">
        Write it down
      </Button>
    </ActionForm>
  );
}
