'use client';

import { formatMm, formatSigned } from '@/core/kit/wording';
import { Chart as ChartJs, type ChartOptions, LinearScale, PointElement, Tooltip } from 'chart.js';
import { Scatter } from 'react-chartjs-2';
import { titledAxis, useInk } from '@/ui';

ChartJs.register(LinearScale, PointElement, Tooltip);

interface OffsetLine {
  readonly feature: string;
  readonly drawnMm: number;
  readonly offsetMm: number;
  readonly expectedOffsetMm: number;
}

/** Measured offsets as solid points, predictions from the law and the other prints as hollow ones. */
export function OffsetChart({ lines }: { lines: readonly OffsetLine[] }) {
  const ink = useInk();
  if (ink === undefined) return <div className="h-64" />;
  const options: ChartOptions<'scatter'> = {
    animation: false,
    maintainAspectRatio: false,
    plugins: {
      tooltip: {
        callbacks: {
          label: ({ dataIndex }) => {
            const { feature, drawnMm, offsetMm } = lines[dataIndex];
            return `${feature}: drawn ${formatMm(drawnMm, 3)}, ${formatSigned(offsetMm, 3)} mm`;
          },
        },
      },
    },
    scales: { x: titledAxis(ink, 'drawn, mm'), y: titledAxis(ink, 'size − drawn, mm') },
  };
  const data = {
    datasets: [
      {
        label: 'measured',
        data: lines.map(({ drawnMm, offsetMm }) => ({ x: drawnMm, y: offsetMm })),
        backgroundColor: ink.juniper,
        pointRadius: 4,
      },
      {
        label: 'what the rest says',
        data: lines.map(({ drawnMm, expectedOffsetMm }) => ({ x: drawnMm, y: expectedOffsetMm })),
        borderColor: ink.ink,
        backgroundColor: ink.sheet,
        pointRadius: 4,
        pointStyle: 'triangle' as const,
      },
    ],
  };
  return (
    <figure>
      <div className="h-64">
        <Scatter
          data={data}
          options={options}
          aria-label="Offsets by drawn size. The table below has the same numbers"
          role="img"
        />
      </div>
      <figcaption className="text-sm text-soft">
        Solid dots: measured. Hollow triangles: predicted from the signature and the other sizes.
      </figcaption>
    </figure>
  );
}
