'use client';

import { useState } from 'react';
import { factsOfLayer } from '@/core/log';
import type { CaseView } from '@/subjects/log';
import { describeLayerFacts, describeTwin, readLayer } from '@/subjects/log/shared';
import { PlainField } from '@/ui';

interface TwinHeightsProps {
  readonly height: NonNullable<CaseView['height']>;
  readonly plannedS: number;
}

/** What the failed layer pulls with, beside that of a region like it at another height that held, or failed too. */
export function TwinHeights({ height: { layer, areasMm2, layerMm }, plannedS }: TwinHeightsProps) {
  const [typed, setTyped] = useState('');
  const failed = factsOfLayer(areasMm2, layer);
  const read = readLayer(typed, { layers: areasMm2.length, layerMm, plannedS });
  const twin = read && factsOfLayer(areasMm2, read.layer);
  if (failed === undefined) return null;
  return (
    <div className="mt-3 text-sm">
      <p>{describeLayerFacts(failed)}.</p>
      <details className="mt-1">
        <summary>Similar region at another height</summary>
        <PlainField
          name="twin"
          label="Its layer, height or time after the start"
          placeholder="96, 4.8 mm or 1:05"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
        <p role="status" className="mt-1">
          {typed !== '' &&
            twin === undefined &&
            `This plate has ${areasMm2.length} layers. That layer does not exist.`}
          {twin !== undefined && `${describeLayerFacts(twin)}. ${describeTwin(failed, twin)}`}
        </p>
      </details>
    </div>
  );
}
