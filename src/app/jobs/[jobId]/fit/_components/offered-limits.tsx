'use client';

import { listAnd } from '@/core/kit/wording';
import { v4 as newKey } from 'uuid';
import { Button } from '@/ui';
import { takeOverLimits } from '../actions';

/** The settings or the datasheet changed: this job keeps its limits until somebody applies the new ones. */
export function OfferedLimits({ jobId, names }: { jobId: number; names: readonly string[] }) {
  return (
    <div className="my-2 flex flex-wrap items-center justify-between gap-3 bg-wash px-3 py-2">
      <p>
        Fit classes or the resin datasheet changed after this job was agreed. The job keeps its limits. The
        new ones would change the limits of {listAnd(names)}.
      </p>
      <Button onClick={() => void takeOverLimits(newKey(), jobId)}>Apply new limits</Button>
    </div>
  );
}
