'use client';

import { type Rooms, STATION_WORDS, STATIONS } from '@/core/part/findings';
import { printerForm } from '@/subjects/signature/shared';
import { ActionForm, Button, TextField } from '@/ui';
import { savePrinter } from '../../../actions';

interface PrinterFormProps {
  readonly printer: {
    readonly id: number;
    readonly name: string;
    readonly pixelMm: number | null;
    readonly lightNm: number | null;
    readonly layerSeconds: number | null;
    readonly rooms: Rooms;
  };
}

const SIDES = ['length', 'width', 'height'] as const;

/** Pixel, light and layer time of a printer, and the rooms that its parts must pass through. */
export function PrinterForm({ printer }: PrinterFormProps) {
  const { id, name, pixelMm, lightNm, layerSeconds, rooms } = printer;
  return (
    <ActionForm form={printerForm} action={savePrinter} label={name} className="grid max-w-2xl gap-4">
      <input type="hidden" name="printerId" value={id} />
      <div className="grid gap-3 sm:grid-cols-3">
        <TextField name="pixelMm" defaultValue={pixelMm ?? ''} />
        <TextField name="lightNm" defaultValue={lightNm ?? ''} placeholder="405" />
        <TextField name="layerSeconds" defaultValue={layerSeconds ?? ''} />
      </div>
      <div>
        <h3 className="text-base">Maximum part size by station, mm</h3>
        <p className="text-sm text-soft">
          Check uses these sizes to find a part that fits the printer but not the wash or the lamp.
        </p>
        {STATIONS.map((station) => (
          <fieldset key={station} className="mt-2 grid grid-cols-3 gap-2 sm:grid-cols-[7rem_repeat(3,6rem)]">
            <legend className="sr-only">{STATION_WORDS[station]}</legend>
            <span aria-hidden className="self-center font-semibold max-sm:col-span-3">
              {STATION_WORDS[station]}
            </span>
            {SIDES.map((side, i) => (
              <TextField
                key={side}
                name={`${station}${i}`}
                label={side}
                defaultValue={rooms[station]?.[i] ?? ''}
              />
            ))}
          </fieldset>
        ))}
      </div>
      <Button type="submit" className="justify-self-start">
        Save printer
      </Button>
    </ActionForm>
  );
}
