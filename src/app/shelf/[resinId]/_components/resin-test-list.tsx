'use client';

import { v4 as newKey } from 'uuid';
import { workOutResinTest } from '@/core/resin';
import type { ShelvedResinTest } from '@/subjects/resin/shelf';
import {
  describeBendNote,
  describeResinTestIssue,
  describeResinTestKind,
  describeResinTestResult,
  creepAgainForm,
} from '@/subjects/resin/shelf/shared';
import { ActionForm, Button, TextField } from '@/ui';
import { removeResinTest, saveCreepAgain } from '../../actions';

interface ResinTestListProps {
  readonly resinId: number;
  readonly rows: readonly ShelvedResinTest[];
  readonly today: string;
}

/** Test results, each with its meaning and what contradicts it. */
export function ResinTestList({ resinId, rows, today }: ResinTestListProps) {
  if (rows.length === 0) return <p className="text-soft">No tests yet.</p>;
  return (
    <ul className="mb-4 border-t border-hair">
      {rows.map(({ id, test, on, note, dueOn }) => {
        const worked = workOutResinTest(test);
        const { title } = describeResinTestKind(test.kind);
        return (
          <li key={id} className="border-b border-hair py-2">
            <p className="flex flex-wrap items-baseline justify-between gap-x-4">
              <span>
                <span className="font-semibold">{title}</span>{' '}
                <span className="num">
                  {worked.ok ? describeResinTestResult(worked.value) : describeResinTestIssue(worked.issue)}
                </span>
              </span>
              <button
                type="button"
                className="min-h-7 text-sm underline"
                onClick={() => void removeResinTest(newKey(), resinId, id)}
              >
                Delete
                <span className="sr-only">
                  {' '}
                  {title} of {on}
                </span>
              </button>
            </p>
            <p className="text-sm text-soft">
              {on}
              {test.kind === 'creep' && `, under ${test.test.under}`}
              {note !== '' && `, ${note}`}
            </p>
            {worked.ok &&
              worked.value.kind === 'bend' &&
              worked.value.result.notes.map((each) => (
                <p key={each.code} className="border-l-4 border-honey pl-2 text-sm">
                  {describeBendNote(each)}.
                </p>
              ))}
            {dueOn !== '' && (
              <ActionForm
                form={creepAgainForm}
                action={saveCreepAgain.bind(null, resinId, id)}
                label="Second reading"
                className="mt-1 flex flex-wrap items-end gap-3"
              >
                <TextField
                  name="secondMm"
                  label={
                    dueOn <= today
                      ? `Overdue since ${dueOn}: measure the same place again`
                      : `Due on ${dueOn}: measure again`
                  }
                />
                <Button type="submit">Save second reading</Button>
              </ActionForm>
            )}
          </li>
        );
      })}
    </ul>
  );
}
