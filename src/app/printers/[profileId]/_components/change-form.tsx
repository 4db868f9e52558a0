'use client';

import type { ProfileSettings } from '@/core/signature';
import { changeForm } from '@/subjects/signature/shared';
import { ActionForm, Button, TextField, Tick } from '@/ui';
import { noteProfileChange } from '../../actions';

interface ChangeFormProps {
  readonly profileId: number;
  readonly settings: ProfileSettings;
}

/** What changed under a profile: each thing with its value now, where it has one. */
export function ChangeForm({ profileId, settings }: ChangeFormProps) {
  return (
    <ActionForm
      form={changeForm}
      action={noteProfileChange.bind(null, profileId)}
      label="Record a change"
      className="grid max-w-3xl gap-x-6 gap-y-3 sm:grid-cols-2"
    >
      <TextField name="film" placeholder={settings.film || 'Name'} />
      <TextField name="lot" placeholder={settings.lot || 'As printed on the bottle'} />
      {settings.exposureS === undefined && <TextField name="exposureBeforeS" />}
      <TextField name="exposureS" placeholder={settings.exposureS?.toString()} />
      <TextField name="bottomLayers" placeholder={settings.bottomLayers?.toString()} />
      <TextField name="bottomExposureS" placeholder={settings.bottomExposureS?.toString()} />
      <TextField name="layerMm" placeholder={settings.layerMm?.toString()} />
      <TextField name="wash" placeholder={settings.wash || 'alcohol, 2 × 3 min'} />
      <TextField name="cure" placeholder={settings.cure || '60 °C, 20 min'} />
      <fieldset className="sm:col-span-2">
        <legend className="text-sm text-soft">Changes without a value</legend>
        <div className="mt-1 flex flex-wrap gap-x-6 gap-y-1">
          <Tick name="kind_film" />
          <Tick name="kind_lot" />
          <Tick name="kind_plate" />
          <Tick name="kind_unknown" />
        </div>
      </fieldset>
      <TextField name="day" type="date" hint="Blank means today. The change applies from now on." />
      <TextField name="note" />
      <Button type="submit" weight="main" className="justify-self-start sm:col-span-2">
        Save change
      </Button>
    </ActionForm>
  );
}
