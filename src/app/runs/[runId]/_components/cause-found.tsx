'use client';

import { useState } from 'react';
import { useTap } from '@/app/_components/use-tap';
import { type Cause, causeOf, CAUSES } from '@/core/log';
import { Button, PlainChoice, Problem } from '@/ui';
import { tapCause } from '../../log-actions';

interface CauseFoundProps {
  readonly runId: number;
  readonly likeliest: Cause;
  readonly found?: Cause;
  /** Of a simulated printer: whether it still has a fault. */
  readonly simulated?: { readonly ails: boolean };
}

/** The confirmed cause: the next failures of this workshop are read with it. */
export function CauseFound({ runId, likeliest, found, simulated }: CauseFoundProps) {
  const { problem, isBusy, tap } = useTap();
  const [cause, setCause] = useState<string>(found ?? likeliest);
  return (
    <div className="mt-5">
      <h3 className="font-semibold">Cause</h3>
      {found !== undefined && (
        <p className="text-juniper">
          Confirmed cause: {causeOf(found).words}. <span className="text-soft">{causeOf(found).repair}</span>
        </p>
      )}
      {found !== undefined && simulated !== undefined && (
        <p>
          {simulated.ails
            ? 'The fix was applied, but the simulated printer still has the fault. The cause is a different one.'
            : 'The fix worked. The simulated printer has no fault now.'}
        </p>
      )}
      <div className="mt-1 flex flex-wrap items-end gap-3">
        <PlainChoice
          name="cause"
          id="cause-found"
          label="Confirmed cause"
          choices={CAUSES.map((value) => ({ value, label: causeOf(value).words }))}
          value={cause}
          onChange={(event) => setCause(event.target.value)}
        />
        <Button disabled={isBusy} onClick={() => tap((key) => tapCause(key, runId, cause))}>
          {found === undefined ? 'Save cause' : 'Change cause'}
        </Button>
      </div>
      {problem !== '' && <Problem>{problem}</Problem>}
    </div>
  );
}
