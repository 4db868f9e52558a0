'use client';

import { useState } from 'react';
import type { BottleChoice } from '@/subjects/print/plate';
import { aroundForm } from '@/subjects/print/plate/shared';
import { ActionForm, Button, Choice, TextField } from '@/ui';
import { saveAround } from '../../actions';

interface AroundFormProps {
  readonly runId: number;
  readonly bottleId?: number;
  readonly roomC?: number;
  readonly bottles: readonly BottleChoice[];
  /** What the simulated thermometer shows, °C; undefined: there is none. */
  readonly thermometerC?: number;
}

/** A bottle as a line of choice. */
function bottleLabel({ lot, leftMl, reservedMl }: BottleChoice): string {
  const reserved = reservedMl > 0 ? `, ${Math.round(reservedMl)} of it reserved` : '';
  return `${lot === '' ? 'lot unknown' : lot}, ${Math.round(leftMl)} ml left${reserved}`;
}

interface BottleFieldProps {
  readonly bottles: readonly BottleChoice[];
  readonly bottleId?: number;
  /** What no bottle is called. */
  readonly none: string;
}

/** The bottle that is poured from. */
export function BottleField({ bottles, bottleId, none }: BottleFieldProps) {
  return (
    <div className="min-w-56">
      <Choice
        name="bottleId"
        defaultValue={bottleId === undefined ? '' : String(bottleId)}
        choices={[
          { value: '', label: none },
          ...bottles.map((bottle) => ({ value: String(bottle.id), label: bottleLabel(bottle) })),
        ]}
      />
    </div>
  );
}

/** What is poured from, and how warm it is. */
export function AroundForm({ runId, bottleId, roomC, bottles, thermometerC }: AroundFormProps) {
  const [room, setRoom] = useState(roomC === undefined ? '' : String(roomC));
  return (
    <ActionForm
      form={aroundForm}
      action={saveAround.bind(null, runId)}
      label="Bottle and room temperature"
      className="mt-3 flex flex-wrap items-end gap-3"
    >
      <BottleField
        bottles={bottles}
        bottleId={bottleId}
        none={bottles.length === 0 ? 'no bottle' : 'not chosen'}
      />
      <div className="w-28">
        <TextField name="roomC" value={room} onChange={(event) => setRoom(event.target.value)} />
      </div>
      <Button type="submit">Save bottle and temperature</Button>
      {thermometerC !== undefined && (
        <Button onClick={() => setRoom(String(thermometerC))}>Read simulated thermometer</Button>
      )}
    </ActionForm>
  );
}
