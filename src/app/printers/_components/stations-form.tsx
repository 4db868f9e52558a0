'use client';

import { type Rooms, STATIONS } from '@/core/findings';
import { STATION_WORDS } from '@/subjects/check/shared';
import { ActionForm, Button, TextField } from '@/ui';
import { saveStations } from '../actions';
import { stationsForm } from '@/subjects/printing/shared';

interface StationsFormProps {
  readonly printer: {
    readonly id: number;
    readonly printer: string;
    readonly rooms: Rooms;
    readonly layerSeconds: number | null;
  };
}

const SIDES = ['length', 'width', 'height'] as const;

/** Rooms of the machines that a part of this printer must pass through, and what a layer takes. */
export function StationsForm({ printer: { id, printer, rooms, layerSeconds } }: StationsFormProps) {
  return (
    <ActionForm
      form={stationsForm}
      action={saveStations}
      label={`Stations of ${printer}`}
      className="border-b border-hair py-2"
    >
      <input type="hidden" name="printerId" value={id} />
      <h3 className="font-semibold">{printer}</h3>
      <div className="flex flex-wrap items-end gap-x-6 gap-y-2">
        {STATIONS.map((station) => (
          <fieldset key={station} className="flex items-end gap-2">
            <legend className="text-sm text-soft">Room, {STATION_WORDS[station]}, mm</legend>
            {SIDES.map((side, i) => (
              <div key={side} className="w-20">
                <TextField name={`${station}${i}`} label={side} defaultValue={rooms[station]?.[i] ?? ''} />
              </div>
            ))}
          </fieldset>
        ))}
        <div className="w-32">
          <TextField name="layerSeconds" defaultValue={layerSeconds ?? ''} />
        </div>
        <Button type="submit">
          Keep<span className="sr-only"> the stations of {printer}</span>
        </Button>
      </div>
    </ActionForm>
  );
}
