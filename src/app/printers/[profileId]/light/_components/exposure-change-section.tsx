import { halfWidth95 } from '@/core/kit/numerics';
import { formatSigned, listAnd, listFew } from '@/core/kit/wording';
import type { ExposureChangeView } from '@/subjects/exposure';
import { Link } from '@/ui';
import { EdgeChart } from './edge-chart';
import { WallPanel } from './wall-panel';

const LIMIT_WORDS = {
  step: 'the limit of one step; then measure a block again',
  depth: 'below this, layers do not bond',
} as const;

/** Data beside this profile's own sizes, as the end of a sentence. */
function learnedFrom(others: number, gauges: number): string {
  const parts = [
    ...(others > 0
      ? [`${others} other ${others === 1 ? 'profile' : 'profiles'} of this printer and resin`]
      : []),
    ...(gauges > 0 ? [`${gauges} ${gauges === 1 ? 'gauge' : 'gauges'} of the bracket`] : []),
  ];
  return parts.length === 0 ? '' : ` Also used: ${listAnd(parts)}.`;
}

interface ExposureChangeSectionProps {
  readonly trim: ExposureChangeView;
  readonly profileId: number;
}

/** Edge growth against exposure, the exposure with true edges, and what an exposure change makes invalid. */
export function ExposureChangeSection({ trim, profileId }: ExposureChangeSectionProps) {
  const { isTold, voids, ladders } = trim;
  return (
    <section aria-labelledby="trim-title" className="mt-8 max-w-3xl">
      <h2 id="trim-title" className="text-lg">
        Edge growth and exposure
      </h2>
      <EdgeChart change={trim} />
      <ExposureTable trim={trim} />
      <p className={`mt-1 border-l-4 py-1 pl-3 ${isTold ? 'border-honey' : 'border-juniper'}`}>
        {!isTold ? (
          'No measurable edge growth, so there is no reason to change the exposure. Correct the drawn sizes instead. A block or the bracket below gives more data.'
        ) : (
          <>
            Change the exposure only where walls and gaps fuse, or for a profile without drawn jobs. In all
            other cases correct the drawn sizes: other jobs then stay valid.
          </>
        )}
      </p>
      {isTold && (
        <p className="mt-1 text-sm text-soft">
          {voids.length === 0
            ? 'No job is drawn for this exposure.'
            : `An exposure change makes the drawn sizes of ${listFew(voids.map(({ name }) => name))} invalid.`}
          {ladders > 0 && ' Gap test results shift with the edges.'}{' '}
          <Link href={`/printers/${profileId}#changes-title`} className="underline">
            Record the change
          </Link>{' '}
          afterwards: its known effects on edges and cure depth are then applied, and the rest is reopened.
        </p>
      )}
      <WallPanel ask={trim.ask} doubts={trim.doubts} />
    </section>
  );
}

/** The numbers of the chart: present exposure, one step, true edges. */
function ExposureTable({ trim }: { trim: ExposureChangeView }) {
  const { exposureS, edge, isTold, ratio, slope, step, stepEdge, leastS, others, gauges } = trim;
  const rows = [
    { name: 'now', at: exposureS.toFixed(2), edge, note: '' },
    ...(isTold
      ? [
          {
            name: 'one step',
            at: step.exposureS.toFixed(2),
            edge: stepEdge,
            note: step.limitedBy === undefined ? '' : LIMIT_WORDS[step.limitedBy],
          },
        ]
      : []),
    {
      name: 'true edges',
      at: (exposureS * ratio.median).toFixed(2),
      edge: undefined,
      note: `95 % interval ${(exposureS * ratio.low).toFixed(2)} to ${(exposureS * ratio.high).toFixed(2)} s`,
    },
  ];
  return (
    <>
      <table className="mt-2 w-full text-sm">
        <caption className="sr-only">Edge growth by exposure</caption>
        <thead>
          <tr className="text-left text-soft">
            <td />
            <th className="pr-3 text-right font-normal">exposure, s</th>
            <th className="pr-3 text-right font-normal">edge growth, mm</th>
            <td />
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.name} className="border-b border-hair">
              <th scope="row" className="py-1 pr-3 text-left font-semibold">
                {row.name}
              </th>
              <td className="num py-1 pr-3 text-right">{row.at}</td>
              <td className="num py-1 pr-3 text-right whitespace-nowrap">
                {row.edge === undefined
                  ? '0'
                  : `${formatSigned(row.edge.mean, 3)} ± ${halfWidth95(row.edge.sd).toFixed(3)}`}
              </td>
              <td className="py-1 text-soft">{row.note}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1">
        10 % more exposure adds <span className="num">{(slope.mean * Math.log(1.1)).toFixed(3)} mm</span>.
        {learnedFrom(others, gauges)}
        {leastS !== undefined && (
          <>
            {' '}
            Below <span className="num">{leastS.toFixed(2)} s</span> the cure depth is less than 1.5 layers.
          </>
        )}
      </p>
    </>
  );
}
