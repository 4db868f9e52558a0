'use client';

import { Scatter } from 'react-chartjs-2';
import type { ExposureChangeView } from '@/subjects/exposure';
import { useInk } from '@/ui';
import { curveWithBand, exposureOptions, PLAIN_LINE } from './exposure-plot';

interface EdgeChartProps {
  readonly change: Pick<ExposureChangeView, 'curve' | 'exposureS' | 'edge' | 'ratio' | 'step' | 'stepEdge'>;
}

/** Edge growth over the exposure with its 95 % band, the present exposure, one step and the point where edges are true. */
export function EdgeChart({ change: { curve, exposureS, edge, ratio, step, stepEdge } }: EdgeChartProps) {
  const ink = useInk();
  if (ink === undefined) return <div className="h-56" />;
  const [from, to] = [curve[0].exposureS, curve.at(-1)!.exposureS];
  const trueS = exposureS * ratio.median;
  const isInside = trueS > from && trueS < to;
  const horizontal = (start: number, end: number) => [
    { x: start, y: 0 },
    { x: end, y: 0 },
  ];
  const mark = { pointRadius: 6, borderWidth: 2 };
  const data = {
    // The first is drawn on top.
    datasets: [
      {
        ...mark,
        label: 'now',
        data: [{ x: exposureS, y: edge.mean }],
        backgroundColor: ink.ink,
        borderColor: ink.ink,
      },
      {
        ...mark,
        label: 'one step',
        data: [{ x: step.exposureS, y: stepEdge.mean }],
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
        ...PLAIN_LINE,
        label: 'interval of true edges',
        data: isInside
          ? horizontal(Math.max(from, exposureS * ratio.low), Math.min(to, exposureS * ratio.high))
          : [],
        borderWidth: 3,
        borderColor: ink.juniper,
      },
      {
        ...PLAIN_LINE,
        label: 'no growth',
        data: horizontal(from, to),
        borderWidth: 1,
        borderDash: [5, 4],
        borderColor: ink.soft,
      },
      ...curveWithBand(
        ink,
        curve.map(({ exposureS: x, mean, sd }) => ({ x, mean, sd })),
      ),
    ],
  };
  return (
    <figure>
      <div className="h-56">
        <Scatter
          data={data}
          options={exposureOptions(ink, ['exposure, s', 'edge growth, mm'], { x: { min: from, max: to } })}
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
