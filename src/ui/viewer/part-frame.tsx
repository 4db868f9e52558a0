'use client';

import { formatMm } from '@/core/kit/wording';
import type { MeshCheck } from '@/core/part/mesh';
import { describeMeshFaults } from '@/subjects/workshop/records/shared';
import { Button } from '../button';
import { Problem } from '../notice';
import { PartStage } from './part-stage';
import type { Callout } from './part-view';
import { type PartState, usePart } from './use-part';

interface PartFrameProps {
  readonly source: string | undefined;
  readonly version: number;
  readonly callouts: readonly Callout[];
  readonly activeId?: number;
  readonly onPlace?: (pointMm: [number, number, number]) => void;
  readonly onChoose?: (id: number) => void;
  readonly className?: string;
}

/** The three-dimensional view of a part with what its file is worth in words below. */
export function PartFrame({ source, version, className = 'h-72', ...view }: PartFrameProps) {
  const state = usePart(source, version);
  return (
    <div>
      <div className={`bg-sheet ${className}`}>
        {state.kind === 'ready' && (
          <PartStage corners={state.part.corners} bounds={state.part.check.bounds} {...view} />
        )}
        {state.kind === 'loading' && <Loading state={state} />}
        {state.kind === 'stopped' && (
          <p className="p-3 text-soft">Stopped. Reload the page to read the part.</p>
        )}
      </div>
      {state.kind === 'failed' && <Problem>{state.message}</Problem>}
      {state.kind === 'ready' && <PartFacts check={state.part.check} proxyFacets={state.part.proxyFacets} />}
    </div>
  );
}

function Loading({ state }: { state: Extract<PartState, { kind: 'loading' }> }) {
  return (
    <div className="flex items-center gap-3 p-3">
      <progress value={state.share} aria-label="Reading the part" />
      <span className="text-soft">Reading the part …</span>
      <Button onClick={state.stop}>Stop</Button>
    </div>
  );
}

/** Size, volume and soundness of a part in one line; and that a proxy is shown, if so. */
export function PartFacts({ check, proxyFacets }: { check: MeshCheck; proxyFacets?: number }) {
  const faults = describeMeshFaults(check);
  const size = [0, 1, 2].map((i) => formatMm(check.bounds.max[i] - check.bounds.min[i])).join(' × ');
  return (
    <p className="mt-1 text-sm text-soft">
      <span className="num">{size}</span> mm,{' '}
      <span className="num">{(check.volumeMm3 / 1000).toFixed(2)}</span> mL,{' '}
      {check.facets.toLocaleString('en')} facets,{' '}
      {faults.length === 0 ? 'closed' : `not sound: ${faults.join('; ')}`}
      {proxyFacets !== undefined &&
        `; the view shows ${proxyFacets.toLocaleString('en')} of them, calculations use all`}
    </p>
  );
}
