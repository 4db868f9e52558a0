'use client';

import { useState } from 'react';
import { JOINT_KINDS, type JointKind } from '@/core/fit/mating';
import type { Joint } from '@/subjects/fit/mating';
import { describeJoint, describeJointParts } from '@/subjects/fit/gauges/shared';
import { ActionForm, Button, Choice, Dialog, TextField } from '@/ui';
import { keepJoint } from '../actions';
import { jointForm } from '@/subjects/fit/mating/shared';
import { type FormAnswer } from '@/subjects/kit/shared';

/** Name of a new joint until the user types one. */
const NEW_NAMES: Readonly<Record<JointKind, string>> = {
  hinge: 'Hinge',
  ball: 'Ball joint',
  links: 'Chain',
  slider: 'Slider',
};

interface JointDialogProps {
  readonly jobId: number;
  readonly joint?: Joint;
  readonly onClose: () => void;
}

/** A joint as it is drawn, the scale it is wanted at, and how much play is too much. */
export function JointDialog({ jobId, joint, onClose }: JointDialogProps) {
  const [kind, setKind] = useState<JointKind>(joint?.kind ?? 'hinge');
  const [name, setName] = useState(joint?.name);
  const parts = describeJointParts(kind);
  const action = async (before: FormAnswer, data: FormData) => {
    const state = await keepJoint(jobId, joint?.id, before, data);
    if (state.ok) onClose();
    return state;
  };
  const shown = (value: number | null | undefined) => value ?? '';
  return (
    <Dialog
      open
      onOpenChange={(open) => !open && onClose()}
      title={joint === undefined ? 'Joint printed in place' : joint.name}
    >
      <ActionForm form={jointForm} action={action} label="A joint" className="grid gap-3 sm:grid-cols-2">
        <TextField
          name="name"
          value={name ?? NEW_NAMES[kind]}
          onChange={(event) => setName(event.target.value)}
        />
        <Choice
          name="kind"
          value={kind}
          onChange={(event) => setKind(event.target.value as JointKind)}
          choices={JOINT_KINDS.map((each) => ({ value: each, label: describeJoint(each) }))}
        />
        <TextField name="gapMm" defaultValue={joint?.gapMm ?? 0.25} />
        <TextField name="heightGapMm" defaultValue={shown(joint?.heightGapMm)} />
        <TextField name="pinMm" label={parts.pin} defaultValue={joint?.pinMm ?? 5} />
        <TextField name="spanMm" label={parts.span} defaultValue={joint?.spanMm ?? 12} />
        <TextField
          name="scalePercent"
          defaultValue={joint === undefined ? 100 : Math.round(joint.scale * 1000) / 10}
        />
        <Choice
          name="freed"
          defaultValue={joint?.freed ?? 'green'}
          choices={[
            { value: 'green', label: 'green, before curing' },
            { value: 'cured', label: 'after curing' },
          ]}
        />
        <TextField name="mostAngleDeg" defaultValue={shown(joint?.mostAngleDeg)} />
        <TextField name="mostLateralMm" defaultValue={shown(joint?.mostLateralMm)} />
        <Button type="submit" weight="main" className="justify-self-start">
          Save joint
        </Button>
      </ActionForm>
    </Dialog>
  );
}
