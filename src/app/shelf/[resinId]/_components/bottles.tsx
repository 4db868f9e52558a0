'use client';

import { v4 as newKey } from 'uuid';
import type { ShelvedBottle } from '@/subjects/resin/shelf';
import { ActionForm, Button, TextField } from '@/ui';
import { noteShaken, removeBottle, saveBottle, saveLeft } from '../../actions';
import { leftForm, bottleForm } from '@/subjects/resin/shelf/shared';

const SMALL = 'min-h-7 px-1 text-sm underline';

function Bottle({ resinId, bottle }: { resinId: number; bottle: ShelvedBottle }) {
  const { id, batch, openedOn, fullMl, leftMl, shakenOn } = bottle;
  const name = batch === '' ? `bottle ${id}` : batch;
  return (
    <li className="border-b border-hair py-2">
      <p>
        <span className="font-semibold">{name}</span>{' '}
        <span className="text-sm text-soft">
          {openedOn === '' ? 'sealed' : `opened ${openedOn}`}
          {shakenOn === undefined ? '' : `, shaken ${shakenOn}`}
        </span>
      </p>
      <div className="my-1 h-2.5 border border-edge" aria-hidden>
        <div className="h-full bg-juniper" style={{ width: `${Math.min(100, (100 * leftMl) / fullMl)}%` }} />
      </div>
      <p className="flex flex-wrap items-baseline gap-x-3">
        <span>
          <span className="num">{Math.round(leftMl)}</span> of{' '}
          <span className="num">{Math.round(fullMl)}</span> ml left
        </span>
        <button type="button" className={SMALL} onClick={() => void noteShaken(newKey(), resinId, id)}>
          Mark as shaken<span className="sr-only">: {name}</span>
        </button>
        <button type="button" className={SMALL} onClick={() => void removeBottle(newKey(), resinId, id)}>
          Mark as empty<span className="sr-only">: {name}</span>
        </button>
      </p>
      <details>
        <summary className="text-sm text-soft">Update remaining volume</summary>
        <ActionForm
          form={leftForm}
          action={saveLeft.bind(null, resinId, id)}
          label={`Remaining volume in ${name}`}
          className="mt-1 grid grid-cols-3 items-end gap-2"
        >
          <TextField name="leftMl" />
          <TextField name="weighedG" />
          <TextField name="emptyG" />
          <Button type="submit" className="col-span-3 justify-self-start">
            Save remaining volume
          </Button>
        </ActionForm>
      </details>
    </li>
  );
}

/** Bottles of a resin: batch, opened, what is left by level or weight. */
export function Bottles({ resinId, bottles }: { resinId: number; bottles: readonly ShelvedBottle[] }) {
  return (
    <>
      {bottles.length === 0 && <p className="text-soft">No bottles recorded.</p>}
      <ul>
        {bottles.map((bottle) => (
          <Bottle key={bottle.id} resinId={resinId} bottle={bottle} />
        ))}
      </ul>
      <details className="mt-2">
        <summary className="text-sm text-soft">Add bottle</summary>
        <ActionForm
          form={bottleForm}
          action={saveBottle.bind(null, resinId)}
          label="Add bottle"
          className="mt-2 grid grid-cols-2 items-end gap-2"
        >
          <TextField name="batch" />
          <TextField name="openedOn" type="date" />
          <TextField name="fullMl" />
          <TextField name="leftMl" />
          <Button type="submit" className="justify-self-start">
            Save bottle
          </Button>
        </ActionForm>
      </details>
    </>
  );
}
