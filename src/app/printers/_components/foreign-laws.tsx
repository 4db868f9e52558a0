'use client';

import { useState } from 'react';
import { v4 as newKey } from 'uuid';
import type { ForeignGlance } from '@/subjects/signature';
import { describeLawIssue, foreignForm } from '@/subjects/signature/shared';
import { ActionForm, Button, Choice, PlainField, TextField } from '@/ui';
import { addForeignLaw, dropForeignLaw } from '../actions';

interface ForeignLawsProps {
  readonly laws: readonly ForeignGlance[];
  readonly printers: readonly { readonly id: number; readonly name: string }[];
  readonly resins: readonly { readonly id: number; readonly name: string }[];
}

function choicesOf(rows: ForeignLawsProps['printers']) {
  return [{ value: '', label: 'none' }, ...rows.map(({ id, name }) => ({ value: String(id), label: name }))];
}

/** Signatures of other workshops, imported by file, and which profiles use each. */
export function ForeignLaws({ laws, printers, resins }: ForeignLawsProps) {
  const [text, setText] = useState('');
  return (
    <details className="mt-3">
      <summary className="font-semibold">
        Signatures from other shops{laws.length > 0 && `: ${laws.length}`}
      </summary>
      <ul className="mt-2">
        {laws.map(({ id, name, printer, resin, trouble }) => (
          <li
            key={id}
            className="flex flex-wrap items-baseline justify-between gap-x-6 border-b border-hair py-1"
          >
            <span>
              <strong>{name}</strong>{' '}
              <span className="text-soft">
                {trouble === undefined
                  ? `used for ${[printer, resin].filter((each) => each !== null).join(' and ')}`
                  : `set aside, not used: ${describeLawIssue(trouble)}`}
              </span>
            </span>
            <Button onClick={() => void dropForeignLaw(newKey(), id)}>Stop using it</Button>
          </li>
        ))}
      </ul>
      <ActionForm
        form={foreignForm}
        action={addForeignLaw}
        label="Import a signature from another shop"
        className="mt-3 grid max-w-2xl gap-3 sm:grid-cols-2"
      >
        <div className="sm:col-span-2">
          <PlainField
            name="file"
            label="Signature file, exported from another workshop or the command line"
            type="file"
            accept=".json,application/json"
            onChange={(event) => void event.target.files?.[0]?.text().then(setText)}
          />
          <input type="hidden" name="text" value={text} readOnly />
        </div>
        <TextField name="name" placeholder="the workshop across the street" />
        <span />
        <Choice name="printerId" choices={choicesOf(printers)} />
        <Choice name="resinId" choices={choicesOf(resins)} />
        <Button type="submit" className="justify-self-start sm:col-span-2">
          Import
        </Button>
      </ActionForm>
    </details>
  );
}
