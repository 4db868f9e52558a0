'use client';

import { RESIN_TEST_KINDS } from '@/core/resin';
import { describeResinTestKind, RESIN_TEST_FORMS } from '@/subjects/resin/shelf/shared';
import { ActionForm, Button, Tabs, TextField } from '@/ui';
import { saveResinTest } from '../../actions';
import { ResinTestFields } from './resin-test-fields';

/** The resin tests, one form per kind; the result is shown as soon as a test is saved. */
export function ResinTestBench({ resinId, today }: { resinId: number; today: string }) {
  const tabs = RESIN_TEST_KINDS.map((kind) => {
    const { title, shows } = describeResinTestKind(kind);
    return {
      id: kind,
      label: title,
      content: (
        <ActionForm
          form={RESIN_TEST_FORMS[kind]}
          action={saveResinTest.bind(null, resinId)}
          label={title}
          className="grid items-end gap-3 sm:grid-cols-4"
        >
          <p className="sm:col-span-4">Result: {shows}.</p>
          <input type="hidden" name="kind" value={kind} />
          <ResinTestFields kind={kind} resinId={resinId} />
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
