'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { MeshCheck } from '@/core/part/mesh';
import { describeMeshFaults } from '@/subjects/workshop/records/shared';
import { Button, Note, Problem } from '@/ui';
import type { CheckWorker, RepairedPart } from '@/workers';
import { sendPart } from './send-part';

const ml = (mm3: number) => `${(mm3 / 1000).toFixed(3)} ml`;

/** Offers safe repairs on a copy, and says what they would change before they are applied. */
export function RepairPanel({
  jobId,
  worker,
  check,
}: {
  jobId: number;
  worker: CheckWorker;
  check: MeshCheck;
}) {
  const router = useRouter();
  const [mended, setMended] = useState<RepairedPart | undefined>();
  const [problem, setProblem] = useState<string | undefined>();
  const [said, setSaid] = useState('');
  const faults = describeMeshFaults(check);
  const mend = () =>
    void worker.mend().then(
      (part) => {
        setMended(part);
        if (part === undefined)
          setProblem('The file has no area, so there is no solid to repair. Export it again.');
      },
      () => setProblem('The repair was stopped. Reload the page to start again.'),
    );
  const take = async ({ stl }: RepairedPart) => {
    const { refusal, said = '' } = await sendPart(jobId, stl, 'mended.stl');
    setProblem(refusal);
    setSaid(said);
    if (refusal === undefined) router.refresh();
  };
  return (
    <div>
      <p className="text-sm">
        {check.shells} {check.shells === 1 ? 'shell' : 'shells'}, {check.enclosedVoids}{' '}
        {check.enclosedVoids === 1 ? 'enclosed void' : 'enclosed voids'}.{' '}
        {faults.length === 0
          ? 'The mesh has no errors. Nothing to repair.'
          : `Mesh errors: ${faults.join('; ')}.`}
      </p>
      <p className="mt-1 text-sm text-soft">
        Repair joins vertices within a micrometre, removes facets without area and duplicates, turns inverted
        facets and fills simple holes. It works on a copy.
      </p>
      <Button onClick={mend} className="mt-2" disabled={faults.length === 0}>
        Repair a copy
      </Button>
      {said !== '' && <Note>{said}</Note>}
      {problem !== undefined && <Problem>{problem}</Problem>}
      {mended !== undefined && <Repaired mended={mended} onTake={() => void take(mended)} />}
    </div>
  );
}

function Repaired({ mended, onTake }: { mended: RepairedPart; onTake: () => void }) {
  const { before, after, weldedVertices, droppedDegenerate, droppedDuplicates, turnedFacets } = mended;
  const left = describeMeshFaults(after);
  return (
    <div className="mt-3">
      <ul className="list-disc pl-5 text-sm">
        <li>{weldedVertices} vertices joined</li>
        <li>{droppedDegenerate + droppedDuplicates} facets removed</li>
        <li>{turnedFacets} facets flipped</li>
        <li>
          {mended.filledHoles} holes filled
          {mended.leftHoles > 0 && `, ${mended.leftHoles} not filled: too large or too irregular`}
        </li>
        <li>
          volume <span className="num">{ml(before.volumeMm3)}</span> before,{' '}
          <span className="num">{ml(after.volumeMm3)}</span> after
        </li>
      </ul>
      {left.length === 0 ? (
        <Note>The copy is watertight.</Note>
      ) : (
        <Problem>Still: {left.join('; ')}.</Problem>
      )}
      <Button onClick={onTake} className="mt-2">
        Use repaired copy
      </Button>
    </div>
  );
}
