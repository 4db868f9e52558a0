'use client';

import { formatMm } from '@/core/kit/wording';
import { useState } from 'react';
import { leastScale, liftOf, type ScaleWorth, STUDIED_SCALES, weighScale } from '@/core/part/findings';
import type { LayerReading } from '@/core/part/layers';
import type { MeshCheck } from '@/core/part/mesh';
import { describeFits } from '@/subjects/part/shared';
import type { CheckAsk } from '@/workers';

const percent = (scale: number) => `${Math.round(100 * scale)} %`;

/** What another size does to walls, gaps, first layer, peel, resin, hours and the rooms it must pass. */
export function ScaleStudy({
  check,
  reading,
  ask,
}: {
  check: MeshCheck;
  reading: LayerReading;
  ask: CheckAsk;
}) {
  const [typed, setTyped] = useState('');
  const own = Number(typed.replace(',', '.')) / 100;
  const scales = [...new Set([...STUDIED_SCALES, ...(own > 0.01 && own < 20 ? [own] : [])])].sort(
    (a, b) => a - b,
  );
  const liftMm = liftOf(ask.stance);
  const least = leastScale(reading, ask.limits);
  return (
    <div>
      <p className="text-sm text-soft">
        Lengths change with the scale, areas with its square, resin with its cube. The support height stays
        the same.
        {least !== undefined && (
          <>
            {' '}
            Its smallest wall and gap print from{' '}
            <span className="num">{percent(Math.ceil(100 * least) / 100)}</span> on.
          </>
        )}
      </p>
      <label className="mt-2 block w-40 text-sm">
        <span className="text-soft">Custom scale, %</span>
        <input
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
          inputMode="decimal"
          className="num block h-8 w-full border border-edge bg-sheet px-2"
        />
      </label>
      <div className="relative mt-2 overflow-x-auto" tabIndex={0} role="region" aria-label="Scales compared">
        <table className="w-full text-sm">
          <thead>
            <tr className="text-left text-soft">
              {['Scale', 'Wall', 'Gap', 'First layer', 'Largest', 'Resin', 'Hours', 'Fits'].map((name) => (
                <th key={name} scope="col" className="pr-3 font-normal">
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {scales.map((scale) => (
              <Row key={scale} worth={weighScale(check, reading, ask.limits, { scale, liftMm })} />
            ))}
          </tbody>
        </table>
      </div>
    </div>
  );
}

function Row({ worth }: { worth: ScaleWorth }) {
  const { scale, wallMm, wallHolds, gapMm, gapOpens, firstMm2, peakMm2, peels, resinMl, hours, fits } = worth;
  return (
    <tr className="border-b border-hair">
      <th scope="row" className="num py-1 pr-3 text-left font-semibold">
        {percent(scale)}
      </th>
      <td className="num pr-3">
        {wallMm === undefined ? '–' : `${formatMm(wallMm, 2)}${wallHolds ? '' : ' too thin'}`}
      </td>
      <td className="num pr-3">
        {gapMm === undefined ? '–' : `${formatMm(gapMm, 2)}${gapOpens ? '' : ' closes'}`}
      </td>
      <td className="num pr-3">{firstMm2.toFixed(1)} mm²</td>
      <td className="num pr-3">
        {peakMm2.toFixed(0)} mm²{peels ? '' : ', high peel force'}
      </td>
      <td className="num pr-3">{resinMl.toFixed(1)} ml</td>
      <td className="num pr-3">{hours.toFixed(1)}</td>
      <td className="pr-3">{describeFits(fits)}</td>
    </tr>
  );
}
