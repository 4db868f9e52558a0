'use client';

import { formatMm } from '@/core/kit/wording';
import { Chart as ChartJs, type ChartOptions, LinearScale, LineElement, PointElement } from 'chart.js';
import { Line } from 'react-chartjs-2';
import { cameFree, type GapStep } from '@/core/fit/mating';
import { describeGapStepOutcome } from '@/subjects/fit/gauges/shared';
import { titledAxis, useInk, QUIET_CHART } from '@/ui';

ChartJs.register(LinearScale, LineElement, PointElement);

interface GapTestChartProps {
  readonly curve: readonly { readonly gapMm: number; readonly chance: number }[];
  readonly rungs: readonly GapStep[];
  readonly recommendedMm: number;
}

/**
 * The chance to come free over the drawn gap, with the steps that were tried: those that came free above, the others
 * below.
 */
export function GapTestChart({ curve, rungs, recommendedMm }: GapTestChartProps) {
  const ink = useInk();
  if (ink === undefined) return <div className="h-64" />;
  const points = (free: boolean) =>
    rungs
      .filter(({ outcome }) => cameFree(outcome) === free)
      .map(({ gapMm }) => ({ x: gapMm, y: free ? 1 : 0 }));
  const data = {
    datasets: [
      {
        data: curve.map(({ gapMm, chance }) => ({ x: gapMm, y: chance })),
        borderColor: ink.juniper,
        borderWidth: 2.5,
        pointRadius: 0,
      },
      {
        data: [
          { x: recommendedMm, y: 0 },
          { x: recommendedMm, y: 0.95 },
          { x: 0, y: 0.95 },
        ],
        borderColor: ink.honey,
        borderDash: [5, 4],
        borderWidth: 1.5,
        pointRadius: 0,
      },
      { data: points(true), showLine: false, backgroundColor: ink.teal, pointRadius: 5 },
      {
        data: points(false),
        showLine: false,
        backgroundColor: ink.plum,
        pointRadius: 6,
        pointStyle: 'rectRot' as const,
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
        ...titledAxis(ink, 'drawn gap per side, mm'),
      },
      y: {
        min: -0.05,
        max: 1.05,
        ...titledAxis(ink, 'chance to come free', { stepSize: 0.25, includeBounds: false }),
      },
    },
  };
  const words = rungs
    .map(({ gapMm, outcome }) => `${formatMm(gapMm)} ${describeGapStepOutcome(outcome)}`)
    .join(', ');
  return (
    <figure className="my-2">
      <div className="h-64">
        <Line
          data={data}
          options={options}
          role="img"
          aria-label={`Chance to come free; tested: ${words || 'none yet'}`}
        />
      </div>
      <figcaption className="text-sm text-soft">Dots came free, diamonds did not.</figcaption>
    </figure>
  );
}
