'use client';

import { Chart as ChartJs, type ChartOptions, LinearScale, PointElement } from 'chart.js';
import { Scatter } from 'react-chartjs-2';
import type { Way } from '@/core/print';
import { QUIET_CHART, titledAxis, useInk } from '@/ui';

ChartJs.register(LinearScale, PointElement);

/** Hours against the cost of a good piece: low and left is better; what no other way beats stands out. */
export function WaysChart({ ways }: { ways: readonly Way[] }) {
  const ink = useInk();
  if (ink === undefined) return <div className="h-56" />;
  const drawn = ways.filter(({ costPerGood }) => Number.isFinite(costPerGood));
  const points = (of: (way: Way) => boolean) =>
    drawn.filter(of).map(({ hours, costPerGood }) => ({ x: hours, y: costPerGood }));
  const data = {
    datasets: [
      { data: points(({ isBest }) => isBest), backgroundColor: ink.juniper, pointRadius: 6 },
      {
        data: points(({ isBest, pose }) => !isBest && pose.isCurrent),
        backgroundColor: ink.plum,
        pointRadius: 6,
        pointStyle: 'rectRot' as const,
      },
      {
        data: points(({ isBest, pose }) => !isBest && !pose.isCurrent),
        backgroundColor: ink.hair,
        borderColor: ink.soft,
        pointRadius: 3,
      },
    ],
  };
  const options: ChartOptions<'scatter'> = {
    ...QUIET_CHART,
    scales: {
      x: { min: 0, ...titledAxis(ink, 'hours') },
      y: { min: 0, ...titledAxis(ink, 'cost per good part') },
    },
  };
  return (
    <figure className="my-2">
      <div className="h-56">
        <Scatter
          data={data}
          options={options}
          role="img"
          aria-label="Print hours and cost per good part of each option. The table has the numbers"
        />
      </div>
      <figcaption className="text-sm text-soft">
        Large dots: no other option beats them. Diamonds: current setup. Small dots: all others.
      </figcaption>
    </figure>
  );
}
