'use client';

import { ActionForm, Button, Choice, TextArea, TextField } from '@/ui';
import { describeRule } from '@/words';
import { saveNeed } from '../actions';

interface NeedFieldsProps {
  readonly jobId: number;
  readonly job: {
    readonly name: string;
    readonly need: string;
    readonly acceptance: string;
    readonly profileId: number | null;
    readonly rule: 'guarded' | 'shared';
    readonly revision: number;
  };
  readonly profiles: readonly { readonly id: number; readonly label: string }[];
}

export function NeedFields({ jobId, job, profiles }: NeedFieldsProps) {
  return (
    <ActionForm
      action={saveNeed.bind(null, jobId)}
      label="What it must do"
      className="grid gap-3"
      key={job.profileId}
    >
      <input type="hidden" name="revision" value={job.revision} />
      <TextField name="name" label="Name" defaultValue={job.name} />
      <TextArea name="need" label="What it must do, between what" defaultValue={job.need} />
      <TextArea
        name="acceptance"
        label="Acceptance test, agreed before printing"
        placeholder="pushes in by thumb, stays when shaken upside down …"
        defaultValue={job.acceptance}
      />
      <Choice
        name="profileId"
        label="Printer, resin and profile"
        defaultValue={job.profileId ?? ''}
        choices={[
          { value: '', label: 'not chosen yet' },
          ...profiles.map(({ id, label }) => ({ value: String(id), label })),
        ]}
      />
      <Choice
        name="rule"
        label="When is a size in?"
        defaultValue={job.rule}
        hint="Guarded is the default: a size near a limit is not called in while its uncertainty reaches over it."
        choices={(['guarded', 'shared'] as const).map((rule) => ({ value: rule, label: describeRule(rule) }))}
      />
      <Button type="submit" className="justify-self-start">
        Keep this
      </Button>
    </ActionForm>
  );
}
