'use client';

import type { BottleChoice } from '@/subjects/plate';
import { aroundForm } from '@/subjects/plate/shared';
import { ActionForm, Button, Choice, TextField } from '@/ui';
import { saveAround } from '../../actions';

interface AroundFormProps {
  readonly runId: number;
  readonly bottleId?: number;
  readonly roomC?: number;
  readonly bottles: readonly BottleChoice[];
}

/** A bottle as a line of choice. */
export function bottleLabel({ lot, leftMl, reservedMl }: BottleChoice): string {
  const reserved = reservedMl > 0 ? `, ${Math.round(reservedMl)} of it reserved` : '';
  return `${lot === '' ? 'lot unknown' : lot}, ${Math.round(leftMl)} ml left${reserved}`;
}

/** What is poured from, and how warm it is. */
export function AroundForm({ runId, bottleId, roomC, bottles }: AroundFormProps) {
  return (
    <ActionForm
      form={aroundForm}
      action={saveAround.bind(null, runId)}
      label="Bottle and room"
      className="mt-3 flex flex-wrap items-end gap-3"
    >
      <div className="min-w-56">
        <Choice
          name="bottleId"
          defaultValue={bottleId === undefined ? '' : String(bottleId)}
          choices={[
            { value: '', label: bottles.length === 0 ? 'no bottle on the shelf' : 'not chosen' },
            ...bottles.map((bottle) => ({ value: String(bottle.id), label: bottleLabel(bottle) })),
          ]}
        />
      </div>
      <div className="w-28">
        <TextField name="roomC" defaultValue={roomC} />
      </div>
      <Button type="submit">Keep</Button>
    </ActionForm>
  );
}
