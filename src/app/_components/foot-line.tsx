import { halfWidth95 } from '@/core/kit/numerics';
import { formatMm, formatSigned } from '@/core/kit/wording';
import type { FootView } from '@/subjects/job/jobs';

/** How far the first layers flare, what to draw against it, and which layers do it. */
export function FootLine({ foot }: { foot: FootView }) {
  const { flareMm, u_mm, count, chamfer, cause } = foot;
  return (
    <p className="border-l-4 border-hair py-1 pl-3">
      <strong>Elephant’s foot:</strong> each face flares out by{' '}
      <span className="num">
        {formatSigned(flareMm, 3)} ± {formatMm(halfWidth95(u_mm), 3)} mm
      </span>
      , measured on {count === 1 ? 'one size' : `${count} sizes`} near the plate and higher up.{' '}
      {chamfer === undefined ? (
        'This does not prove an elephant’s foot. Measure one more size near the plate and higher up to be sure.'
      ) : (
        <>
          Draw a chamfer{' '}
          <strong className="num">
            {formatMm(chamfer.legMm, 3)} mm, {chamfer.layers} {chamfer.layers === 1 ? 'layer' : 'layers'}
          </strong>
          , on the lower edges, including holes.
        </>
      )}{' '}
      {chamfer !== undefined &&
        (cause === undefined
          ? 'The bottom and transition layers cause it because their exposure is longer.'
          : `The first ${cause.layers} layers (${formatMm(cause.heightMm)} mm high) cause it because their exposure is longer.`)}
    </p>
  );
}
