'use client';

import { v4 as newKey } from 'uuid';
import { listAnd } from '@/subjects/language/shared';
import { Button } from '@/ui';
import { takeOverLimits } from '../actions';

/** The house or the resin's sheet says something else now: this job keeps its limits until somebody takes the new ones over. */
export function OfferedLimits({ jobId, names }: { jobId: number; names: readonly string[] }) {
  return (
    <div className="my-2 flex flex-wrap items-center justify-between gap-3 bg-wash px-3 py-2">
      <p>
        The house’s classes or the resin’s sheet changed after this job was agreed. It keeps its limits; with
        the new ones the limits of {listAnd(names)} would move.
      </p>
      <Button onClick={() => void takeOverLimits(newKey(), jobId)}>Take the new limits over</Button>
    </div>
  );
}
