'use client';

import { formatChance, formatMm, formatSigned } from '@/subjects/language/shared';
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
          Type this into your modeller
        </h2>
        <CopyButton text={text} label="Copy the table" />
      </div>
      <table className="w-full border-collapse">
        <thead>
          <tr className="text-left text-sm text-soft">
            <th className="py-1 font-normal">Size</th>
            <th className="py-1 font-normal">draw</th>
            <th className="py-1 font-normal">so that it prints</th>
            <th className="hidden py-1 text-right font-normal sm:table-cell">too tight</th>
            <th className="py-1 text-right font-normal">right</th>
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
          All of them right in one print: <span className="num">{formatChance(joint)}</span>
        </p>
      )}
      <div className="no-print mt-3 flex flex-wrap gap-2">
        {files.solid && (
          <>
            <a className={buttonLook('main')} href={file('part?as=stl')} download>
              The part as STL
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
          Print the sheet (A4)
        </button>
        <Link className={buttonLook('plain')} href={`/jobs/${jobId}/fit`}>
          On to the fits
        </Link>
      </div>
      <p className="mt-2 text-sm text-soft">
        Holes are drawn round the wanted circle and shafts inside it, with enough sides that a facet is under
        a tenth of the limits; entries have the house’s lead-in.
      </p>
    </section>
  );
}
