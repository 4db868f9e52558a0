'use client';

import { formatSigned } from '@/core/kit/wording';
import { useMemo, useRef } from 'react';
import { RUINS, WISHES } from '@/core/fit/mating';
import { type Sheet, SHEET_KINDS, type SheetChoices, type SheetOption, SHEETS } from '@/core/job/sheets';
import { describeRuin, describeWish } from '@/subjects/kit/shared';
import { sheetFormOf, sheetKindForm } from '@/subjects/job/sheets/shared';
import { ActionForm, Button, Choice, TextField } from '@/ui';
import { changeSheetKind, saveSheet } from '../actions';

interface SheetChoicesFormProps {
  readonly jobId: number;
  readonly choices: SheetChoices;
  readonly options: readonly SheetOption[];
  readonly interfaces: Sheet['interfaces'];
}

/** The fit at each interface, and the plain numbers of the sheet. A fit counts as soon as it is chosen. */
export function SheetChoicesForm({ jobId, choices, options, interfaces }: SheetChoicesFormProps) {
  const form = useMemo(() => sheetFormOf(choices.kind, interfaces), [choices.kind, interfaces]);
  const box = useRef<HTMLDivElement>(null);
  const send = () => box.current?.closest('form')?.requestSubmit();
  return (
    <section aria-labelledby="wishes-title">
      <h2 id="wishes-title" className="mb-2 text-lg">
        Fit
      </h2>
      <ActionForm
        form={form}
        action={saveSheet.bind(null, jobId, choices.kind)}
        label="Fits and values of this sheet"
        className="grid gap-3"
      >
        <div ref={box} className="grid gap-3">
          {interfaces.map(({ id, wish, ruin, band, clearance, coatMm }) => (
            <div key={id} className="grid gap-2 sm:grid-cols-2">
              <input type="hidden" name={`coat_${id}`} value={coatMm ?? 0} />
              <Choice
                name={`wish_${id}`}
                defaultValue={wish}
                onChange={send}
                hint={
                  band === undefined
                    ? describeWish(wish).means
                    : `${describeWish(wish).means}; clearance ${formatSigned(band.lowMm)} to ${formatSigned(band.highMm)}`
                }
                choices={WISHES.map((each) => ({ value: each, label: describeWish(each).name }))}
              />
              <Choice
                name={`ruin_${id}`}
                defaultValue={ruin}
                onChange={send}
                choices={RUINS.map((each) => ({ value: each, label: describeRuin(each) }))}
              />
              <details className="sm:col-span-2" open={clearance !== undefined}>
                <summary className="text-sm text-soft">custom clearance instead of the class</summary>
                <div className="mt-1 grid gap-2 sm:grid-cols-2">
                  <TextField name={`least_${id}`} defaultValue={clearance?.lowMm ?? ''} />
                  <TextField name={`most_${id}`} defaultValue={clearance?.highMm ?? ''} />
                </div>
              </details>
            </div>
          ))}
          <div className="grid gap-3 sm:grid-cols-2">
            {options.map(({ id, standard }) => (
              <TextField
                key={id}
                name={`option_${id}`}
                placeholder={String(standard)}
                defaultValue={choices.options[id] ?? ''}
              />
            ))}
          </div>
        </div>
        <Button type="submit" className="justify-self-start">
          Save fits and values
        </Button>
      </ActionForm>
      <ActionForm
        form={sheetKindForm}
        action={changeSheetKind.bind(null, jobId)}
        label="Change sheet"
        className="mt-3"
      >
        <details>
          <summary className="text-sm text-soft">Other kind of part</summary>
          <AnotherKind kind={choices.kind} />
        </details>
      </ActionForm>
    </section>
  );
}

function AnotherKind({ kind }: { kind: SheetChoices['kind'] }) {
  return (
    <div className="mt-2 flex items-end gap-2">
      <Choice name="kind" defaultValue={kind} choices={KINDS.map(({ value, label }) => ({ value, label }))} />
      <Button type="submit">Change sheet</Button>
    </div>
  );
}

const KINDS = SHEET_KINDS.map((value) => ({ value, label: SHEETS[value].title }));
