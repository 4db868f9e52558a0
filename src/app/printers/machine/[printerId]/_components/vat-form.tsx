'use client';

import { saveVat } from '@/app/shelf/actions';
import { ActionForm, Button, Choice } from '@/ui';
import { vatForm } from '@/subjects/resin/shelf/shared';

interface VatFormProps {
  readonly vat: {
    readonly id: number;
    readonly printer: string;
    readonly resinId: number | null;
    readonly since: string;
  };
  readonly resins: readonly { readonly id: number; readonly name: string }[];
}

/** What stands in a printer's vat, and since when. */
export function VatForm({ vat, resins }: VatFormProps) {
  return (
    <ActionForm
      form={vatForm}
      action={saveVat}
      label={`Vat of ${vat.printer}`}
      className="flex flex-wrap items-end gap-3 border-b border-hair py-2"
    >
      <input type="hidden" name="printerId" value={vat.id} />
      <div className="min-w-56">
        <Choice
          name="resinId"
          label={`Resin in the vat of ${vat.printer}${vat.since === '' ? '' : `, since ${vat.since}`}`}
          defaultValue={vat.resinId ?? ''}
          key={vat.resinId ?? 0}
          choices={[
            { value: '', label: 'empty' },
            ...resins.map(({ id, name }) => ({ value: String(id), label: name })),
          ]}
        />
      </div>
      <Button type="submit">
        Save<span className="sr-only"> vat of {vat.printer}</span>
      </Button>
    </ActionForm>
  );
}
