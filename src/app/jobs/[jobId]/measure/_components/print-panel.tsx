'use client';

import { useTransition } from 'react';
import { Button, buttonLook, Caution } from '@/ui';
import { makePrint } from '../actions';

interface PrintPanelProps {
  readonly jobId: number;
  readonly attemptId: number;
  readonly attemptNumber: number;
  readonly simulated: boolean;
  /** The program builds the file itself. */
  readonly files: boolean;
}

/** The attempt is drawn and waits for its print. */
export function PrintPanel({ jobId, attemptId, attemptNumber, simulated, files }: PrintPanelProps) {
  const [pending, start] = useTransition();
  return (
    <div className="max-w-prose space-y-4" data-fills-screen>
      <h2 className="text-xl">Attempt {attemptNumber} is drawn and waits for its print</h2>
      <p className="text-soft">
        {simulated
          ? 'This printer is a simulated one: it prints at once, with hidden faults of its own, and its sizes are read with the simulated caliper.'
          : 'Print, wash, dry and cure it as its profile says, let it cool, then read it here.'}
      </p>
      {files && (
        <p className="flex flex-wrap gap-2">
          <a className={buttonLook('plain')} href={`/api/jobs/${jobId}/part?as=stl&save`} download>
            Its file as STL
          </a>
          <a className={buttonLook('plain')} href={`/api/jobs/${jobId}/part?as=3mf&save`} download>
            as 3MF
          </a>
        </p>
      )}
      <Caution>
        Green parts, wash liquid and drips are wet with uncured resin: gloves, eye protection and fresh air,
        no drips on skin. Follow the safety sheets and your local rules for waste.
      </Caution>
      <Button weight="large" disabled={pending} onClick={() => start(() => makePrint(jobId, attemptId))}>
        {simulated ? 'Print it on the simulated printer' : 'It is printed'}
      </Button>
    </div>
  );
}
