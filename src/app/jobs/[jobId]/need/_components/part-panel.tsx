'use client';

import { formatMm } from '@/core/kit/wording';
import { useMemo, useState } from 'react';
import { v4 as newKey } from 'uuid';
import { PartDrop } from '@/app/_components/part-drop';
import type { Shape } from '@/core/measure';
import { Button, chooseFeature, PartFrame, useChosenFeature } from '@/ui';
import { placeOnPart } from '../actions';

interface PanelFeature {
  readonly id: number;
  readonly name: string;
  readonly targetMm: number;
  readonly shape: Shape;
  readonly anchor: readonly [number, number, number] | null;
}

interface PartPanelProps {
  readonly jobId: number;
  readonly source: string | undefined;
  readonly version: number;
  readonly features: readonly PanelFeature[];
}

const labelOf = ({ targetMm, shape }: PanelFeature) => `${shape === 'round' ? '⌀' : ''}${formatMm(targetMm)}`;

/** The part in three dimensions: import its file, and mark each feature on it. */
export function PartPanel({ jobId, source, version, features }: PartPanelProps) {
  const [placing, setPlacing] = useState<number | undefined>();
  const chosen = useChosenFeature();
  const callouts = useMemo(
    () =>
      features.flatMap((feature, i) =>
        feature.anchor === null
          ? []
          : { id: feature.id, number: i + 1, label: labelOf(feature), anchorMm: feature.anchor },
      ),
    [features],
  );
  const unplaced = features.filter(({ anchor }) => anchor === null);
  const place = (pointMm: [number, number, number]) => {
    if (placing === undefined) return;
    void placeOnPart(newKey(), jobId, placing, pointMm);
    setPlacing(undefined);
  };
  return (
    <section aria-labelledby="part-title">
      <h2 id="part-title" className="mb-2 text-lg">
        Part in print orientation
      </h2>
      {source !== undefined && (
        <PartFrame
          source={source}
          version={version}
          callouts={callouts}
          activeId={placing ?? chosen}
          onChoose={placing === undefined ? chooseFeature : undefined}
          onPlace={placing === undefined ? undefined : place}
        />
      )}
      {source !== undefined && unplaced.length > 0 && (
        <div className="mt-2">
          <p className="text-sm text-soft">
            {placing === undefined
              ? 'Features not on the part yet. Choose one, then click a face of the part:'
              : 'Click a face of this feature on the part.'}
          </p>
          <div className="mt-1 flex flex-wrap gap-2">
            {unplaced.map((feature) => (
              <Button
                key={feature.id}
                aria-pressed={placing === feature.id}
                onClick={() => setPlacing(placing === feature.id ? undefined : feature.id)}
              >
                {feature.name}
              </Button>
            ))}
          </div>
        </div>
      )}
      <PartDrop jobId={jobId} hasPart={source !== undefined} />
    </section>
  );
}
