'use client';

import { ActionForm, Button, TextField, Tick } from '@/ui';
import { saveHouse } from '../actions';
import { houseForm } from '@/subjects/house/shared';

export function HouseFields({ benchName, letterKeys }: { benchName: string; letterKeys: boolean }) {
  return (
    <ActionForm form={houseForm} action={saveHouse} label="House" className="grid gap-3">
      <TextField name="benchName" defaultValue={benchName} />
      <Tick name="letterKeys" defaultChecked={letterKeys} hint="(switch off for speech input)" />
      <Button type="submit" className="justify-self-start">
        Keep this
      </Button>
    </ActionForm>
  );
}
