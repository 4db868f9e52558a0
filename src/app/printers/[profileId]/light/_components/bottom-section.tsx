import { halfWidth95 } from '@/core/kit/numerics';
import { formatMm } from '@/core/kit/wording';
import { FootLine } from '@/app/_components/foot-line';
import type { BottomView } from '@/subjects/exposure';
import { Link } from '@/ui';

interface BottomSectionProps {
  readonly profileId: number;
  readonly bottom: BottomView;
}

/** The bottom layers: their elephant's foot against their hold, and both ways people deal with it. */
export function BottomSection({ profileId, bottom }: BottomSectionProps) {
  const { foot, answers, layers, layerMm, others } = bottom;
  return (
    <section aria-labelledby="bottom-title" className="mt-8 max-w-3xl">
      <h2 id="bottom-title" className="text-lg">
        Bottom layers
      </h2>
      <p>{asTheyAre(bottom)}</p>
      {foot !== undefined && <FootLine foot={foot} />}
      {answers === undefined ? (
        <p className="text-sm text-soft">
          Enter their number and exposure in the{' '}
          <Link href={`/printers/${profileId}#changes-title`} className="underline">
            print settings
          </Link>{' '}
          to compare a shorter exposure with the elephant’s foot.
        </p>
      ) : (
        <Answers answers={answers} />
      )}
      {answers !== undefined && (
        <p className="mt-1 text-sm text-soft">
          {foot === undefined
            ? 'No elephant’s foot measured here yet. Measure a size near the plate and higher up to get it. '
            : others === 0
              ? 'Based on one bottom-layer exposure and average light behaviour. Measure the elephant’s foot at another exposure to get the value of this printer. '
              : `Learned from measurements at ${others + 1} bottom-layer exposures. `}
          {layers !== undefined &&
            `One bottom layer fewer makes the elephant’s foot ${formatMm(layerMm, 3)} mm lower, not narrower.`}
        </p>
      )}
      <ul className="mt-2 list-disc pl-5">
        <li>
          <strong>Keep them long and correct the drawing:</strong> a chamfer or a raft absorbs the elephant’s
          foot, and the print sticks even where the plate is not quite level.
        </li>
        <li>
          <strong>Make them shorter or fewer:</strong> sizes at the plate get more accurate, and the part
          comes off more easily. The plate must be level and clean. Reduce in steps of a quarter, and measure
          the elephant’s foot each time.
        </li>
      </ul>
    </section>
  );
}

function asTheyAre({ bottomExposureS, layers, transition, layerMm }: BottomView): string {
  if (layers === undefined && bottomExposureS === undefined)
    return 'The exposure of the first layers is unknown.';
  const count = layers === undefined ? 'The first layers' : `${layers} of them`;
  const seconds = bottomExposureS === undefined ? '' : `, exposed ${bottomExposureS} s`;
  const then = transition === undefined ? '' : `, then ${transition} transition layers`;
  const high =
    layers === undefined ? '' : `: ${formatMm((layers + (transition ?? 0)) * layerMm, 3)} mm high in total`;
  return `${count}${seconds}${then}${high}.`;
}

function Answers({ answers }: { answers: NonNullable<BottomView['answers']> }) {
  const hasDepth = answers.some(({ depthLayers }) => depthLayers !== undefined);
  return (
    <table className="mt-2 w-full border-collapse" aria-label="Elephant’s foot by bottom-layer exposure">
      <thead>
        <tr className="border-b border-ink text-left text-sm text-soft">
          <th className="py-1 pr-3 font-normal">bottom-layer exposure</th>
          <th className="py-1 pr-3 text-right font-normal">flare of each face</th>
          {hasDepth && <th className="py-1 text-right font-normal">layers cured through</th>}
        </tr>
      </thead>
      <tbody>
        {answers.map(({ bottomExposureS, flare, depthLayers }, i) => (
          <tr key={bottomExposureS} className="border-b border-hair">
            <th scope="row" className="num py-1 pr-3 text-left font-normal">
              {bottomExposureS.toFixed(1)} s{i === 0 && ', now'}
              {i === answers.length - 1 && i > 0 && ', same as the other layers'}
            </th>
            <td className="num py-1 pr-3 text-right">
              {formatMm(Math.max(0, flare.mean), 3)} ± {formatMm(halfWidth95(flare.sd), 3)} mm
            </td>
            {hasDepth && <td className="num py-1 text-right">{depthLayers?.toFixed(1)}</td>}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
