'use client';

import { useState } from 'react';
import { useTap } from '@/app/_components/use-tap';
import { type Cause, CAUSES } from '@/core/log';
import { CAUSE_WORDS, MEND_WORDS } from '@/subjects/log/shared';
import { Button, PlainChoice, Problem } from '@/ui';
import { tapCause } from '../../log-actions';

interface CauseFoundProps {
  readonly runId: number;
  readonly likeliest: Cause;
  readonly found?: Cause;
  /** Of a simulated printer: whether anything ails it still. */
  readonly simulated?: { readonly ails: boolean };
}

/** What it turned out to be, in the end: the next failures of this bench are read with it. */
export function CauseFound({ runId, likeliest, found, simulated }: CauseFoundProps) {
  const { problem, isBusy, tap } = useTap();
  const [cause, setCause] = useState<string>(found ?? likeliest);
  return (
    <div className="mt-5">
      <h3 className="font-semibold">What it was, in the end</h3>
      {found !== undefined && (
        <p className="text-juniper">
          {CAUSE_WORDS[found]}. <span className="text-soft">{MEND_WORDS[found]}</span>
        </p>
      )}
      {found !== undefined && simulated !== undefined && (
        <p>
          {simulated.ails
            ? 'It was put right, and the simulated printer still ails: it was something else.'
            : 'It was put right, and nothing ails the simulated printer now.'}
        </p>
      )}
      <div className="mt-1 flex flex-wrap items-end gap-3">
        <PlainChoice
          name="cause"
          id="cause-found"
          label="It turned out that"
          choices={CAUSES.map((value) => ({ value, label: CAUSE_WORDS[value] }))}
          value={cause}
          onChange={(event) => setCause(event.target.value)}
        />
        <Button disabled={isBusy} onClick={() => tap((key) => tapCause(key, runId, cause))}>
          {found === undefined ? 'Keep it' : 'Change it'}
        </Button>
      </div>
      {problem !== '' && <Problem>{problem}</Problem>}
    </div>
  );
}
