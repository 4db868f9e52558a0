'use client';

import { formatMm } from '@/core/kit/wording';
import { useEffect, useState } from 'react';
import { ActionForm, Button, TextField } from '@/ui';
import type { CheckWorker, ListedFeature } from '@/workers';
import { takeFeature } from '../actions';
import { foundFeatureForm } from '@/subjects/part/shared';

interface FeaturePickerProps {
  readonly jobId: number;
  readonly worker: CheckWorker;
  /** Sets what a click on the part does; undefined: nothing. */
  readonly onPicking: (pick: ((place: [number, number, number]) => void) | undefined) => void;
}

/** A round feature that lies has no row in the law: shown, not offered. */
const canTake = ({ kind }: ListedFeature) => kind.shape === 'flat' || kind.axis === 'XY';

const nameOf = ({ sort, nominalMm, kind }: ListedFeature) =>
  `${sort[0].toUpperCase()}${sort.slice(1)} ${kind.shape === 'round' ? '⌀' : ''}${formatMm(nominalMm, 2)}`;

const directionOf = ({ kind, direction }: ListedFeature) => {
  if (kind.shape === 'round') return kind.axis === 'XY' ? 'upright' : 'lying';
  if (kind.axis !== 'XY') return `along ${kind.axis}`;
  return `at ${Math.round((Math.atan2(direction[1], direction[0]) * 180) / Math.PI)}°`;
};

/** Sizes found on the mesh; a click on the part or in the list makes one a feature of the job. */
export function FeaturePicker({ jobId, worker, onPicking }: FeaturePickerProps) {
  const [features, setFeatures] = useState<readonly ListedFeature[] | undefined>();
  const [shown, setShown] = useState<readonly number[] | undefined>();
  useEffect(() => {
    let live = true;
    worker.listFeatures().then(
      (listed) => live && setFeatures(listed),
      () => {},
    );
    return () => {
      live = false;
    };
  }, [worker]);
  useEffect(() => {
    onPicking((place) => void worker.featuresAt(place).then(setShown, () => {}));
    return () => onPicking(undefined);
    // Set once while this panel is open.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [worker]);
  if (features === undefined) return <p className="text-soft">Searching for faces …</p>;
  if (features.length === 0)
    return (
      <p className="text-soft">
        No flat or round faces define a size (typical for threads, scans and free-form shapes). Enter the
        sizes in Need.
      </p>
    );
  const listed = shown ?? features.map((_, i) => i);
  return (
    <div>
      <p className="text-sm text-soft">
        {shown === undefined
          ? `${features.length} sizes found. Click a face of the part to show its sizes.`
          : shown.length === 0
            ? 'No sizes on that face.'
            : `${shown.length} on the selected face.`}
      </p>
      {shown !== undefined && (
        <Button onClick={() => setShown(undefined)} className="mt-1">
          All {features.length}
        </Button>
      )}
      <ul
        className="mt-2 max-h-80 overflow-y-auto border-t border-hair"
        tabIndex={0}
        aria-label="Sizes found"
      >
        {listed.map((index) => (
          <Found key={index} jobId={jobId} feature={features[index]} />
        ))}
      </ul>
    </div>
  );
}

function Found({ jobId, feature }: { jobId: number; feature: ListedFeature }) {
  const { kind, nominalMm, anchorMm, facetErrorMm } = feature;
  const name = nameOf(feature);
  return (
    <li className="border-b border-hair py-1.5">
      <details>
        <summary>
          <span className="font-semibold">{name}</span>{' '}
          <span className="text-sm text-soft">
            {directionOf(feature)}
            {kind.base === undefined
              ? ''
              : kind.base === 'plate'
                ? ', from the plate'
                : ', over a supported face'}
            {facetErrorMm !== undefined &&
              facetErrorMm > 0.001 &&
              `, facets reduce it by ${formatMm(facetErrorMm, 3)} mm`}
          </span>
        </summary>
        {canTake(feature) ? (
          <ActionForm
            form={foundFeatureForm}
            action={takeFeature.bind(null, jobId)}
            label={`Add ${name} as a feature`}
            className="mt-1 flex flex-wrap items-end gap-2"
          >
            <input type="hidden" name="sense" value={kind.sense} />
            <input type="hidden" name="shape" value={kind.shape} />
            <input type="hidden" name="axis" value={kind.axis} />
            <input type="hidden" name="base" value={kind.base ?? ''} />
            <input type="hidden" name="angleRad" value={kind.angleRad ?? ''} />
            <input type="hidden" name="anchor" value={anchorMm.join(',')} />
            <TextField name="name" defaultValue={name} />
            <TextField name="targetMm" defaultValue={String(Math.round(nominalMm * 1000) / 1000)} />
            <TextField name="toleranceMm" defaultValue="0.1" />
            <Button type="submit">
              Add as feature<span className="sr-only">: {name}</span>
            </Button>
          </ActionForm>
        ) : (
          <p className="text-sm text-soft">
            This hole lies on its side. Its top and sides print differently, so the program cannot predict its
            size.
          </p>
        )}
      </details>
    </li>
  );
}
