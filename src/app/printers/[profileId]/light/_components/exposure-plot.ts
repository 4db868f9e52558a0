import { Z_95 } from '@/core/kit/numerics';
import {
  Chart as ChartJs,
  type ChartOptions,
  Filler,
  LinearScale,
  LineElement,
  LogarithmicScale,
  PointElement,
} from 'chart.js';
import { type Ink, QUIET_CHART, titledAxis } from '@/ui';

ChartJs.register(LinearScale, LogarithmicScale, LineElement, PointElement, Filler);

/** Drawn as a line without points; the width is left to the dataset. */
export const PLAIN_LINE = { showLine: true, pointRadius: 0, borderWidth: 0 } as const;

/** Both axes of a plot over the exposure, which is on a log scale. */
export function exposureOptions(
  ink: Ink,
  [x, y]: readonly [x: string, y: string],
  bounds: { readonly x?: { min: number; max: number }; readonly y?: { min: number } } = {},
): ChartOptions<'scatter'> {
  const axis = titledAxis(ink, x);
  return {
    ...QUIET_CHART,
    scales: {
      x: {
        ...axis,
        ...bounds.x,
        type: 'logarithmic',
        ticks: { ...axis.ticks, maxRotation: 0, autoSkipPadding: 12 },
      },
      y: { ...titledAxis(ink, y), ...bounds.y },
    } as ChartOptions<'scatter'>['scales'],
  };
}

/** A point of a curve with its uncertainty. */
interface CurvePoint {
  readonly x: number;
  readonly mean: number;
  readonly sd: number;
}

/** A curve and its 95 % band, as datasets; nothing is drawn below `least`. */
export function curveWithBand(ink: Ink, points: readonly CurvePoint[], least = -Infinity) {
  const line = (z: number) => points.map(({ x, mean, sd }) => ({ x, y: Math.max(least, mean + z * sd) }));
  return [
    { ...PLAIN_LINE, label: 'curve', data: line(0), borderWidth: 2, borderColor: ink.juniper },
    { ...PLAIN_LINE, label: 'high', data: line(Z_95), fill: '+1', backgroundColor: ink.band },
    { ...PLAIN_LINE, label: 'low', data: line(-Z_95) },
  ];
}
