'use client';

import { useState } from 'react';
import { JOINT_KINDS, type JointKind } from '@/core/fits';
import type { Joint } from '@/subjects/fit';
import { describeJoint } from '@/subjects/gauge/shared';
import { ActionForm, Button, Choice, Dialog, type FormState, TextField } from '@/ui';
import { keepJoint } from '../actions';

interface KindWords {
  readonly pin: string;
  readonly span: string;
}

const KIND_WORDS: Readonly<Record<JointKind, KindWords>> = {
  hinge: { pin: 'Pin, diameter', span: 'Length of the knuckles on the pin' },
  ball: { pin: 'Ball, diameter', span: 'Depth of the socket round it' },
  links: { pin: 'Bar of a link', span: 'Inside length of a link' },
  slider: { pin: 'Rail, width', span: 'Length that slides' },
};

interface JointDialogProps {
  readonly jobId: number;
  readonly joint?: Joint;
  readonly onClose: () => void;
}

/** A joint as it is drawn, the scale it is wanted at, and how much play is too much. */
export function JointDialog({ jobId, joint, onClose }: JointDialogProps) {
  const [kind, setKind] = useState<JointKind>(joint?.kind ?? 'hinge');
  const action = async (before: FormState, data: FormData) => {
    const state = await keepJoint(jobId, joint?.id, before, data);
    if (state.ok) onClose();
    return state;
  };
  const shown = (value: number | null | undefined) => value ?? '';
  return (
    <Dialog
      open
      onOpenChange={(open) => !open && onClose()}
      title={joint === undefined ? 'A joint printed in place' : joint.name}
    >
      <ActionForm action={action} label="A joint" className="grid gap-3 sm:grid-cols-2">
        <TextField name="name" label="Name" defaultValue={joint?.name ?? 'Hinge'} />
        <Choice
          name="kind"
          label="Kind"
          value={kind}
          onChange={(event) => setKind(event.target.value as JointKind)}
          choices={JOINT_KINDS.map((each) => ({ value: each, label: describeJoint(each) }))}
        />
        <TextField
          name="gapMm"
          label="Drawn gap per side, between walls"
          unit="mm"
          defaultValue={joint?.gapMm ?? 0.25}
        />
        <TextField
          name="heightGapMm"
          label="Drawn gap below a roof"
          unit="mm"
          hint="Where something stands over the joint on the plate; blank when nothing does."
          defaultValue={shown(joint?.heightGapMm)}
        />
        <TextField name="pinMm" label={KIND_WORDS[kind].pin} unit="mm" defaultValue={joint?.pinMm ?? 5} />
        <TextField name="spanMm" label={KIND_WORDS[kind].span} unit="mm" defaultValue={joint?.spanMm ?? 12} />
        <TextField
          name="scalePercent"
          label="Wanted at"
          unit="%"
          defaultValue={joint === undefined ? 100 : Math.round(joint.scale * 1000) / 10}
        />
        <Choice
          name="freed"
          label="Freed"
          defaultValue={joint?.freed ?? 'green'}
          choices={[
            { value: 'green', label: 'green, before the cure' },
            { value: 'cured', label: 'after the cure' },
          ]}
        />
        <TextField
          name="mostAngleDeg"
          label="Most wobble"
          unit="°"
          hint="Intended play, as an angle; for a hinge 2° when blank."
          defaultValue={shown(joint?.mostAngleDeg)}
        />
        <TextField
          name="mostLateralMm"
          label="or most sideways play"
          unit="mm"
          hint="0.5 mm for the others when blank."
          defaultValue={shown(joint?.mostLateralMm)}
        />
        <Button type="submit" weight="main" className="justify-self-start">
          Keep the joint
        </Button>
      </ActionForm>
    </Dialog>
  );
}
