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
import { edgeAt, learnEdgeLaw } from '@/core/light';
import type { ExposureChangeView } from '@/subjects/light';
import { QUIET_CHART, titledAxis, useInk } from '@/ui';

ChartJs.register(LinearScale, LogarithmicScale, LineElement, PointElement, Filler);

const POINTS = 40;
const Z_95 = 1.96;
/** The chart shows exposures down to this share of the present one, and up to this multiple, unless a mark lies outside. */
const [LEAST, MOST] = [0.25, 1.6];

/** Edge growth over the exposure with its 95 % band, the present exposure, one step and the point where edges are true. */
export function EdgeChart({
  trim,
}: {
  trim: Pick<ExposureChangeView, 'ask' | 'exposureS' | 'ratio' | 'step'>;
}) {
  const ink = useInk();
  const law = learnEdgeLaw(trim.ask);
  if (ink === undefined || !law.ok) return <div className="h-56" />;
  const { exposureS, ratio, step } = trim;
  const trueS = exposureS * ratio.median;
  const shown = [exposureS * LEAST, exposureS * MOST];
  const isInside = trueS > exposureS / 20 && trueS < exposureS * 20;
  const marks = isInside ? [...shown, 0.8 * trueS, 1.25 * trueS] : shown;
  const [from, to] = [Math.min(...marks), Math.max(...marks)];
  const along = Array.from({ length: POINTS }, (_, i) => from * (to / from) ** (i / (POINTS - 1)));
  const line = (z: number) =>
    along.map((x) => {
      const { mean, sd } = edgeAt(law.value, x);
      return { x, y: mean + z * sd };
    });
  const at = (seconds: number) => [{ x: seconds, y: edgeAt(law.value, seconds).mean }];
  const plain = { showLine: true, pointRadius: 0, borderWidth: 0 };
  const x = titledAxis(ink, 'exposure, s');
  const options: ChartOptions<'scatter'> = {
    ...QUIET_CHART,
    scales: {
      x: {
        ...x,
        type: 'logarithmic',
        min: from,
        max: to,
        ticks: { ...x.ticks, maxRotation: 0, autoSkipPadding: 12 },
      },
      y: titledAxis(ink, 'edge growth, mm'),
    } as ChartOptions<'scatter'>['scales'],
  };
  const mark = { pointRadius: 6, borderWidth: 2 };
  const data = {
    // The first lies on top.
    datasets: [
      { ...mark, label: 'now', data: at(exposureS), backgroundColor: ink.ink, borderColor: ink.ink },
      {
        ...mark,
        label: 'one step',
        data: at(step.exposureS),
        pointStyle: 'rect' as const,
        backgroundColor: ink.sheet,
        borderColor: ink.honey,
      },
      {
        ...mark,
        label: 'true edges',
        data: isInside ? [{ x: trueS, y: 0 }] : [],
        pointStyle: 'rectRot' as const,
        pointRadius: 7,
        backgroundColor: ink.juniper,
        borderColor: ink.juniper,
      },
      {
        ...plain,
        label: 'interval of true edges',
        data: isInside
          ? [
              { x: Math.max(from, exposureS * ratio.low), y: 0 },
              { x: Math.min(to, exposureS * ratio.high), y: 0 },
            ]
          : [],
        borderWidth: 3,
        borderColor: ink.juniper,
      },
      {
        ...plain,
        label: 'no growth',
        data: [
          { x: from, y: 0 },
          { x: to, y: 0 },
        ],
        borderWidth: 1,
        borderDash: [5, 4],
        borderColor: ink.soft,
      },
      { ...plain, label: 'growth', data: line(0), borderWidth: 2, borderColor: ink.juniper },
      { ...plain, label: 'high', data: line(Z_95), fill: '+1', backgroundColor: ink.band },
      { ...plain, label: 'low', data: line(-Z_95) },
    ],
  };
  return (
    <figure>
      <div className="h-56">
        <Scatter
          data={data}
          options={options}
          aria-label="Edge growth by exposure. The table below has the same numbers"
          role="img"
        />
      </div>
      <figcaption className="text-sm text-soft">
        Dot: present exposure. Square: one step. Diamond: true edges. Band and bar: 95 % intervals.
      </figcaption>
    </figure>
  );
}
