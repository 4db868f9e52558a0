'use client';

import {
  Chart as ChartJs,
  Filler,
  LinearScale,
  LineElement,
  PointElement,
  type ChartOptions,
} from 'chart.js';
import { useMemo } from 'react';
import { Line } from 'react-chartjs-2';
import type { LayerReading } from '@/core/part/layers';
import { titledAxis, useInk, QUIET_CHART } from '@/ui';

ChartJs.register(Filler, LinearScale, LineElement, PointElement);

/** So many points are drawn; between them the largest area of each stretch stands, so that no peak is lost. */
const MOST_POINTS = 400;

function thinned(values: Float64Array, before: number): { x: number; y: number }[] {
  const step = Math.max(1, Math.ceil(values.length / MOST_POINTS));
  const points: { x: number; y: number }[] = [];
  for (let from = 0; from < values.length; from += step) {
    let most = from;
    for (let i = from; i < Math.min(values.length, from + step); i++) if (values[i] > values[most]) most = i;
    points.push({ x: most + before, y: values[most] });
  }
  return points;
}

interface AreaChartProps {
  readonly reading: LayerReading;
  readonly layer: number;
  /** Layers of the supports, counted before the part's own. */
  readonly before: number;
}

/** Area and hanging area over the layers, with the layer that is being looked at. */
export function AreaChart({ reading, layer, before }: AreaChartProps) {
  const ink = useInk();
  const area = useMemo(() => thinned(reading.areaMm2, before), [reading, before]);
  const hanging = useMemo(() => thinned(reading.overhangMm2, before), [reading, before]);
  if (ink === undefined) return <div className="h-40" />;
  const most = area.reduce((largest, { y }) => Math.max(largest, y), 0);
  const data = {
    datasets: [
      {
        data: [
          { x: layer + before, y: 0 },
          { x: layer + before, y: most },
        ],
        borderColor: ink.juniper,
        borderWidth: 2,
        pointRadius: 0,
      },
      {
        data: area,
        borderColor: ink.ink,
        borderWidth: 1.5,
        pointRadius: 0,
        fill: 'origin',
        backgroundColor: ink.band,
      },
      { data: hanging, borderColor: ink.plum, borderDash: [5, 3], borderWidth: 1.5, pointRadius: 0 },
    ],
  };
  const options: ChartOptions<'line'> = {
    ...QUIET_CHART,
    parsing: false,
    scales: {
      x: {
        type: 'linear',
        min: before,
        max: before + Math.max(1, reading.count - 1),
        ...titledAxis(ink, 'layer', { maxTicksLimit: 8 }),
        grid: { display: false },
      },
      y: {
        min: 0,
        ...titledAxis(ink, 'mm²', { maxTicksLimit: 5 }),
      },
    },
  };
  return (
    <figure>
      <div className="h-40">
        <Line
          data={data}
          options={options}
          role="img"
          aria-label={`Area over ${reading.count} layers, largest ${most.toFixed(1)} mm². The numbers are below`}
        />
      </div>
      <figcaption className="text-sm text-soft">
        Area of each layer. Dashed: the unsupported area in it.
      </figcaption>
    </figure>
  );
}
