'use client';

import { useState } from 'react';
import type { Ranked } from '@/core/resin';
import { describeVerdictOfResin, pickForm } from '@/subjects/resin/choice/shared';
import { ActionForm, Button, Choice, Link, Note, TextField } from '@/ui';
import { pickResin } from '../actions';

interface PickFormProps {
  readonly jobId: number;
  readonly rows: readonly {
    readonly id: number;
    readonly name: string;
    readonly verdict: Ranked['verdict'];
  }[];
  readonly printers: readonly {
    readonly id: number;
    readonly printer: string;
    readonly resin: string | null;
  }[];
  readonly start: { readonly printerId?: number; readonly layerMm: number };
}

/** The choice: which resin, on which printer, and why. */
export function PickForm({ jobId, rows, printers, start }: PickFormProps) {
  const [resinId, setResinId] = useState(rows[0].id);
  const [printerId, setPrinterId] = useState(start.printerId ?? printers[0]?.id);
  const resin = rows.find(({ id }) => id === resinId) ?? rows[0];
  const printer = printers.find(({ id }) => id === printerId);
  if (printers.length === 0)
    return (
      <Note>
        No printers yet.{' '}
        <Link href="/printers" className="underline">
          {' '}
          Add a printer{' '}
        </Link>{' '}
        to choose a resin for it.
      </Note>
    );
  return (
    <ActionForm
      form={pickForm}
      action={pickResin.bind(null, jobId)}
      label="Choose resin"
      className="grid items-end gap-3 bg-sheet px-4 py-3 sm:grid-cols-3"
    >
      <Choice
        name="resinId"
        value={resinId}
        onChange={(event) => setResinId(Number(event.target.value))}
        choices={rows.map(({ id, name, verdict }) => ({
          value: String(id),
          label: `${name}, ${describeVerdictOfResin(verdict)}`,
        }))}
      />
      <Choice
        name="printerId"
        value={printerId}
        onChange={(event) => setPrinterId(Number(event.target.value))}
        choices={printers.map(({ id, printer: name, resin: loaded }) => ({
          value: String(id),
          label: loaded === null ? `${name}, empty vat` : `${name}, ${loaded} in its vat`,
        }))}
      />
      <TextField name="layerMm" defaultValue={start.layerMm} />
      <div className="sm:col-span-2">
        <TextField name="reason" placeholder="the pass or fail reasons are saved with the choice" />
      </div>
      <Button type="submit" weight="main">
        Choose {resin.name}
      </Button>
      {printer !== undefined && printer.resin !== null && printer.resin !== resin.name && (
        <p className="text-sm text-soft sm:col-span-3">
          {printer.printer} holds {printer.resin}: changing it costs a cleaned vat, some resin and half an
          hour.
        </p>
      )}
      {resin.verdict !== 'passes' && (
        <p className="border-l-4 border-honey pl-3 text-sm sm:col-span-3">
          It does not pass all requirements. You can choose it anyway; the job records this.
        </p>
      )}
    </ActionForm>
  );
}
