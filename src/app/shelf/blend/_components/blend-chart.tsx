'use client';

import {
  Chart as ChartJs,
  Filler,
  LinearScale,
  LineElement,
  LogarithmicScale,
  PointElement,
  type ChartOptions,
} from 'chart.js';
import { Line } from 'react-chartjs-2';
import { blendCurve, modulusBounds, type BlendPart } from '@/core/resin';
import { titledAxis, useInk, QUIET_CHART } from '@/ui';

ChartJs.register(Filler, LinearScale, LogarithmicScale, LineElement, PointElement);

interface BlendChartProps {
  readonly first: BlendPart;
  readonly second: BlendPart;
}

/** Bounds of the modulus over the share of the first resin, with the mean of logarithms between them. */
export function BlendChart({ first, second }: BlendChartProps) {
  const ink = useInk();
  const curve = blendCurve(first.resin, second.resin);
  if (curve[0].modulus === undefined)
    return <p className="text-soft">No chart: the modulus of one part is unknown.</p>;
  if (ink === undefined) return <div className="h-64" />;
  const line = (pick: (point: (typeof curve)[number]) => number) =>
    curve.map((point) => ({ x: point.fraction * 100, y: pick(point) }));
  const here = first.fraction * 100;
  const ends = [curve[0].modulus.voigtMPa, curve[curve.length - 1].modulus!.voigtMPa];
  const now =
    here > 0 && here < 100
      ? modulusBounds([first.fraction, 1 - first.fraction], [ends[1], ends[0]])
      : undefined;
  const plain = { borderWidth: 1.5, pointRadius: 0 };
  const data = {
    // The first is drawn on top: the band comes last.
    datasets: [
      {
        data:
          now === undefined
            ? []
            : [
                { x: here, y: now.reussMPa },
                { x: here, y: now.voigtMPa },
              ],
        borderColor: ink.ink,
        borderWidth: 2.5,
        pointRadius: 4,
        pointBackgroundColor: ink.ink,
      },
      { ...plain, data: line(({ modulus }) => modulus!.logMixMPa), borderColor: ink.ink, borderDash: [5, 4] },
      { ...plain, data: line(({ modulus }) => modulus!.reussMPa), borderColor: ink.juniper },
      {
        ...plain,
        data: line(({ modulus }) => modulus!.voigtMPa),
        borderColor: ink.juniper,
        backgroundColor: ink.band,
        fill: '-1',
      },
    ],
  };
  const options: ChartOptions<'line'> = {
    ...QUIET_CHART,
    parsing: false,
    scales: {
      x: {
        type: 'linear',
        min: 0,
        max: 100,
        ...titledAxis(ink, `${first.resin.name}, % by volume`),
      },
      y: {
        type: 'logarithmic',
        ...titledAxis(ink, 'modulus, MPa', { maxTicksLimit: 6 }),
      },
    },
  };
  return (
    <figure>
      <div className="h-64">
        <Line
          data={data}
          options={options}
          role="img"
          aria-label={
            now === undefined
              ? 'Modulus range by share of the first resin'
              : `At ${Math.round(here)} % the modulus is between ${now.reussMPa.toFixed(0)} and ${now.voigtMPa.toFixed(0)} MPa`
          }
        />
      </div>
      <figcaption className="text-sm text-soft">
        The modulus of a mixture is within the band; resins cured together may fall outside it. Dashed:
        logarithmic mean. The bar marks this blend.
      </figcaption>
    </figure>
  );
}
