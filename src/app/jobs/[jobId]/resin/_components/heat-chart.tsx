'use client';

import {
  Chart as ChartJs,
  type ChartOptions,
  LinearScale,
  LogarithmicScale,
  type Plugin,
  PointElement,
} from 'chart.js';
import { Bubble } from 'react-chartjs-2';
import { describeVerdictOfResin } from '@/subjects/resin/choice/shared';
import { type Ink, useInk, QUIET_CHART } from '@/ui';
import type { ResinRow } from './resin-row';

ChartJs.register(LinearScale, LogarithmicScale, PointElement);

interface HeatChartProps {
  readonly rows: readonly ResinRow[];
  readonly hottestC?: number;
  readonly marginK: number;
  readonly strain: number | null;
}

interface Spot {
  readonly x: number;
  readonly y: number;
  readonly r: number;
  readonly row: ResinRow;
}

/** More points than this are a cloud: only those that pass keep their names. */
const MOST_NAMED = 24;

/** Area, not radius, goes with the price of a litre; an unknown price is drawn small. */
const radiusOf = (priceLitre: number | undefined) =>
  priceLitre === undefined ? 4 : Math.min(18, Math.max(4, 1.1 * Math.sqrt(priceLitre)));

const TONES: Readonly<Record<ResinRow['verdict'], 'juniper' | 'plum' | 'soft'>> = {
  passes: 'juniper',
  fails: 'plum',
  unknown: 'soft',
};

const SHAPES = { passes: 'circle', fails: 'rectRot', unknown: 'triangle' } as const;

interface Box {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

function overlaps(a: Box, b: Box): boolean {
  return (
    a.left < b.left + b.width &&
    b.left < a.left + a.width &&
    a.top < b.top + b.height &&
    b.top < a.top + a.height
  );
}

/** Shades what passes in both, and writes the names beside their points. */
function regionAndNames(ink: Ink, least: { readonly x: number; readonly y: number }): Plugin<'bubble'> {
  return {
    id: 'region-and-names',
    beforeDatasetsDraw: ({ ctx, chartArea, scales }) => {
      const x = Math.max(chartArea.left, scales.x.getPixelForValue(Math.max(least.x, scales.x.min)));
      const y = Math.min(chartArea.bottom, scales.y.getPixelForValue(least.y));
      ctx.save();
      ctx.fillStyle = ink.band;
      ctx.fillRect(x, chartArea.top, Math.max(0, chartArea.right - x), Math.max(0, y - chartArea.top));
      ctx.restore();
    },
    afterDatasetsDraw: (chart) => {
      const { ctx, chartArea } = chart;
      const spots = chart.data.datasets.flatMap(({ data }) => data as unknown as Spot[]);
      ctx.save();
      ctx.font = '13px Figtree Variable, sans-serif';
      const taken: Box[] = spots.map(({ x, y, r }) => {
        const [left, top] = [chart.scales.x.getPixelForValue(x) - r, chart.scales.y.getPixelForValue(y) - r];
        return { left, top, width: 2 * r, height: 2 * r };
      });
      for (const { x, y, r, row } of spots) {
        if (spots.length > MOST_NAMED && row.verdict !== 'passes') continue;
        const [cx, cy] = [chart.scales.x.getPixelForValue(x), chart.scales.y.getPixelForValue(y)];
        const { width } = ctx.measureText(row.name);
        const places = [
          { left: cx + r + 4, top: cy - 7 },
          { left: cx - r - 4 - width, top: cy - 7 },
          { left: cx - width / 2, top: cy + r + 2 },
          { left: cx - width / 2, top: cy - r - 16 },
        ].map((at) => ({ ...at, width, height: 14 }));
        const inside = places.filter(({ left }) => left >= chartArea.left && left + width <= chartArea.right);
        const box =
          inside.find((each) => !taken.some((other) => overlaps(each, other))) ?? inside[0] ?? places[0];
        taken.push(box);
        ctx.fillStyle = ink[TONES[row.verdict] === 'soft' ? 'soft' : 'ink'];
        ctx.fillText(row.name, box.left, box.top + 11);
      }
      ctx.restore();
    },
  };
}

/** Heat margin against elongation: the shaded corner passes both, names at the points, size by price. */
export function HeatChart({ rows, hottestC, marginK, strain }: HeatChartProps) {
  const ink = useInk();
  if (ink === undefined) return <div className="h-80" />;
  const base = hottestC ?? 0;
  const known = rows.filter(({ heatC, elongation }) => heatC !== undefined && elongation !== undefined);
  const left = rows.filter((row) => !known.includes(row)).map(({ name }) => name);
  const spotOf = (row: ResinRow): Spot => ({
    x: row.elongation! * 100,
    y: row.heatC! - base,
    r: radiusOf(row.priceLitre),
    row,
  });
  const data = {
    datasets: (['fails', 'unknown', 'passes'] as const).map((verdict) => ({
      data: known.filter((row) => row.verdict === verdict).map(spotOf),
      backgroundColor: `${ink[TONES[verdict]]}66`,
      borderColor: ink[TONES[verdict]],
      borderWidth: 2,
      pointStyle: SHAPES[verdict],
    })),
  };
  const options: ChartOptions<'bubble'> = {
    ...QUIET_CHART,
    scales: {
      x: {
        type: 'logarithmic',
        min: 0.8,
        max: 300,
        title: { display: true, text: 'elongation at break, %', color: ink.soft },
        ticks: {
          color: ink.soft,
          maxRotation: 0,
          autoSkip: false,
          callback: (value) => ([1, 3, 10, 30, 100, 300].includes(Number(value)) ? value : ''),
        },
        grid: { color: ink.hair },
      },
      y: {
        title: {
          display: true,
          text: hottestC === undefined ? 'softens at, °C' : `heat margin above ${Math.round(hottestC)} °C, K`,
          color: ink.soft,
        },
        ticks: { color: ink.soft },
        grid: { color: ink.hair },
        grace: '8%',
      },
    },
  };
  const least = { x: strain === null ? 0 : strain * 100, y: hottestC === undefined ? -1000 : marginK };
  const words = known
    .map(
      ({ name, heatC, elongation, verdict }) =>
        `${name} ${Math.round(heatC! - base)} K at ${Math.round(elongation! * 100)} %, ${describeVerdictOfResin(verdict)}`,
    )
    .join('; ');
  return (
    <figure>
      <div className="h-80">
        <Bubble
          key={`${least.x} ${least.y}`}
          data={data}
          options={options}
          plugins={[regionAndNames(ink, least)]}
          role="img"
          aria-label={`Heat margin and elongation at break: ${words || 'nothing is known in both'}`}
        />
      </div>
      <figcaption className="text-sm text-soft">
        Shaded: passes heat and elongation. Circles pass all requirements, diamonds fail, triangles can’t be
        judged. Larger means more expensive.
        {left.length > 0 &&
          left.length <= 8 &&
          ` Not in the chart because one of the two values is unknown: ${left.join(', ')}.`}
        {left.length > 8 && ` ${left.length} are not in the chart because one of the two values is unknown.`}
      </figcaption>
    </figure>
  );
}
