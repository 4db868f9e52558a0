'use client';

import { Scatter } from 'react-chartjs-2';
import { depthAt, type WorkingCurve } from '@/core/exposure';
import { useInk } from '@/ui';
import { curveWithBand, exposureOptions } from './exposure-plot';

interface CurveChartProps {
  readonly strips: readonly { readonly exposure: number; readonly depthMm: number }[];
  readonly unit: string;
  readonly curve: WorkingCurve;
}

const POINTS = 40;

/** Strips as points, and the curve through them with its 95 % band. */
export function CurveChart({ strips, unit, curve }: CurveChartProps) {
  const ink = useInk();
  if (ink === undefined) return <div className="h-64" />;
  const from = Math.exp(curve.lnEc);
  const to = 1.4 * Math.max(...strips.map(({ exposure }) => exposure));
  const points = Array.from({ length: POINTS }, (_, i) => {
    const x = from * (to / from) ** (i / (POINTS - 1));
    const { mm, sdMm } = depthAt(curve, x);
    return { x, mean: mm, sd: sdMm };
  });
  const data = {
    // The first is drawn on top.
    datasets: [
      {
        label: 'strips',
        data: strips.map(({ exposure, depthMm }) => ({ x: exposure, y: depthMm })),
        backgroundColor: ink.ink,
        pointRadius: 4,
      },
      ...curveWithBand(ink, points, 0),
    ],
  };
  return (
    <figure>
      <div className="h-64">
        <Scatter
          data={data}
          options={exposureOptions(ink, [`exposure, ${unit}`, 'cured, mm'], { y: { min: 0 } })}
          aria-label="Strip thickness by exposure. The table of strips has the same numbers"
          role="img"
        />
      </div>
      <figcaption className="text-sm text-soft">
        Dots: strips. Line and band: the curve with its 95 % interval. Curing starts where it meets the bottom
        axis.
      </figcaption>
    </figure>
  );
}
