import { formatMm, formatSigned } from '@/subjects/language/shared';
import type { FootView } from '@/subjects/job';

/** How far the first layers flare, what to draw against it, and which layers do it. */
export function FootLine({ foot }: { foot: FootView }) {
  const { flareMm, u_mm, count, chamfer, cause } = foot;
  return (
    <p className="border-l-4 border-hair py-1 pl-3">
      <strong>Foot at the plate:</strong> each face flares by{' '}
      <span className="num">
        {formatSigned(flareMm, 3)} ± {formatMm(1.96 * u_mm, 3)} mm
      </span>
      , read on {count === 1 ? 'one size' : `${count} sizes`} near the plate and higher up.{' '}
      {chamfer === undefined ? (
        'That proves no foot. One more size read in both places would tell.'
      ) : (
        <>
          Draw a chamfer of{' '}
          <strong className="num">
            {formatMm(chamfer.legMm, 3)} mm, {chamfer.layers} {chamfer.layers === 1 ? 'layer' : 'layers'}
          </strong>
          , round the lower edges, holes too.
        </>
      )}{' '}
      {chamfer !== undefined &&
        (cause === undefined
          ? 'The bottom and transition layers cause it: they are exposed longer.'
          : `The first ${cause.layers} layers, ${formatMm(cause.heightMm)} mm high, cause it: they are exposed longer.`)}
    </p>
  );
}
