import { FootLine } from '@/app/_components/foot-line';
import { formatMm } from '@/subjects/language/shared';
import type { BottomView } from '@/subjects/light';
import { Link } from '@/ui';

interface BottomSectionProps {
  readonly profileId: number;
  readonly bottom: BottomView;
}

/** The first layers: the foot they leave against the hold they give, and both ways people deal with it. */
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
          Say how many there are and what they are exposed under{' '}
          <Link href={`/printers/${profileId}#changes-title`} className="underline">
            what it is printed under
          </Link>
          : then a shorter exposure can be weighed against the foot.
        </p>
      ) : (
        <Answers answers={answers} />
      )}
      {answers !== undefined && (
        <p className="mt-1 text-sm text-soft">
          {foot === undefined
            ? 'No foot was read here: read a size near the plate and higher up, and this is told by it. '
            : others === 0
              ? 'By one exposure of the bottom layers and what light does on average; a foot read at another one tells it for this printer. '
              : `Learned from feet at ${others + 1} exposures of the bottom layers. `}
          {layers !== undefined &&
            `A bottom layer fewer makes the foot ${formatMm(layerMm, 3)} mm lower, not narrower.`}
        </p>
      )}
      <ul className="mt-2 list-disc pl-5">
        <li>
          <strong>Keep them long and draw against the foot:</strong> a chamfer or a raft takes it up, and the
          print holds where the plate is not quite level.
        </li>
        <li>
          <strong>Make them shorter or fewer:</strong> what stands on the plate comes out truer, and comes off
          easier. It asks for a level and clean plate; go down in steps, a quarter at a time, and read the
          foot each time.
        </li>
      </ul>
    </section>
  );
}

function asTheyAre({ bottomExposureS, layers, transition, layerMm }: BottomView): string {
  if (layers === undefined && bottomExposureS === undefined)
    return 'Nobody said how the first layers are exposed.';
  const count = layers === undefined ? 'The first layers' : `${layers} of them`;
  const seconds = bottomExposureS === undefined ? '' : `, exposed ${bottomExposureS} s`;
  const then = transition === undefined ? '' : `, then ${transition} in transition`;
  const high =
    layers === undefined ? '' : `: ${formatMm((layers + (transition ?? 0)) * layerMm, 3)} mm high together`;
  return `${count}${seconds}${then}${high}.`;
}

function Answers({ answers }: { answers: NonNullable<BottomView['answers']> }) {
  const hasDepth = answers.some(({ depthLayers }) => depthLayers !== undefined);
  return (
    <table className="mt-2 w-full border-collapse" aria-label="Foot by exposure of the bottom layers">
      <thead>
        <tr className="border-b border-ink text-left text-sm text-soft">
          <th className="py-1 pr-3 font-normal">bottom layers exposed</th>
          <th className="py-1 pr-3 text-right font-normal">foot on each face</th>
          {hasDepth && <th className="py-1 text-right font-normal">cures so many layers deep</th>}
        </tr>
      </thead>
      <tbody>
        {answers.map(({ bottomExposureS, flare, depthLayers }, i) => (
          <tr key={bottomExposureS} className="border-b border-hair">
            <th scope="row" className="num py-1 pr-3 text-left font-normal">
              {bottomExposureS.toFixed(1)} s{i === 0 && ', now'}
              {i === answers.length - 1 && i > 0 && ', as the other layers'}
            </th>
            <td className="num py-1 pr-3 text-right">
              {formatMm(Math.max(0, flare.mean), 3)} ± {formatMm(1.96 * flare.sd, 3)} mm
            </td>
            {hasDepth && <td className="num py-1 text-right">{depthLayers?.toFixed(1)}</td>}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
