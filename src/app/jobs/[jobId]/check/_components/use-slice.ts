'use client';

import { useEffect, useState } from 'react';
import type { LayerReading } from '@/core/part/layers';
import type { CheckWorker } from '@/workers';

/** The contours of one layer, from the worker; those of the layer before until they have come. */
export function useSlice(
  worker: CheckWorker | undefined,
  reading: LayerReading | undefined,
  layer: number | undefined,
): readonly Float64Array[] {
  const [contours, setContours] = useState<readonly Float64Array[]>([]);
  useEffect(() => {
    if (worker === undefined || reading === undefined || layer === undefined) return;
    let live = true;
    worker.slice(reading, layer).then(
      (found) => live && setContours(found),
      () => {},
    );
    return () => {
      live = false;
    };
  }, [worker, reading, layer]);
  return contours;
}
