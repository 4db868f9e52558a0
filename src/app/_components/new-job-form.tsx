'use client';

import { newJobForm } from '@/subjects/job/jobs/shared';
import { ActionForm, Button, TextField } from '@/ui';
import { startJob } from '../actions';

/** Names a new thing that must fit, and opens its job. */
export function NewJobForm({ isFirst }: { isFirst: boolean }) {
  return (
    <ActionForm
      form={newJobForm}
      action={startJob}
      label="New job"
      className="flex max-w-xl flex-wrap items-end gap-3"
    >
      <div className="min-w-60 flex-1">
        <TextField name="name" placeholder="bushing, housing, hinge …" />
      </div>
      <Button type="submit" weight={isFirst ? 'main' : 'plain'}>
        Create job
      </Button>
    </ActionForm>
  );
}
