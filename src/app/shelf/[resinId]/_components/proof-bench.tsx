'use client';

import { PROOF_KINDS } from '@/core/resins';
import { describeProofKind, PROOF_FORMS } from '@/subjects/resin/shared';
import { ActionForm, Button, Tabs, TextField } from '@/ui';
import { saveProof } from '../../actions';
import { ProofFields } from './proof-fields';

/** The resin tests, one form per kind; the result is shown as soon as a test is saved. */
export function ProofBench({ resinId, today }: { resinId: number; today: string }) {
  const tabs = PROOF_KINDS.map((kind) => {
    const { title, shows } = describeProofKind(kind);
    return {
      id: kind,
      label: title,
      content: (
        <ActionForm
          form={PROOF_FORMS[kind]}
          action={saveProof.bind(null, resinId)}
          label={title}
          className="grid items-end gap-3 sm:grid-cols-4"
        >
          <p className="sm:col-span-4">Result: {shows}.</p>
          <input type="hidden" name="kind" value={kind} />
          <ProofFields kind={kind} resinId={resinId} />
          <TextField name="on" type="date" defaultValue={today} />
          <div className="sm:col-span-2">
            <TextField name="note" />
          </div>
          <Button type="submit" weight="main">
            Save test
          </Button>
        </ActionForm>
      ),
    };
  });
  return <Tabs label="Test types" tabs={tabs} />;
}
