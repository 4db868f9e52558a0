'use client';

import { halfWidth95 } from '@/core/kit/numerics';
import {
  edgeAt,
  edgeOfWall,
  learnEdgeLaw,
  type ExposureChangeAsk,
  type WallDoubts,
  zeroRatio,
} from '@/core/exposure';
import { describeWallIssue } from '@/subjects/exposure/shared';
import { PlainField, Problem, useNumbers } from '@/ui';

interface WallPanelProps {
  readonly ask: ExposureChangeAsk;
  readonly doubts: WallDoubts;
}

const START = { drawnMm: '', readMm: '' };

const mm = (value: number) => `${value < 0 ? '−' : '+'}${Math.abs(value).toFixed(3)}`;

/** One wall that printed thick or thin: what it means for the exposure, and what more walls would. */
export function WallPanel({ ask, doubts }: WallPanelProps) {
  const { field, valuesOf } = useNumbers(START);
  const wall = valuesOf('drawnMm', 'readMm');
  const observed = wall && edgeOfWall(wall, doubts, ask.exposureS);
  return (
    <details className="mt-3">
      <summary className="text-sm underline">A wall printed too thick or too thin</summary>
      <div className="mt-2 grid max-w-md gap-3 sm:grid-cols-2">
        <PlainField label="Drawn wall" unit="mm" {...field('drawnMm')} />
        <PlainField label="read" unit="mm" {...field('readMm')} />
      </div>
      {observed?.ok === false && <Problem>{describeWallIssue(observed.issue)}</Problem>}
      {wall !== undefined && observed?.ok === true && (
        <Said
          ask={ask}
          doubts={doubts}
          wall={wall}
          edgeMm={observed.value.edgeMm}
          sdMm={observed.value.sdMm}
        />
      )}
    </details>
  );
}

interface SaidProps extends WallPanelProps {
  readonly wall: { readonly drawnMm: number; readonly readMm: number };
  readonly edgeMm: number;
  readonly sdMm: number;
}

/** Edges and the true exposure before the wall, with it, and with three like it. */
function Said({ ask, doubts, wall, edgeMm, sdMm }: SaidProps) {
  const rowOf = (walls: number) => {
    const more = walls === 0 ? undefined : edgeOfWall(wall, doubts, ask.exposureS, walls);
    const observations = more?.ok === true ? [...ask.observations, more.value] : ask.observations;
    const law = learnEdgeLaw({ ...ask, observations });
    return law.ok ? { edge: edgeAt(law.value, ask.exposureS), ratio: zeroRatio(law.value) } : undefined;
  };
  const rows = [
    ['with the current data', rowOf(0)],
    ['with this wall', rowOf(1)],
    ['with three walls like it', rowOf(3)],
  ] as const;
  return (
    <>
      <p className="mt-2">
        This wall alone suggests an edge growth of <strong className="num">{mm(edgeMm)}</strong> ±{' '}
        <span className="num">{halfWidth95(sdMm).toFixed(3)} mm</span>. The rest may be shrinkage, its own
        repeatable deviation, or the reading.
      </p>
      <table className="mt-2 w-full max-w-xl text-left text-sm">
        <thead>
          <tr className="text-soft">
            <th scope="col" className="pr-3 font-normal">
              Known
            </th>
            <th scope="col" className="pr-3 font-normal">
              Edge growth, mm
            </th>
            <th scope="col" className="font-normal">
              True edges at, s
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map(
            ([name, row]) =>
              row !== undefined && (
                <tr key={name} className="border-t border-hair">
                  <th scope="row" className="py-1 pr-3 text-left font-normal">
                    {name}
                  </th>
                  <td className="num pr-3">
                    {mm(row.edge.mean)} ± {halfWidth95(row.edge.sd).toFixed(3)}
                  </td>
                  <td className="num">
                    {(ask.exposureS * row.ratio.median).toFixed(2)} (
                    {(ask.exposureS * row.ratio.low).toFixed(2)}–{(ask.exposureS * row.ratio.high).toFixed(2)}
                    )
                  </td>
                </tr>
              ),
          )}
        </tbody>
      </table>
      <p className="mt-1 text-sm text-soft">
        This calculation is not saved. Measure the wall in Measure to add it to the signature. Two more strips
        or a block tell more than the same wall again.
      </p>
    </>
  );
}
