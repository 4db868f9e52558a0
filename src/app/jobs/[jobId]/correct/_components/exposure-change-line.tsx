'use client';

import { useState, useTransition } from 'react';
import { v4 as newKey } from 'uuid';
import { Button } from '@/ui';
import { changeExposure } from '../actions';

interface ExposureChangeLineProps {
  readonly jobId: number;
  /** Undefined if no exposure change would help; the message about the last one stays. */
  readonly exposureS?: number;
  readonly isChosen: boolean;
}

/** Records the exposure change once it is set on the printer. */
export function ExposureChangeLine({ jobId, exposureS, isChosen }: ExposureChangeLineProps) {
  const [said, setSaid] = useState('');
  const [isBusy, start] = useTransition();
  return (
    <p className="mt-2">
      {exposureS !== undefined && (
        <Button
          weight={isChosen ? 'main' : 'plain'}
          disabled={isBusy}
          onClick={() => start(async () => setSaid(await changeExposure(newKey(), jobId)))}
        >
          Record new exposure: {exposureS.toFixed(2)}&nbsp;s
        </Button>
      )}{' '}
      <span role="status">{said}</span>
    </p>
  );
}
