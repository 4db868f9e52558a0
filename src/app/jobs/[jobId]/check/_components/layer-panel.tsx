'use client';

import { formatMm } from '@/core/kit/wording';
import { useState } from 'react';
import {
  type Clock,
  layerAtMinute,
  layerAtPlateHeight,
  layerOfPrinted,
  liftLayers,
  momentOf,
} from '@/core/part/findings';
import { peaksOf } from '@/core/part/layers';
import { Button } from '@/ui';
import type { CheckFound } from '@/workers';
import { AreaChart } from './area-chart';
import { SlicePicture } from './slice-picture';

interface LayerPanelProps {
  readonly found: CheckFound;
  readonly clock: Clock;
  readonly pixelMm: number;
  readonly layer: number;
  readonly onLayer: (layer: number) => void;
  /** Of the layer that is looked at. */
  readonly contours: readonly Float64Array[];
}

/** A slider through the layers with the area curve; layer, height and clock can each be typed. */
export function LayerPanel({
  found: { reading },
  clock,
  pixelMm,
  layer,
  onLayer,
  contours,
}: LayerPanelProps) {
  const [pictured, setPictured] = useState(false);
  const { count, areaMm2, overhangMm2 } = reading;
  const at = Math.min(layer, count - 1);
  const { printed, heightMm, minutes } = momentOf(at, clock);
  const go = (next: number) => {
    if (Number.isFinite(next)) onLayer(Math.max(0, Math.min(count - 1, Math.round(next))));
  };
  const { peak, jump, firstMm2 } = peaksOf(reading);
  return (
    <section aria-label="Layers" className="mt-3">
      <AreaChart reading={reading} layer={at} before={liftLayers(clock)} />
      <input
        type="range"
        min={0}
        max={count - 1}
        value={at}
        onChange={(event) => go(Number(event.target.value))}
        aria-label="Layer"
        aria-valuetext={`layer ${printed}, ${formatMm(heightMm, 2)} mm high, ${areaMm2[at].toFixed(1)} mm²`}
        className="h-6 w-full accent-juniper"
      />
      <div className="mt-1 flex flex-wrap items-end gap-x-4 gap-y-2 text-sm">
        <Converter
          label="Layer"
          value={String(printed)}
          onTyped={(value) => go(layerOfPrinted(value, clock))}
        />
        <Converter
          label="Height, mm"
          value={formatMm(heightMm, 2)}
          onTyped={(value) => go(layerAtPlateHeight(value, clock))}
        />
        <Converter
          label="Minutes since start"
          value={minutes.toFixed(1)}
          onTyped={(value) => go(layerAtMinute(value, clock))}
        />
        <p>
          <span className="num">{areaMm2[at].toFixed(1)}</span> mm²
          {overhangMm2[at] > 0.05 && (
            <>
              , <span className="num">{overhangMm2[at].toFixed(1)}</span> hanging
            </>
          )}
        </p>
        <Button aria-pressed={pictured} onClick={() => setPictured(!pictured)}>
          {pictured ? 'Hide layer image' : 'Show layer image'}
        </Button>
      </div>
      {pictured && <SlicePicture contours={contours} label={`Layer ${printed}`} pixelMm={pixelMm} />}
      <dl className="mt-2 flex flex-wrap gap-x-6 text-sm">
        <Fact name="First layer" value={`${firstMm2.toFixed(1)} mm²`} />
        <Fact
          name="Largest"
          value={`${peak.areaMm2.toFixed(1)} mm², layer ${momentOf(peak.layer, clock).printed}`}
        />
        <Fact
          name="Largest step"
          value={`${jump.deltaMm2.toFixed(1)} mm², layer ${momentOf(jump.layer, clock).printed}`}
        />
        <Fact name="Smallest wall" value={sizeOf(reading.smallestWall)} />
        <Fact name="Smallest gap" value={sizeOf(reading.smallestGap)} />
        <Fact name="Thinnest along Z" value={sizeOf(reading.smallestWallZ)} />
        <Fact name="Smallest gap along Z" value={sizeOf(reading.smallestGapZ)} />
      </dl>
    </section>
  );
}

function sizeOf(spot: { readonly sizeMm: number } | undefined): string {
  return spot === undefined ? 'none' : `${formatMm(spot.sizeMm, 2)} mm`;
}

function Fact({ name, value }: { name: string; value: string }) {
  return (
    <div>
      <dt className="inline text-soft">{name} </dt>
      <dd className="num inline">{value}</dd>
    </div>
  );
}

/** A number that follows the slider and moves it when another is typed. */
function Converter({
  label,
  value,
  onTyped,
}: {
  label: string;
  value: string;
  onTyped: (value: number) => void;
}) {
  const [draft, setDraft] = useState<string | undefined>();
  const take = () => {
    if (draft !== undefined && draft.trim() !== '') onTyped(Number(draft.replace(',', '.')));
    setDraft(undefined);
  };
  return (
    <label className="block">
      <span className="block text-soft">{label}</span>
      <input
        value={draft ?? value}
        inputMode="decimal"
        onChange={(event) => setDraft(event.target.value)}
        onBlur={take}
        onKeyDown={(event) => event.key === 'Enter' && take()}
        className="num h-8 w-24 border border-edge bg-sheet px-2"
      />
    </label>
  );
}
