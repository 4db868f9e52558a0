'use client';

import {
  Chart as ChartJs,
  type ChartOptions,
  Filler,
  LinearScale,
  LineElement,
  LogarithmicScale,
  PointElement,
} from 'chart.js';
import { Scatter } from 'react-chartjs-2';
import { depthAt, type WorkingCurve } from '@/core/light';
import { QUIET_CHART, titledAxis, useInk } from '@/ui';

ChartJs.register(LinearScale, LogarithmicScale, LineElement, PointElement, Filler);

interface CurveChartProps {
  readonly strips: readonly { readonly exposure: number; readonly depthMm: number }[];
  readonly unit: string;
  readonly curve: WorkingCurve;
}

const POINTS = 40;
const Z_95 = 1.96;

/** Strips as points, the curve through them with its 95 % band, over the exposure on a log scale. */
export function CurveChart({ strips, unit, curve }: CurveChartProps) {
  const ink = useInk();
  if (ink === undefined) return <div className="h-64" />;
  const exposures = strips.map(({ exposure }) => exposure);
  const [from, to] = [Math.exp(curve.lnEc), 1.4 * Math.max(...exposures)];
  const along = Array.from({ length: POINTS }, (_, i) => from * (to / from) ** (i / (POINTS - 1)));
  const line = (z: number) =>
    along.map((x) => {
      const { mm, sdMm } = depthAt(curve, x);
      return { x, y: Math.max(0, mm + z * sdMm) };
    });
  const plain = { showLine: true, pointRadius: 0, borderWidth: 0 };
  const x = titledAxis(ink, `exposure, ${unit}`);
  const options: ChartOptions<'scatter'> = {
    ...QUIET_CHART,
    scales: {
      x: { ...x, type: 'logarithmic', ticks: { ...x.ticks, maxRotation: 0, autoSkipPadding: 12 } },
      y: { ...titledAxis(ink, 'cured, mm'), min: 0 },
    } as ChartOptions<'scatter'>['scales'],
  };
  const data = {
    // The first lies on top.
    datasets: [
      {
        label: 'strips',
        data: strips.map(({ exposure, depthMm }) => ({ x: exposure, y: depthMm })),
        backgroundColor: ink.ink,
        pointRadius: 4,
      },
      { ...plain, label: 'curve', data: line(0), borderWidth: 2, borderColor: ink.juniper },
      { ...plain, label: 'high', data: line(Z_95), fill: '+1', backgroundColor: ink.band },
      { ...plain, label: 'low', data: line(-Z_95) },
    ],
  };
  return (
    <figure>
      <div className="h-64">
        <Scatter
          data={data}
          options={options}
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
