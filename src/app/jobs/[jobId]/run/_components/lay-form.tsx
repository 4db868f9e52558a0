'use client';

import { lay } from '@/app/runs/actions';
import type { CopiesAdvice } from '@/subjects/print/plate';
import { layForm } from '@/subjects/print/plate/shared';
import { ActionForm, Button, Choice, TextField } from '@/ui';

/** A wall that stands by itself in most resins. */
const USUAL_WALL_MM = 2;

interface LayFormProps {
  readonly jobId: number;
  /** How many copies shop practice starts. */
  readonly advice: CopiesAdvice;
  /** Shop practice hollows thick parts. */
  readonly isHollowHouse: boolean;
  /** Plates of the same printer and resin that wait. */
  readonly plates: readonly { readonly id: number; readonly things: string }[];
}

/** Lays an attempt on a plate: a new one, or one that waits with something else on it. */
export function LayForm({ jobId, advice, isHollowHouse, plates }: LayFormProps) {
  const { copies, wanted, why, p } = advice;
  return (
    <ActionForm
      form={layForm}
      action={lay.bind(null, jobId)}
      label="Add to plate"
      className="mt-3 flex flex-wrap items-end gap-3"
    >
      <div className="w-24">
        <TextField name="copies" defaultValue={copies} inputMode="numeric" />
      </div>
      <div className="w-44">
        <TextField name="wallMm" defaultValue={isHollowHouse ? USUAL_WALL_MM : ''} placeholder="solid" />
      </div>
      {plates.length > 0 && (
        <div className="min-w-56">
          <Choice
            name="runId"
            choices={[
              { value: '', label: 'new plate' },
              ...plates.map(({ id, things }) => ({ value: String(id), label: `with ${things}` })),
            ]}
          />
        </div>
      )}
      <Button type="submit" weight="large">
        Add to plate
      </Button>
      {why !== 'asked' && (
        <p className="w-full text-sm text-soft">
          {why === 'full'
            ? `A full plate holds ${copies}. Spare copies take no longer.`
            : `${copies} copies give at least ${wanted} good parts in 95 of 100 prints, because one copy prints well in ${Math.round(100 * p)} of 100. Single copies fail one by one; a plate that fails as a whole loses all of them.`}
        </p>
      )}
    </ActionForm>
  );
}
