'use client';

import { useState, useTransition } from 'react';
import { v4 as newKey } from 'uuid';
import { takeBackProfileChange } from '../../actions';

interface TakeBackChangeProps {
  readonly profileId: number;
  readonly changeId: number;
}

/** The newest change was noted by mistake. */
export function TakeBackChange({ profileId, changeId }: TakeBackChangeProps) {
  const [said, setSaid] = useState('');
  const [isBusy, start] = useTransition();
  return (
    <p className="text-sm">
      <button
        type="button"
        className="underline"
        disabled={isBusy}
        onClick={() => start(async () => setSaid(await takeBackProfileChange(newKey(), profileId, changeId)))}
      >
        Undo this change
      </button>{' '}
      <span role="status">{said}</span>
    </p>
  );
}
