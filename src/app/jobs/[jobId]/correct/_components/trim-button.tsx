'use client';

import { useState, useTransition } from 'react';
import { Button } from '@/ui';
import { trimExposure } from '../actions';

interface TrimButtonProps {
  readonly jobId: number;
  readonly exposureS: number;
  readonly isChosen: boolean;
}

/** Notes the trim once it is set at the printer. */
export function TrimButton({ jobId, exposureS, isChosen }: TrimButtonProps) {
  const [said, setSaid] = useState('');
  const [isBusy, start] = useTransition();
  return (
    <span className="mt-1 block">
      <Button
        weight={isChosen ? 'main' : 'plain'}
        disabled={isBusy}
        onClick={() => start(async () => setSaid(await trimExposure(jobId)))}
      >
        It is set to {exposureS.toFixed(2)} s
      </Button>{' '}
      <span role="status">{said}</span>
    </span>
  );
}
