'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { v4 as newKey } from 'uuid';
import { describeMeshIssue } from '@/subjects/workshop/records/shared';
import { Problem } from '@/ui';
import { CheckWorker, Stopped } from '@/workers';
import { arrange, sendLayers } from '../../actions';

/** A part on the plate whose layers were not read yet. */
export interface UnreadPart {
  readonly key: string;
  readonly source: string;
  readonly name: string;
  /** Of its shell. */
  readonly wallMm?: number;
}

interface ReadLayersProps {
  readonly runId: number;
  readonly parts: readonly UnreadPart[];
  readonly layerMm: number;
}

/** Reads a part off the page's thread and sends what hours and resin are made of; empty where all went well. */
async function readPart(
  worker: CheckWorker,
  { key, source, name, wallMm }: UnreadPart,
  layerMm: number,
): Promise<string> {
  const response = await fetch(source);
  if (!response.ok) return `The file of ${name} is missing. Import it again in Need.`;
  const opened = await worker.open(new Uint8Array(await response.arrayBuffer()), () => {});
  if (!opened.ok) return `${name}: ${describeMeshIssue(opened.issue)}`;
  const problem = await sendLayers({ part: key, layerMm, ...(await worker.layers(layerMm, wallMm)) });
  return problem === '' ? '' : `${name}: ${problem}`;
}

/**
 * Reads the layers of parts that are not known at this layer height, one after the other, and then refreshes the plate.
 */
export function ReadLayers({ runId, parts, layerMm }: ReadLayersProps) {
  const router = useRouter();
  const [problem, setProblem] = useState('');
  const keys = parts.map(({ key }) => key).join('\n');
  useEffect(() => {
    const worker = new CheckWorker();
    const readAll = async () => {
      for (const part of parts) {
        const said = await readPart(worker, part, layerMm);
        if (said !== '') return setProblem(said);
      }
      // Packed by guessed sizes until now.
      await arrange(newKey(), runId);
      router.refresh();
    };
    readAll()
      .catch((error: Error) => {
        if (!(error instanceof Stopped)) setProblem('A part could not be read. Reload the page.');
      })
      .finally(() => worker.stop());
    return () => worker.stop();
    // The list is another object at each answer; its keys say whether anything changed.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [runId, keys, layerMm]);
  if (problem !== '') return <Problem>{problem}</Problem>;
  return (
    <p role="status" className="text-soft">
      Reading the layers of {parts.map(({ name }) => name).join(', ')} …
    </p>
  );
}
