'use client';

import { formatChance, formatMm, formatSigned } from '@/core/kit/wording';
import { buttonLook, CopyButton, Link } from '@/ui';
import type { DrawnLine, SheetBenchProps } from './sheet-types';

type ModellerTableProps = Pick<SheetBenchProps, 'jobId' | 'files' | 'joint' | 'hasProfile'> & {
  readonly drawn: readonly DrawnLine[];
};

/** The numbers to type into a modeller, and the files that have them already. */
export function ModellerTable({ jobId, drawn, files, joint }: ModellerTableProps) {
  const text = drawn.map(({ name, drawMm }) => `${name}\t${formatMm(drawMm, 3)}`).join('\n');
  const file = (path: string) => `/api/jobs/${jobId}/${path}&drawn=next&save`;
  return (
    <section aria-labelledby="modeller-title">
      <div className="flex flex-wrap items-baseline justify-between gap-3 border-b border-ink pb-1">
        <h2 id="modeller-title" className="text-lg">
          Sizes for your CAD program
        </h2>
        <CopyButton text={text} label="Copy table" />
      </div>
      <table className="w-full border-collapse">
        <thead>
          <tr className="text-left text-sm text-soft">
            <th className="py-1 font-normal">Size</th>
            <th className="py-1 font-normal">drawn size</th>
            <th className="py-1 font-normal">expected print</th>
            <th className="hidden py-1 text-right font-normal sm:table-cell">too tight</th>
            <th className="py-1 text-right font-normal">chance of a right fit</th>
            <th className="hidden py-1 text-right font-normal sm:table-cell">too loose</th>
          </tr>
        </thead>
        <tbody>
          {drawn.map(
            ({
              id,
              name,
              targetMm,
              lowerDeviationMm,
              upperDeviationMm,
              drawMm,
              tight,
              right,
              loose,
              hasMate,
            }) => (
              <tr key={id} className="border-b border-hair">
                <th scope="row" className="py-1 pr-3 text-left font-semibold">
                  {name}
                </th>
                <td className="num py-1 pr-3 text-lg font-semibold text-juniper">{formatMm(drawMm, 3)}</td>
                <td className="num py-1 pr-3 text-sm">
                  {formatMm(targetMm, 3)} {formatSigned(lowerDeviationMm)} {formatSigned(upperDeviationMm)}
                </td>
                <td className="num hidden py-1 text-right sm:table-cell">
                  {hasMate ? formatChance(tight) : ''}
                </td>
                <td className="num py-1 text-right">{formatChance(right)}</td>
                <td className="num hidden py-1 text-right sm:table-cell">
                  {hasMate ? formatChance(loose) : ''}
                </td>
              </tr>
            ),
          )}
        </tbody>
      </table>
      {joint !== undefined && (
        <p className="mt-1 text-sm text-soft">
          All within limits in one print: <span className="num">{formatChance(joint)}</span>
        </p>
      )}
      <div className="no-print mt-3 flex flex-wrap gap-2">
        {files.solid && (
          <>
            <a className={buttonLook('main')} href={file('part?as=stl')} download>
              Part as STL
            </a>
            <a className={buttonLook('plain')} href={file('part?as=3mf')} download>
              as 3MF
            </a>
          </>
        )}
        {files.outline && (
          <>
            <a className={buttonLook('plain')} href={file('profile?as=dxf')} download>
              Profile as DXF
            </a>
            <a className={buttonLook('plain')} href={file('profile?as=svg')} download>
              as SVG
            </a>
          </>
        )}
        <button type="button" className={buttonLook('plain')} onClick={() => window.print()}>
          Print this sheet (A4)
        </button>
        <Link className={buttonLook('plain')} href={`/jobs/${jobId}/fit`}>
          Continue to Fit
        </Link>
      </div>
      <p className="mt-2 text-sm text-soft">
        Holes are drawn outside the target circle and shafts inside it, with enough facets to keep the facet
        error below a tenth of the limits. Entries have the default lead-in.
      </p>
    </section>
  );
}
