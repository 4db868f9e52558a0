'use client';

import { useState, useTransition } from 'react';
import { v4 as newKey } from 'uuid';
import { Button } from '@/ui';
import { trimExposure } from '../actions';

interface TrimLineProps {
  readonly jobId: number;
  /** Undefined where no trim would bring anything; what was said of the last one stays. */
  readonly exposureS?: number;
  readonly isChosen: boolean;
}

/** Notes the trim once it is set at the printer. */
export function TrimLine({ jobId, exposureS, isChosen }: TrimLineProps) {
  const [said, setSaid] = useState('');
  const [isBusy, start] = useTransition();
  return (
    <p className="mt-2">
      {exposureS !== undefined && (
        <Button
          weight={isChosen ? 'main' : 'plain'}
          disabled={isBusy}
          onClick={() => start(async () => setSaid(await trimExposure(newKey(), jobId)))}
        >
          The exposure is set to {exposureS.toFixed(2)}&nbsp;s: note it
        </Button>
      )}{' '}
      <span role="status">{said}</span>
    </p>
  );
}
