'use client';

import { useTransition } from 'react';
import { v4 as newKey } from 'uuid';
import { takeCheckBack } from './check-caliper';

/** Takes the newest reading of a piece back. */
export function TakeCheckBack({ instrumentId, checkId }: { instrumentId: number; checkId: number }) {
  const [isPending, start] = useTransition();
  return (
    <button
      type="button"
      className="underline"
      disabled={isPending}
      onClick={() => start(async () => void (await takeCheckBack(newKey(), instrumentId, checkId)))}
    >
      Undo last reading
    </button>
  );
}
