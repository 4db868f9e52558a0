'use client';

import { ActionForm, Button, TextField } from '@/ui';
import { saveHouse } from '../actions';
import { houseForm } from '@/subjects/house/shared';

export function HouseFields({ benchName, letterKeys }: { benchName: string; letterKeys: boolean }) {
  return (
    <ActionForm form={houseForm} action={saveHouse} label="House" className="grid gap-3">
      <TextField name="benchName" defaultValue={benchName} />
      <label className="flex items-start gap-2">
        <input type="checkbox" name="letterKeys" defaultChecked={letterKeys} className="mt-1 size-4" />
        <span>
          Single letters work as keys <span className="text-soft">(switch off for speech input)</span>
        </span>
      </label>
      <Button type="submit" className="justify-self-start">
        Keep this
      </Button>
    </ActionForm>
  );
}
