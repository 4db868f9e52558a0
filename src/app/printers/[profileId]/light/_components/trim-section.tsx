import { listAnd, listFew } from '@/subjects/language/shared';
import type { TrimView } from '@/subjects/light';
import { Link } from '@/ui';
import { WallPanel } from './wall-panel';

const LIMIT_WORDS = {
  step: ' One step goes no further, then a block is measured again.',
  depth: ' Below it a layer does not hold to the one before it.',
} as const;

/** What beside this profile's own sizes it is known by. */
function learnedFrom(others: number, gauges: number): string {
  const parts = [
    ...(others > 0
      ? [`${others} other ${others === 1 ? 'profile' : 'profiles'} of this printer and resin`]
      : []),
    ...(gauges > 0 ? [`${gauges} ${gauges === 1 ? 'gauge' : 'gauges'} of the bracket`] : []),
  ];
  return parts.length === 0 ? '' : `, by ${listAnd(parts)} too`;
}

interface TrimSectionProps {
  readonly trim: TrimView;
  readonly profileId: number;
}

/** What the exposure does to edges, where they would be true, and what a trim voids. */
export function TrimSection({ trim, profileId }: TrimSectionProps) {
  const { exposureS, edge, isTold, slope, ratio, step, leastS, others, gauges, voids, ladders } = trim;
  return (
    <section aria-labelledby="trim-title" className="mt-8 max-w-3xl">
      <h2 id="trim-title" className="text-lg">
        Edges and exposure
      </h2>
      <p>
        At <span className="num">{exposureS} s</span> every edge grows by{' '}
        <strong className="num">{edge.mean.toFixed(3)}</strong> ±{' '}
        <span className="num">{(1.96 * edge.sd).toFixed(3)} mm</span>; a tenth more exposure adds{' '}
        <span className="num">{(slope.mean * Math.log(1.1)).toFixed(3)} mm</span>
        {learnedFrom(others, gauges)}.
      </p>
      <p className="mt-1">
        Edges would be true at about{' '}
        <strong className="num">{(exposureS * ratio.median).toFixed(2)} s</strong>, between{' '}
        <span className="num">{(exposureS * ratio.low).toFixed(2)}</span> and{' '}
        <span className="num">{(exposureS * ratio.high).toFixed(2)} s</span> in 95 of 100.
        {leastS !== undefined && (
          <>
            {' '}
            Below <span className="num">{leastS.toFixed(2)} s</span> a layer cures less than one and a half of
            its height.
          </>
        )}
      </p>
      <p className={`mt-1 border-l-4 py-1 pl-3 ${isTold ? 'border-honey' : 'border-juniper'}`}>
        {!isTold ? (
          'Growth is not told from none: nothing to trim by. Draw the sizes; a block, or the bracket below, tells more.'
        ) : (
          <>
            A trim would go towards it, to <strong className="num">{step.exposureS.toFixed(2)} s</strong>.
            {step.limitedBy !== undefined && LIMIT_WORDS[step.limitedBy]} Drawing the sizes leaves the
            exposure as it is, and voids nothing: trim only where walls and gaps fuse, or for a profile that
            nothing was drawn for.
          </>
        )}
      </p>
      {isTold && (
        <p className="mt-1 text-sm text-soft">
          {voids.length === 0
            ? 'No job is drawn for this exposure.'
            : `A trim voids the drawn sizes of ${listFew(voids.map(({ name }) => name))}.`}
          {ladders > 0 && ' What gap ladders found moves with the edges.'} When it is done,{' '}
          <Link href={`/printers/${profileId}#changes-title`} className="underline">
            note the change
          </Link>
          : edges and cure-through are moved by what is known, the rest is opened.
        </p>
      )}
      <WallPanel ask={trim.ask} doubts={trim.doubts} />
    </section>
  );
}
