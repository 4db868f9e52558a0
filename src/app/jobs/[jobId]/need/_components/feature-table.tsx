'use client';

import { formatMm, formatSigned } from '@/core/kit/wording';
import { Plus } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { describeKind } from '@/subjects/kit/shared';
import { Button, chooseFeature, CopyButton, useChosenFeature, useShortcuts } from '@/ui';
import { FeatureDialog, type FeatureRow } from './feature-dialog';

interface FeatureTableProps {
  readonly jobId: number;
  readonly revision: number;
  readonly rows: readonly FeatureRow[];
}

const DIGITS = 3;

/** Targets of the job, one row per feature; each can be edited at any time. */
export function FeatureTable({ jobId, revision, rows }: FeatureTableProps) {
  const chosen = useChosenFeature();
  const [editing, setEditing] = useState<FeatureRow | 'new' | undefined>();
  useShortcuts([{ key: 'n', does: 'Add feature', run: () => setEditing('new') }]);
  const text = rows.map(({ feature }) => `${feature.name}\t${feature.targetMm}`).join('\n');
  return (
    <section aria-labelledby="features-title">
      <div className="flex flex-wrap items-center justify-between gap-2 border-b border-ink pb-1">
        <h2 id="features-title" className="text-lg">
          Features
        </h2>
        <div className="flex items-center gap-3">
          {rows.length > 0 && <CopyButton text={text} label="Copy targets" />}
          <Button onClick={() => setEditing('new')}>
            <Plus size={16} aria-hidden /> Add feature <kbd>n</kbd>
          </Button>
        </div>
      </div>
      {rows.length === 0 && (
        <p className="mt-2 max-w-prose text-soft">
          Enter each size that must fit, with its target and limits: a bore, an outside size, a height. Three
          are enough to start.
        </p>
      )}
      <ul>
        {rows.map((row, i) => (
          <FeatureLine
            key={row.feature.id}
            number={i + 1}
            row={row}
            isChosen={row.feature.id === chosen}
            onChange={() => setEditing(row)}
          />
        ))}
      </ul>
      {editing !== undefined && (
        <FeatureDialog
          jobId={jobId}
          revision={revision}
          row={editing === 'new' ? undefined : editing}
          onClose={() => setEditing(undefined)}
        />
      )}
    </section>
  );
}

interface FeatureLineProps {
  /** As in the picture. */
  readonly number: number;
  readonly row: FeatureRow;
  readonly isChosen: boolean;
  readonly onChange: () => void;
}

function FeatureLine({ number, row: { feature, drawnMm, mate }, isChosen, onChange }: FeatureLineProps) {
  const line = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (isChosen) line.current?.scrollIntoView({ block: 'nearest' });
  }, [isChosen]);
  const kind = { ...feature, angleRad: feature.angleRad ?? undefined, base: feature.base ?? undefined };
  return (
    <li
      ref={line}
      className={`grid grid-cols-[1fr_auto] items-baseline gap-x-4 border-b border-hair py-2 sm:grid-cols-[minmax(0,1.2fr)_minmax(0,1.3fr)_minmax(0,1fr)_auto] ${isChosen ? 'bg-wash' : ''}`}
    >
      <div>
        <p className="font-semibold">
          <button
            type="button"
            className="num mr-1.5 min-h-6 min-w-6 text-left font-normal text-soft"
            aria-pressed={isChosen}
            aria-label={`${number}: show ${feature.name} on the part`}
            onClick={() => chooseFeature(isChosen ? undefined : feature.id)}
          >
            {number}
          </button>
          {feature.name}
        </p>
        <p className="text-sm text-soft">{describeKind(kind)}</p>
      </div>
      <p className="num text-lg">
        {formatMm(feature.targetMm)}
        <span className="text-sm text-soft">
          {' '}
          {formatSigned(feature.lowerDeviationMm)} {formatSigned(feature.upperDeviationMm)}
        </span>
        {drawnMm !== undefined && (
          <span className="block text-sm text-soft">drawn {formatMm(drawnMm, DIGITS)}</span>
        )}
      </p>
      <p className="text-sm">
        {mate === undefined ? <span className="text-soft">no mate</span> : mate.name}
        {mate !== undefined && mate.sizeMm !== null && (
          <span className="num block text-soft">
            {formatMm(mate.sizeMm)}
            {mate.uMm !== null && ` ± ${formatMm(2 * mate.uMm, DIGITS)}`}
          </span>
        )}
      </p>
      <Button onClick={onChange} aria-label={`Edit ${feature.name}`}>
        Edit
      </Button>
    </li>
  );
}
