'use client';

import { Chart as ChartJs, type ChartOptions, LinearScale, LineElement, PointElement } from 'chart.js';
import { Scatter } from 'react-chartjs-2';
import type { VatLevelAt } from '@/core/print';
import { QUIET_CHART, titledAxis, useInk } from '@/ui';

ChartJs.register(LinearScale, LineElement, PointElement);

interface VatChartProps {
  readonly levels: readonly VatLevelAt[];
  readonly floorMl: number;
  readonly capacityMl: number;
}

/** From this duration on the axis counts hours, s. */
const IN_HOURS_S = 3 * 3600;

/** Resin in the vat over the clock of the print, with the minimum level; a vertical rise is a top-up. */
export function VatChart({ levels, floorMl, capacityMl }: VatChartProps) {
  const ink = useInk();
  if (ink === undefined) return <div className="h-44" />;
  const endS = levels.at(-1)!.clockS;
  const [unit, seconds] = endS > IN_HOURS_S ? (['h', 3600] as const) : (['min', 60] as const);
  const plain = { showLine: true, pointRadius: 0 };
  const data = {
    datasets: [
      {
        ...plain,
        label: 'level',
        data: levels.map(({ clockS, levelMl }) => ({ x: clockS / seconds, y: levelMl })),
        borderWidth: 2,
        borderColor: ink.juniper,
      },
      {
        ...plain,
        label: 'minimum level',
        data: [
          { x: 0, y: floorMl },
          { x: endS / seconds, y: floorMl },
        ],
        borderWidth: 1.5,
        borderDash: [5, 4],
        borderColor: ink.plum,
      },
    ],
  };
  const options: ChartOptions<'scatter'> = {
    ...QUIET_CHART,
    scales: {
      x: { ...titledAxis(ink, `after the start, ${unit}`, { maxRotation: 0 }), min: 0, max: endS / seconds },
      y: { ...titledAxis(ink, 'in the vat, ml'), min: 0, suggestedMax: capacityMl },
    } as ChartOptions<'scatter'>['scales'],
  };
  return (
    <figure className="mt-2">
      <div className="h-44">
        <Scatter
          data={data}
          options={options}
          aria-label="Resin in the vat during the print. The list below has the same numbers"
          role="img"
        />
      </div>
      <figcaption className="text-sm text-soft">
        Line: resin in the vat. Dashed: minimum level. A rise is a top-up.
      </figcaption>
    </figure>
  );
}
