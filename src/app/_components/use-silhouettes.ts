'use client';

import { useState } from 'react';
import type { Silhouette } from '@/core/part/mesh';
import { describeMeshIssue } from '@/subjects/workshop/records/shared';
import { MeshWorker, Stopped } from '@/workers';

/** Outlines of a file, read on demand in a worker; `stop` is there while it is read. */
export interface Silhouettes {
  readonly views?: readonly Silhouette[];
  readonly problem?: string;
  readonly stop?: () => void;
  readonly show: () => Promise<void>;
}

/** Outlines of the part at an address, seen from three sides. */
export function useSilhouettes(address: string): Silhouettes {
  const [views, setViews] = useState<readonly Silhouette[] | undefined>();
  const [problem, setProblem] = useState<string | undefined>();
  const [reading, setReading] = useState<MeshWorker | undefined>();
  const show = async () => {
    const worker = new MeshWorker();
    setReading(worker);
    setProblem(undefined);
    try {
      const response = await fetch(address);
      if (!response.ok) return setProblem('the part file is missing. Import it again.');
      const loaded = await worker.load(new Uint8Array(await response.arrayBuffer()), () => {});
      if (!loaded.ok) return setProblem(describeMeshIssue(loaded.issue));
      setViews(await worker.silhouettes());
    } catch (error) {
      if (!(error instanceof Stopped)) setProblem('the part could not be read. Try again.');
    } finally {
      worker.stop();
      setReading(undefined);
    }
  };
  return { views, problem, stop: reading && (() => reading.stop()), show };
}

/** A loop as a path of a drawing, whose Y runs downwards. */
export function loopPath(points: Float64Array): string {
  const corners = Array.from(
    { length: points.length / 2 },
    (_, i) => `${points[2 * i]} ${-points[2 * i + 1]}`,
  );
  return `M${corners.join('L')}Z`;
}
