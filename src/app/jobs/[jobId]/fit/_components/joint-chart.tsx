'use client';

import { halfWidth95, Z_95 } from '@/core/kit/numerics';
import { formatChance, formatMm } from '@/core/kit/wording';
import {
  Chart as ChartJs,
  type ChartOptions,
  Filler,
  Legend,
  LinearScale,
  LineElement,
  PointElement,
  Tooltip,
} from 'chart.js';
import { useState } from 'react';
import { Line } from 'react-chartjs-2';
import type { JointView } from '@/subjects/fit/mating';
import { titledAxis, useInk } from '@/ui';

ChartJs.register(LinearScale, LineElement, PointElement, Tooltip, Legend, Filler);

/**
 * Printed gap and play over the scale, with the scale below which it fuses and above which it is too loose; also as a
 * table.
 */
export function JointChart({ view }: { view: JointView }) {
  const ink = useInk();
  const [asTable, setAsTable] = useState(false);
  if (ink === undefined) return <div className="h-72" />;
  const { points, window, joint } = view;
  const percent = (scale: number) => scale * 100;
  const top = Math.max(...points.map(({ lateralMm }) => lateralMm)) * 1.05;
  const upright = (label: string, scale: number | undefined, color: string, dash: number[]) =>
    scale === undefined
      ? []
      : [
          {
            label,
            data: [
              { x: percent(scale), y: 0 },
              { x: percent(scale), y: top },
            ],
            borderColor: color,
            borderDash: dash,
            borderWidth: 2,
            pointRadius: 0,
          },
        ];
  const data = {
    datasets: [
      {
        label: 'printed gap per side',
        data: points.map(({ scale, plane }) => ({ x: percent(scale), y: Math.max(0, plane.meanMm) })),
        borderColor: ink.juniper,
        borderWidth: 2.5,
        pointRadius: 0,
      },
      {
        label: 'its 95 %',
        data: points.map(({ scale, plane }) => ({
          x: percent(scale),
          y: Math.max(0, plane.meanMm - Z_95 * plane.sdMm),
        })),
        borderColor: ink.band,
        backgroundColor: ink.band,
        fill: '+1',
        borderWidth: 1,
        pointRadius: 0,
      },
      {
        label: '',
        data: points.map(({ scale, plane }) => ({
          x: percent(scale),
          y: Math.max(0, plane.meanMm + halfWidth95(plane.sdMm)),
        })),
        borderColor: ink.band,
        borderWidth: 1,
        pointRadius: 0,
      },
      {
        label: 'play, sideways',
        data: points.map(({ scale, lateralMm }) => ({ x: percent(scale), y: lateralMm })),
        borderColor: ink.ink,
        borderDash: [2, 3],
        borderWidth: 2,
        pointRadius: 0,
      },
      ...upright('fuses below', window.leastScale, ink.plum, [7, 4]),
      ...upright('too loose above', window.mostScale, ink.teal, [2, 4]),
      ...upright('wanted', joint.scale, ink.honey, []),
    ],
  };
  const options: ChartOptions<'line'> = {
    animation: false,
    maintainAspectRatio: false,
    parsing: false,
    plugins: {
      legend: {
        position: 'bottom',
        labels: { color: ink.soft, boxHeight: 1, filter: ({ text }) => text !== '' },
      },
      tooltip: { enabled: false },
    },
    scales: {
      x: {
        type: 'linear',
        min: 40,
        max: 300,
        ...titledAxis(ink, 'file scale, %'),
      },
      y: {
        min: 0,
        max: top,
        ...titledAxis(ink, 'mm'),
      },
    },
  };
  return (
    <figure>
      <div className="h-80">
        <Line
          data={data}
          options={options}
          role="img"
          aria-label={`Printed gap and play of ${joint.name} for each scale. The table below has the same numbers`}
        />
      </div>
      <button
        type="button"
        className="mt-1 min-h-6 text-sm text-soft underline"
        onClick={() => setAsTable(!asTable)}
      >
        {asTable ? 'Hide table' : 'Show as table'}
      </button>
      {asTable && <JointTable view={view} />}
    </figure>
  );
}

function JointTable({ view: { points, joint } }: { view: JointView }) {
  return (
    <table className="w-full border-collapse text-sm">
      <caption className="sr-only">{joint.name} by scale</caption>
      <thead>
        <tr className="border-b border-ink text-soft">
          {['scale', 'gap ±', 'comes free', 'play', 'wobble'].map((head) => (
            <th key={head} className="py-0.5 text-right font-normal">
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {points.map(({ scale, plane, free, lateralMm, angleRad, floppy }) => (
          <tr
            key={scale}
            className={`num border-b border-hair ${scale === joint.scale ? 'bg-wash font-semibold' : ''}`}
          >
            <td className="text-right">{Math.round(scale * 100)} %</td>
            <td className="text-right">
              {formatMm(plane.meanMm, 3)} ± {formatMm(halfWidth95(plane.sdMm), 3)}
            </td>
            <td className="text-right">{formatChance(free)}</td>
            <td className="text-right">{formatMm(lateralMm, 3)}</td>
            <td className="text-right">
              {((angleRad * 180) / Math.PI).toFixed(2)}°{floppy && ' too loose'}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
